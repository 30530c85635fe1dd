import { useState } from 'react'

export type ReadText<T> = { ok: true; value: T } | { ok: false; message: string }

/** What a field that is typed into shows and does. */
export type DraftText = {
  text: string
  /** Why what is typed does not count. */
  fault: string | undefined
  type: (typed: string) => void
  leave: () => void
  /** Back to what was in force before anything was typed, as Escape does. */
  restore: () => void
  /** Forgets what is typed: the value was set in another way. */
  forget: () => void
}

type Options<T> = {
  shown: string
  /** The committed value. */
  value: T
  read: (text: string) => ReadText<T>
  commit: (value: T) => void
  /** Puts an earlier value back, where that is more than to commit it. */
  putBack?: (value: T) => void
}

/**
 * A typed field: what is typed, what it reads as, and what is committed are three things. Every keystroke that reads commits. While
 * the text does not read, the value from before the typing is in force, so that a slip on the way (“2/0” begins with “2”) changes
 * nothing. Leaving the field tidies a text that reads, and keeps one that does not.
 */
export function useDraftText<T>({ shown, value, read, commit, putBack = commit }: Options<T>): DraftText {
  const [draft, setDraft] = useState<{ text: string; before: T }>()
  const now = draft === undefined ? undefined : read(draft.text)
  const fault = now && !now.ok ? now.message : undefined
  return {
    text: draft?.text ?? shown,
    fault,
    type: (text) => {
      const before = draft ? draft.before : value
      setDraft({ text, before })
      const next = read(text)
      if (next.ok) commit(next.value)
      else if (value !== before) putBack(before)
    },
    leave: () => {
      if (fault === undefined) setDraft(undefined)
    },
    restore: () => {
      if (!draft) return
      if (value !== draft.before) putBack(draft.before)
      setDraft(undefined)
    },
    forget: () => setDraft(undefined),
  }
}

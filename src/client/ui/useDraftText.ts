import { useState } from 'react'

export type ReadText<T> = { ok: true; value: T } | { ok: false; message: string }

/** What a field that is typed into shows and does. */
export type DraftText = {
  text: string
  /** Why what is typed does not count. */
  fault: string | undefined
  type: (typed: string) => void
  leave: () => void
  /** Goes back to the value from before the typing, as Escape does. */
  restore: () => void
  /** Drops the typed text, because the value was set in another way. */
  forget: () => void
}

type Options<T> = {
  shown: string
  /** The committed value. */
  value: T
  read: (text: string) => ReadText<T>
  commit: (value: T) => void
  /** Restores an earlier value, if that takes more than `commit`. */
  putBack?: (value: T) => void
}

/**
 * A typed field has three values: the text, what it parses to, and what is committed. Each keystroke that parses is committed. While
 * the text does not parse, the value from before the typing is committed, so a slip on the way (“2/0” begins with “2”) changes
 * nothing. Leaving the field formats a text that parses and keeps one that does not.
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

import { useState } from 'react'

export type ReadText<T> = { ok: true; value: T } | { ok: false; message: string }

/** What a field that is typed into shows and does. */
export type DraftText = {
  text: string
  /** Why what is typed does not count. */
  fault: string | undefined
  type: (typed: string) => void
  leave: () => void
  /** Back to the committed value. */
  drop: () => void
}

/**
 * A typed field: what is typed, what it reads as, and what is committed are three things. Every keystroke that reads commits; one that
 * does not leaves the last good value in force and says why; leaving the field tidies a text that reads, and keeps one that does not.
 */
export function useDraftText<T>(shown: string, read: (text: string) => ReadText<T>, commit: (value: T) => void): DraftText {
  const [draft, setDraft] = useState<string>()
  const now = draft === undefined ? undefined : read(draft)
  const fault = now && !now.ok ? now.message : undefined
  return {
    text: draft ?? shown,
    fault,
    type: (typed) => {
      setDraft(typed)
      const next = read(typed)
      if (next.ok) commit(next.value)
    },
    leave: () => {
      if (fault === undefined) setDraft(undefined)
    },
    drop: () => setDraft(undefined),
  }
}

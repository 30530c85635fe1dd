import { z } from 'zod'
import { type ContentOf, type DocumentKind, readContent } from '../../shared/documentKinds.ts'

/** Unsaved work kept in the browser, with the revision it was made from. */
export type Draft<T> = { baseRevision: number; content: T }

const keyOf = (id: string) => `wide-reach.draft.${id}`

const draftSchema = z.object({ baseRevision: z.int().positive(), content: z.unknown() })

/** What was left unsaved of a document, of this format or an earlier one; anything that cannot be read counts as nothing. */
export function readDraft<K extends DocumentKind>(kind: K, id: string): Draft<ContentOf<K>> | undefined {
  try {
    const kept = localStorage.getItem(keyOf(id))
    const draft = kept === null ? undefined : draftSchema.safeParse(JSON.parse(kept)).data
    const read = draft && readContent(kind, draft.content)
    return draft && read?.ok ? { baseRevision: draft.baseRevision, content: read.content } : undefined
  } catch {
    return undefined
  }
}

/** @returns the text the browser kept, to drop it by; undefined where it keeps nothing. */
export function keepDraft(id: string, baseRevision: number, content: object): string | undefined {
  const text = JSON.stringify({ baseRevision, content })
  try {
    localStorage.setItem(keyOf(id), text)
    return text
  } catch {
    return undefined
  }
}

/** Drops a draft, unless another tab has kept its own there since. */
export function dropDraft(id: string, text: string): void {
  try {
    if (localStorage.getItem(keyOf(id)) === text) localStorage.removeItem(keyOf(id))
  } catch {
    // Nothing was kept, so nothing is left.
  }
}

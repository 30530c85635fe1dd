import { z } from 'zod'

/** Unsaved work kept in the browser, with the revision it was made from. */
export type Draft<T> = { baseRevision: number; content: T }

const keyOf = (id: string) => `wide-reach.draft.${id}`

/** What was left unsaved of a document; anything that does not read by its contract counts as nothing. */
export function readDraft<T>(contract: z.ZodType<T>, id: string): Draft<T> | undefined {
  try {
    const kept = localStorage.getItem(keyOf(id))
    const read =
      kept === null ? undefined : z.object({ baseRevision: z.int().positive(), content: contract }).safeParse(JSON.parse(kept))
    return read?.data as Draft<T> | undefined
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

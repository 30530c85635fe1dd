import { z } from 'zod'
import { type TraceContent, traceContent } from '../../../shared/traces.ts'

/** Unsaved work kept in the browser, with the revision it was made from. */
const draftShape = z.object({ baseRevision: z.int().positive(), content: traceContent })
export type Draft = z.infer<typeof draftShape>

const keyOf = (id: string) => `wide-reach.draft.${id}`

/** What was left unsaved for a trace; anything unreadable counts as nothing. */
export function readDraft(id: string): Draft | undefined {
  try {
    const kept = localStorage.getItem(keyOf(id))
    return kept === null ? undefined : draftShape.safeParse(JSON.parse(kept)).data
  } catch {
    return undefined
  }
}

/** @returns the text the browser kept, to drop it by; undefined where it keeps nothing. */
export function keepDraft(id: string, baseRevision: number, content: TraceContent): string | undefined {
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

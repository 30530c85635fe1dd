import { lineById } from '../documents/pieces.ts'
import type { Trace } from '../documents/trace.ts'
import { OUTFIT } from '../documents/vocabulary.ts'
import type { ReachLayout } from './reach.ts'
import { MIN_SHARE, ON_LINE } from './reach.ts'
/**
 * How far down its line, m, a part would sit at a place of the drawing; the inverse of where the layout puts it. On the outfit's
 * line, counted up from its free end, below zero.
 */
export function downAtX(layout: ReachLayout, trace: Trace, lineId: string, x: number): number | undefined {
  const drawn =
    lineId === OUTFIT ? layout.items.findLast(({ kind }) => kind === 'wound') : layout.items.find(({ id }) => id === lineId)
  if (!drawn) return undefined
  const share = Math.min(1, Math.max(0, (x - drawn.x0 - ON_LINE) / (drawn.x1 - drawn.x0 - 2 * ON_LINE)))
  if (lineId === OUTFIT) return 1 - 1 / Math.max(share, MIN_SHARE)
  const line = lineById(trace, lineId)
  return line && share * line.lengthM
}

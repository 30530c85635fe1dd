import { strengthDrag } from '../strength/drag.ts'
import { pathLinks } from '../strength/pathLinks.ts'
import type { Conditions } from '../trace/conditions.ts'
import { linesOut, mainLine, type Outfit, spoolOf } from '../trace/outfit.ts'
import { pathToPiece } from '../trace/paths.ts'
import type { Trace } from '../trace/schema.ts'
import { dragInput, waterDragN } from './run.ts'
import { weakestOf } from './workings.ts'

/** The peak pull on the hook, and the most that the chain is allowed, with so much line out. */
export type PeakPoint = { lineOutM: number; peakN: number; allowedN: number }

const SAMPLES = 60

/**
 * Peak load in a run against line out, from none to all that was wound: it grows as the spool empties and as more line is dragged
 * through the water; the allowed load steps down where a weaker line or knot comes off the spool.
 * @param endId the hook or lure whose path is meant.
 * @returns points in order of line out; the last is just short of the bare arbor.
 */
export function peakByLineOut(trace: Trace, outfit: Outfit, conditions: Conditions, endId: string): PeakPoint[] {
  const elements = pathToPiece(trace, endId)
  const mostM = spoolOf(outfit, 0).layers.reduce((sum, { lengthM }) => sum + lengthM, 0)
  return Array.from({ length: SAMPLES + 1 }, (_, i): PeakPoint => {
    const lineOutM = (i / SAMPLES) * mostM * (1 - 1e-9)
    const spool = spoolOf(outfit, lineOutM)
    const out = linesOut(outfit, spool, lineOutM)
    const weakest = weakestOf(
      pathLinks(
        out.map(({ line }) => line),
        elements,
        conditions.wet,
      ),
    )
    const waterN = waterDragN({ out, conditions })
    const { peakN } = strengthDrag(
      dragInput({ conditions, spool }, weakest.strengthN, waterN, mainLine(outfit).strengthN, conditions.dragN),
    )
    return { lineOutM, peakN, allowedN: conditions.allowedFraction * weakest.strengthN }
  })
}

/** Line out at which the peak first passes what is allowed, m; undefined where it never does. */
export function unsafeFromM(points: readonly PeakPoint[]): number | undefined {
  return points.find(({ peakN, allowedN }) => peakN > allowedN)?.lineOutM
}

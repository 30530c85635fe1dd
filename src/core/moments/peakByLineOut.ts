import { linesOut, mainLine, spoolOf, woundM } from '../outfits/outfitLines.ts'
import { strengthDrag } from '../physics/strength/drag.ts'
import { dragInput, lineDragN } from '../setup/drag.ts'
import { pathLinks } from '../setup/pathLinks.ts'
import { weakestOf } from '../setup/prepareSetup.ts'
import type { Setup } from '../setup/setup.ts'
import { pathToPiece } from '../soundness/paths.ts'

/** The peak pull on the hook, and the most that the chain is allowed, with so much line out. */
export type PeakPoint = { lineOutM: number; peakN: number; allowedN: number }

const SAMPLES = 60

/**
 * Peak load in a run against line out, from none to all that was wound: it grows as the spool empties and as more line is dragged
 * through the water; the allowed load steps down where a weaker line or knot comes off the spool.
 * @param endId the hook or lure whose path is meant.
 * @returns points in order of line out; the last is just short of the bare arbor.
 */
export function peakByLineOut({ trace, outfit, conditions, catalogue }: Setup, endId: string): PeakPoint[] {
  const path = pathToPiece(trace, endId)
  const mostM = woundM(catalogue, outfit)
  return Array.from({ length: SAMPLES + 1 }, (_, i): PeakPoint => {
    const lineOutM = (i / SAMPLES) * mostM * (1 - 1e-9)
    const spool = spoolOf(catalogue, outfit, lineOutM)
    const out = linesOut(outfit, spool, lineOutM)
    const wound = out.map(({ line }) => line)
    const weakest = weakestOf(pathLinks({ catalogue, wound, conditions }, path))
    const waterDragN = lineDragN({ out, conditions, catalogue })
    const load = { waterDragN, lineClassN: mainLine(outfit).strengthN, dragN: conditions.dragN }
    const { peakN } = strengthDrag(dragInput({ conditions, spool }, weakest.strengthN, load))
    return { lineOutM, peakN, allowedN: conditions.allowedFraction * weakest.strengthN }
  })
}

/** Line out at which the peak first passes what is allowed, m; undefined where it never does. */
export function unsafeFromM(points: readonly PeakPoint[]): number | undefined {
  return points.find(({ peakN, allowedN }) => peakN > allowedN)?.lineOutM
}

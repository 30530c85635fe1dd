import { type FishingMode, familyFishingMode, OWN_DESIGN } from '../catalogue/familyIds.ts'
import { isHeaded, lineById, parentId } from '../documents/pieces.ts'
import type { Piece, Trace } from '../documents/trace.ts'

/** Floats that the trace hangs from; one on a hook length only lifts the bait off the bed. */
export function bearingFloats(trace: Trace): Extract<Piece, { role: 'float' }>[] {
  const lifts = (piece: Piece) => ['snood', 'biteTrace'].includes(lineById(trace, parentId(piece.attach))?.role ?? '')
  return trace.pieces.filter((piece) => piece.role === 'float').filter((float) => !lifts(float))
}

/**
 * How the end of a trace is meant to fish: as it says, else as its family does. A design of one's own says by its parts, where they can
 * mean one thing only: a weight on a lure holds the bottom, is dragged or is worked.
 * @returns undefined where nobody said.
 */
export function fishingModeOf(trace: Trace): FishingMode | undefined {
  if (trace.fishes) return trace.fishes
  if (trace.family !== OWN_DESIGN) return familyFishingMode(trace.family)
  const has = (role: Trace['pieces'][number]['role']) => trace.pieces.some((piece) => piece.role === role)
  if (bearingFloats(trace).length > 0) return 'hangs'
  const lured = has('lure') || trace.pieces.some(isHeaded)
  if (has('sinker')) return lured ? undefined : 'holds'
  return lured ? 'worked' : 'swims'
}

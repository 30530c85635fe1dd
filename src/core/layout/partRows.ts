import { pieceIdOf } from '../documents/linkRef.ts'
import type { Outfit } from '../documents/outfit.ts'
import { hungFrom } from '../documents/pieces.ts'
import type { Piece, Trace } from '../documents/trace.ts'
import { OUTFIT } from '../documents/vocabulary.ts'
import { ridesOn } from '../edit/along.ts'
import { layOutReach, type ReachItem } from './reach.ts'

/** Any drawing does: only what is in it counts, and in which order. */
const AS_A_LIST = { width: 800, trunkY: 0, laneHeight: 1, labelWidth: () => 0 }

/** A part as a row of a list; `depth` counts the lines that it hangs off. */
export type PartRow = { item: ReachItem; depth: number }

/**
 * Everything on a reach as rows from the reel down, also where many branches are alike. What sits along a line comes right after the
 * line, with everything that hangs from it, and before the part at the line’s end.
 */
export function partRows(trace: Trace, outfit: Outfit): PartRow[] {
  const { items } = layOutReach(trace, outfit, AS_A_LIST)
  const drawn = items.toSorted((a, b) => a.x0 - b.x0)
  const ofPiece = new Map<string | undefined, ReachItem[]>()
  for (const item of drawn) {
    const id = pieceIdOf(item.ref)
    ofPiece.set(id, [...(ofPiece.get(id) ?? []), item])
  }
  const placeOf = ({ id }: Piece) => ofPiece.get(id)?.[0]?.x0 ?? Number.POSITIVE_INFINITY
  const rows: PartRow[] = (ofPiece.get(undefined) ?? []).map((item) => ({ item, depth: 0 }))
  const add = (piece: Piece, depth: number) => {
    const own = ridesOn(piece) === undefined ? depth : depth + 1
    rows.push(...(ofPiece.get(piece.id) ?? []).map((item) => ({ item, depth: own })))
    addFrom(piece.id, own)
  }
  const addFrom = (id: string, depth: number) => {
    const hung = hungFrom(trace, id).toSorted((a, b) => placeOf(a) - placeOf(b))
    for (const piece of [...hung.filter((each) => ridesOn(each)), ...hung.filter((each) => !ridesOn(each))]) add(piece, depth)
  }
  addFrom(OUTFIT, 0)
  return rows
}

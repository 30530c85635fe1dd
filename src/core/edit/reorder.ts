import { hungFrom, isLine, parentId, pieceById } from '../documents/pieces.ts'
import type { Piece, Trace } from '../documents/trace.ts'
import type { Rig } from '../setup/setup.ts'
import { onLine, putAt, ridesOn } from './along.ts'
import { reattached } from './changes.ts'
import { checked, type EditResult, refused } from './editResult.ts'
import { tieTo } from './joining.ts'
import { resolveStops } from './resolveStops.ts'
import { NO_KNOT } from './retie.ts'

/** The trace with a part changed about with its neighbour, toward the hook or toward the reel. */
export function reorder(rig: Rig, id: string, toward: 'hook' | 'reel'): EditResult {
  const { trace } = rig
  const piece = pieceById(trace, id)
  if (!piece) return refused('this belongs to the outfit')
  const lineId = ridesOn(piece)
  if (lineId !== undefined) return changedAlong(rig, piece, lineId, toward)
  if (toward === 'hook') {
    const next = followerOf(trace, piece)
    return next ? swapped(rig, piece, next, id) : refused('it has no next part to swap with')
  }
  const above = pieceById(trace, parentId(piece.attach))
  return above ? swapped(rig, above, piece, id) : refused('it is the first part of the trace')
}

function changedAlong(rig: Rig, piece: Piece, lineId: string, toward: 'hook' | 'reel'): EditResult {
  const { trace } = rig
  const row = onLine(trace, lineId).filter((other) => ridesOn(other.piece) !== undefined)
  const at = row.findIndex((other) => other.piece === piece)
  const [own, other] = [row[at], row[at + (toward === 'hook' ? 1 : -1)]]
  if (!own || !other) return refused('no part is on that side of it')
  // Both on one spot: what comes first in the document comes first on the line, so they change places there too.
  const moved = putAt(putAt(trace, piece.id, other.downM), other.piece.id, own.downM)
  const pieces = swappedInOrder(moved.pieces, piece.id, other.piece.id)
  const sought = involvedIn(pieces, piece.id, other.piece.id)
  return checked(rig, resolveStops({ ...moved, pieces }, sought), piece.id)
}

/** The pieces with two of them in each other's place of the list. */
function swappedInOrder(pieces: readonly Piece[], a: string, b: string): Piece[] {
  const at = (id: string) => pieces.findIndex((piece) => piece.id === id)
  const [first, second] = [at(a), at(b)]
  return pieces.map((piece, i) => pieces[i === first ? second : i === second ? first : i] ?? piece)
}

/** The sliders that two parts bore on, or bore on them: they look for their stops anew. */
function involvedIn(pieces: readonly Piece[], a: string, b: string): ReadonlySet<string> {
  const touches = ({ id, attach }: Piece) =>
    attach.how === 'sliding' && [id, attach.stops.above, attach.stops.below].some((each) => each === a || each === b)
  return new Set(pieces.filter(touches).map(({ id }) => id))
}

/** The one piece tied to the far end of another, where it can carry what comes after. */
function followerOf(trace: Trace, piece: Piece): Piece | undefined {
  const hung = hungFrom(trace, piece.id).filter(({ attach }) => attach.how === 'joined' && attach.end !== 'near')
  return hung.find((each) => isLine(each) || each.role === 'hardware')
}

/** A – upper – lower – rest becomes A – lower – upper – rest. */
function swapped(rig: Rig, upper: Piece, lower: Piece, chosen: string): EditResult {
  const { trace } = rig
  if (upper.attach.how !== 'joined' || lower.attach.how !== 'joined' || lower.attach.end === 'near')
    return refused('it can only swap with the part it is tied to')
  if (!(isLine(lower) || lower.role === 'hardware')) return refused('an end stays at the end')
  const rest = hungFrom(trace, lower.id).filter(({ attach }) => attach.how === 'joined' && attach.end !== 'near')
  if (rest.length > 1) return refused('branches are tied there; move them first')
  const first = tieTo(rig, upper.attach.to, lower, upper.attach.end)
  const second = tieTo(rig, lower.id, upper)
  if (!first || !second) return refused(NO_KNOT)
  let moved = reattached(reattached(trace, lower.id, first), upper.id, second)
  for (const piece of rest) {
    const third = tieTo(rig, upper.id, piece)
    if (!third) return refused(NO_KNOT)
    moved = reattached(moved, piece.id, third)
  }
  return checked(rig, { ...moved, pieces: swappedInOrder(moved.pieces, upper.id, lower.id) }, chosen)
}

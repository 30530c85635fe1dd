import { reattached } from '../edit.ts'
import type { Outfit } from '../outfit.ts'
import { isLine, type Piece, parentId, type Trace } from '../schema.ts'
import { onLine, putAt, ridesOn } from './along.ts'
import { NO_KNOT, tieTo } from './joining.ts'
import { checked, type Redrawn, refused } from './redrawn.ts'

/** The trace with a part changed about with its neighbour, toward the hook or toward the reel. */
export function reorder(trace: Trace, outfit: Outfit, id: string, toward: 'hook' | 'reel'): Redrawn {
  const piece = trace.pieces.find((each) => each.id === id)
  if (!piece) return refused('that belongs to the outfit')
  const lineId = ridesOn(piece)
  if (lineId !== undefined) return changedAlong(trace, outfit, piece, lineId, toward)
  if (toward === 'hook') {
    const next = followerOf(trace, piece)
    return next ? swapped(trace, outfit, piece, next, id) : refused('nothing follows it that could change places with it')
  }
  const above = trace.pieces.find((each) => each.id === parentId(piece.attach))
  return above ? swapped(trace, outfit, above, piece, id) : refused('it is the first part of the trace')
}

function changedAlong(trace: Trace, outfit: Outfit, piece: Piece, lineId: string, toward: 'hook' | 'reel'): Redrawn {
  const row = onLine(trace, lineId).filter((other) => ridesOn(other.piece) !== undefined)
  const at = row.findIndex((other) => other.piece === piece)
  const [own, other] = [row[at]!, row[at + (toward === 'hook' ? 1 : -1)]]
  if (!other) return refused('nothing on the line lies on that side of it')
  // Both on one spot: what comes first in the document comes first on the line, so they change places there too.
  const moved = putAt(putAt(trace, piece.id, other.downM), other.piece.id, own.downM)
  const pieces = moved.pieces.map((each) =>
    each.id === piece.id
      ? moved.pieces.find(({ id }) => id === other.piece.id)!
      : each.id === other.piece.id
        ? moved.pieces.find(({ id }) => id === piece.id)!
        : each,
  )
  return checked({ ...moved, pieces: unstopped(pieces, piece.id, other.piece.id) }, outfit, piece.id)
}

/** Two parts that bore on each other look for their stops anew. */
function unstopped(pieces: Piece[], a: string, b: string): Piece[] {
  return pieces.map((piece): Piece => {
    if (piece.attach.how !== 'sliding') return piece
    const { above, below } = piece.attach.stops
    const involved = [above, below].some((id) => id === a || id === b) || piece.id === a || piece.id === b
    if (!involved) return piece
    return { ...piece, attach: { ...piece.attach, stops: { ...(above ? { above: '' } : {}), ...(below ? { below: '' } : {}) } } }
  })
}

/** The one piece tied to the far end of another, where it can carry what comes after. */
function followerOf(trace: Trace, piece: Piece): Piece | undefined {
  const hung = trace.pieces.filter(({ attach }) => attach.how === 'joined' && attach.to === piece.id && attach.end !== 'near')
  return hung.find((each) => isLine(each) || each.role === 'hardware')
}

/** A – upper – lower – rest becomes A – lower – upper – rest. */
function swapped(trace: Trace, outfit: Outfit, upper: Piece, lower: Piece, chosen: string): Redrawn {
  if (upper.attach.how !== 'joined' || lower.attach.how !== 'joined' || lower.attach.end === 'near')
    return refused('it can only change places with what it is tied to end to end')
  if (!(isLine(lower) || lower.role === 'hardware')) return refused('an end stays at the end')
  const rest = trace.pieces.filter(({ attach }) => attach.how === 'joined' && attach.to === lower.id && attach.end !== 'near')
  if (rest.length > 1) return refused('branches hang there: move them first')
  const first = tieTo(trace, outfit, upper.attach.to, lower, upper.attach.end)
  const second = tieTo(trace, outfit, lower.id, upper)
  if (!first || !second) return refused(NO_KNOT)
  let moved = reattached(reattached(trace, lower.id, first), upper.id, second)
  for (const piece of rest) {
    const third = tieTo(trace, outfit, upper.id, piece)
    if (!third) return refused(NO_KNOT)
    moved = reattached(moved, piece.id, third)
  }
  const [a, b] = [trace.pieces.indexOf(upper), trace.pieces.indexOf(lower)]
  const pieces = moved.pieces.slice()
  ;[pieces[a], pieces[b]] = [moved.pieces[b]!, moved.pieces[a]!]
  return checked({ ...moved, pieces }, outfit, chosen)
}

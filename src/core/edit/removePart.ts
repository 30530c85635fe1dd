import { hungFrom, lineById, parentId, pieceById } from '../documents/pieces.ts'
import type { Piece, Trace } from '../documents/trace.ts'
import { OUTFIT } from '../documents/vocabulary.ts'
import type { Rig } from '../setup/setup.ts'
import { reattached } from './changes.ts'
import { checked, type EditResult, refused } from './editResult.ts'
import { tieTo } from './joining.ts'
import { NO_KNOT } from './retie.ts'

/** What goes with a part when it is taken out: what rides on it or could not hang from what is above. */
export function goesWith(trace: Trace, id: string): string[] {
  const piece = pieceById(trace, id)
  if (!piece) return []
  const children = hungFrom(trace, id)
  return children.filter((child) => !movesUp(piece, child)).flatMap((child) => [child.id, ...allBelow(trace, child.id)])
}

/** The trace with a part taken out and what followed tied to what is above it; or, with `below`, with all that hangs from it. */
export function removePart(rig: Rig, id: string, { below }: { below: boolean }): EditResult {
  const { trace } = rig
  const piece = pieceById(trace, id)
  if (!piece) return refused('this belongs to the outfit')
  const parent = parentId(piece.attach)
  const chosen = parent === OUTFIT ? 'main' : parent
  const gone = new Set([id, ...(below ? allBelow(trace, id) : goesWith(trace, id))])
  const left: Trace = { ...trace, pieces: trace.pieces.filter((each) => !gone.has(each.id)) }
  const orphans = left.pieces.filter(({ attach }) => parentId(attach) === id)
  if (orphans.length > 1 && (parent === OUTFIT || lineById(trace, parent)))
    return refused(`${orphans.length} parts would be tied to one end; remove all below it or use a loop`)
  let tied = left
  for (const orphan of orphans) {
    const attach = tieTo({ ...rig, trace: left }, parent, orphan, piece.attach.how === 'joined' ? piece.attach.end : undefined)
    if (!attach) return refused(NO_KNOT)
    tied = reattached(tied, orphan.id, attach)
  }
  return checked(rig, tied, chosen)
}

/** A child tied to the end of a piece in line can be tied to what is above instead; a bait, a pulley’s line, a rider cannot. */
function movesUp(piece: Piece, child: Piece): boolean {
  if (piece.attach.how !== 'joined' || child.attach.how !== 'joined' || child.attach.end === 'near') return false
  return child.role !== 'bait'
}

function allBelow(trace: Trace, id: string): string[] {
  return hungFrom(trace, id).flatMap((child) => [child.id, ...allBelow(trace, child.id)])
}

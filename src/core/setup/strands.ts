import { hungFrom, isLine, jointOf, lineById, parentId, pieceById, pieceNamed } from '../documents/pieces.ts'
import type { LinePiece, Piece, Trace } from '../documents/trace.ts'

const runsOn = (piece: Piece) => jointOf(piece)?.connection === 'runsOn'
/** A double is the end of the line that it hangs from, doubled back. */
const doubles = (piece: Piece): piece is LinePiece => isLine(piece) && piece.role === 'double' && piece.attach.how === 'joined'

/**
 * The lines that are one piece of line with a line, itself among them, nearest the reel first: what runs on from it through what hangs at
 * its end, and a double that it ends in.
 */
export function sameStrand(trace: Trace, id: string): string[] {
  const strand = new Set([id])
  for (const each of strand) for (const next of beside(trace, each)) strand.add(next)
  return trace.pieces.filter((piece) => strand.has(piece.id)).map((piece) => piece.id)
}

function beside(trace: Trace, id: string): string[] {
  const line = pieceNamed(trace, id)
  const hung = hungFrom(trace, id)
  const onward = [
    ...hung.filter(doubles),
    ...hung.flatMap((piece) => hungFrom(trace, piece.id).filter((below) => isLine(below) && runsOn(below))),
  ].map((piece) => piece.id)
  const parent = parentId(line.attach)
  const through = runsOn(line) ? pieceById(trace, parent) : undefined
  const before = doubles(line) ? lineById(trace, parent) : through && lineById(trace, parentId(through.attach))
  return before ? [...onward, before.id] : onward
}

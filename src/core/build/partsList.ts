import stableJson from 'safe-stable-stringify'
import { isLine } from '../documents/pieces.ts'
import type { LinePiece, Piece, Trace } from '../documents/trace.ts'

type Part = Exclude<Piece, LinePiece | { role: 'bait' }>
/** Alike parts, by the pieces of the trace that they are. */
export type PartCount = { sample: Part; count: number; ids: string[] }

/** Everything but line that one trace takes, alike parts counted together. Knots and loops are line, not parts; bait goes on at the water. */
export function partsList(trace: Trace): PartCount[] {
  const counts = new Map<string, PartCount>()
  for (const piece of trace.pieces) {
    if (
      isLine(piece) ||
      piece.role === 'bait' ||
      (piece.role === 'hardware' && (piece.type === 'stopKnot' || piece.type === 'loop'))
    )
      continue
    const { id: _id, attach: _attach, label: _label, ...kind } = piece
    const key = stableJson(kind) ?? ''
    const row = counts.get(key) ?? { sample: piece, count: 0, ids: [] }
    row.count += 1
    row.ids.push(piece.id)
    counts.set(key, row)
  }
  return [...counts.values()]
}

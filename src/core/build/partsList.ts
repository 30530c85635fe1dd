import stableJson from 'safe-stable-stringify'
import { isLine } from '../documents/pieces.ts'
import type { LinePiece, Piece, Trace } from '../documents/trace.ts'

type Part = Exclude<Piece, LinePiece | { role: 'bait' }>
export type PartCount = { sample: Part; count: number }

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
    const row = counts.get(key) ?? { sample: piece, count: 0 }
    row.count += 1
    counts.set(key, row)
  }
  return [...counts.values()]
}

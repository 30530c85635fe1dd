import { connectionOf } from '../gear/connections.ts'
import { UNIT_COSTS } from '../gear/costs.ts'
import { hardwareOf } from '../gear/hardware.ts'
import { sinkerCost } from '../gear/sinkers.ts'
import { isLine, jointOf, type LinePiece, type Piece, type Trace } from '../trace/schema.ts'

type Part = Exclude<Piece, LinePiece | { role: 'bait' }>
export type PartCount = { sample: Part; count: number; cost: number }

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
    const key = JSON.stringify(kind)
    const row = counts.get(key) ?? { sample: piece, count: 0, cost: 0 }
    row.count += 1
    row.cost += unitCost(piece)
    counts.set(key, row)
  }
  return [...counts.values()]
}

/** Minutes to tie and fit everything of one trace, its connection to the outfit included. */
export function tyingMinutes(trace: Trace): number {
  return trace.pieces.reduce((sum, piece) => {
    const joint = jointOf(piece)
    return sum + (joint ? connectionOf(joint.connection).minutes : 0)
  }, 0)
}

function unitCost(part: Part): number {
  if (part.role === 'sinker') return sinkerCost(part.massKg)
  return part.role === 'hardware' ? hardwareOf(part.type).unitCost : UNIT_COSTS[part.role]
}

import { connectionOf } from '../gear/connections.ts'
import { UNIT_COSTS } from '../gear/costs.ts'
import { hardwareOf } from '../gear/hardware.ts'
import { MATERIALS } from '../gear/materials.ts'
import { sinkerCost } from '../gear/sinkers.ts'
import { isLine, jointOf, type Piece, type Trace } from '../trace/schema.ts'
import { cutOf } from './cutList.ts'

export type Replacement = { cost: number; minutes: number }

/**
 * What it takes to make some pieces of a trace anew: plain units for line (as cut) and parts, minutes for the joints that they
 * hang by. Nominal, with the scenario's unit costs; bait costs nothing here.
 */
export function replacementOf(trace: Trace, ids: readonly string[]): Replacement {
  const wanted = new Set(ids)
  return trace.pieces
    .filter(({ id }) => wanted.has(id))
    .reduce<Replacement>(
      ({ cost, minutes }, piece) => {
        const joint = jointOf(piece)
        return { cost: cost + pieceCost(trace, piece), minutes: minutes + (joint ? connectionOf(joint.connection).minutes : 0) }
      },
      { cost: 0, minutes: 0 },
    )
}

function pieceCost(trace: Trace, piece: Piece): number {
  if (isLine(piece)) return cutOf(trace, piece).cutM * MATERIALS[piece.material].unitsPerMetre
  if (piece.role === 'sinker') return sinkerCost(piece.massKg)
  if (piece.role === 'bait') return 0
  return piece.role === 'hardware' ? hardwareOf(piece.type).unitCost : UNIT_COSTS[piece.role]
}

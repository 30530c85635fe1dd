import { sinkerCost } from '../catalogue/sinkers.ts'
import { isLine, jointOf } from '../documents/pieces.ts'
import type { Piece } from '../documents/trace.ts'
import { cutOf } from './cutLength.ts'
import type { Rig } from './setup.ts'

type Costed = Pick<Rig, 'trace' | 'catalogue'>
export type Replacement = { cost: number; minutes: number }

/**
 * What it takes to make some pieces of a trace anew: plain units for line (as cut) and parts, minutes for the joints that they
 * hang by. Nominal, with the scenario's unit costs; bait costs nothing here.
 */
export function replacementOf({ trace, catalogue }: Costed, ids: readonly string[]): Replacement {
  const wanted = new Set(ids)
  return trace.pieces
    .filter(({ id }) => wanted.has(id))
    .reduce<Replacement>(
      ({ cost, minutes }, piece) => {
        const joint = jointOf(piece)
        return {
          cost: cost + pieceCost({ trace, catalogue }, piece),
          minutes: minutes + (joint ? catalogue.connections[joint.connection].minutes : 0),
        }
      },
      { cost: 0, minutes: 0 },
    )
}

function pieceCost(costed: Costed, piece: Piece): number {
  const { materials, hardware, unitCosts } = costed.catalogue
  if (isLine(piece)) return cutOf(costed, piece).cutM * materials[piece.material].unitsPerMetre
  if (piece.role === 'sinker') return sinkerCost(piece.massKg)
  if (piece.role === 'bait') return 0
  return piece.role === 'hardware' ? hardware[piece.type].unitCost : unitCosts[piece.role]
}

/** What it takes to make the whole trace. */
export const wholeReplacement = (costed: Costed): Replacement =>
  replacementOf(
    costed,
    costed.trace.pieces.map(({ id }) => id),
  )

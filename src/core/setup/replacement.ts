import { sinkerCost } from '../catalogue/sinkers.ts'
import { isLine, jointOf, pieceNamed } from '../documents/pieces.ts'
import type { Piece } from '../documents/trace.ts'
import { cutOf } from './cutLength.ts'
import type { Rig } from './setup.ts'

type Costed = Pick<Rig, 'trace' | 'catalogue'>
export type Replacement = { cost: number; minutes: number }

/**
 * What it takes to make some pieces of a trace anew: plain units for line (as cut) and parts, minutes for the joints that they
 * hang by. Nominal, with the scenario's unit costs; bait costs nothing here. Each piece is priced once, however many are asked for.
 */
export function replacements({ trace, catalogue }: Costed): (ids: readonly string[]) => Replacement {
  const priced = new Map<string, Replacement>()
  const priceOf = (id: string): Replacement => {
    const known = priced.get(id)
    if (known) return known
    const piece = pieceNamed(trace, id)
    const joint = jointOf(piece)
    const price = {
      cost: pieceCost({ trace, catalogue }, piece),
      minutes: joint ? catalogue.connections[joint.connection].minutes : 0,
    }
    priced.set(id, price)
    return price
  }
  return (ids) =>
    ids.reduce<Replacement>(
      (sum, id) => {
        const { cost, minutes } = priceOf(id)
        return { cost: sum.cost + cost, minutes: sum.minutes + minutes }
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
export const wholeReplacement = (costed: Costed): Replacement => replacements(costed)(costed.trace.pieces.map(({ id }) => id))

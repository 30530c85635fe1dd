import type { HardwareType } from '../../catalogue/ids.ts'
import { isOnHook, parentId } from '../../documents/pieces.ts'
import type { Piece } from '../../documents/trace.ts'
import { alongM, type PathElement } from '../../soundness/paths.ts'
import type { PreparedSetup } from '../prepareSetup.ts'

/** What spins in the stream and as it is wound in, and what takes its twist; without a swivel the leader takes it. */
export type Twist = {
  /** The bait or the lure. */
  id: string
  /** The swivel nearest above it, with the line between, and whether it takes the twist. */
  swivel?: { id: string; awayM: number; takes: boolean }
}

type Takes = { bait: number; lure: number }
const PLAIN: Takes = { bait: 1, lure: 0 }
/**
 * How near above what spins a swivel must be to take its twist, m: farther off, the line between twists first. A plain one turns
 * with a bait in the stream, and hardly under the load of a lure that is wound in. Nominal, ours.
 */
const TAKES_TO_M: Partial<Record<HardwareType, Takes>> = {
  ballBearingSwivel: { bait: 3, lure: 3 },
  rollingSwivel: { bait: 1.5, lure: 1.5 },
  swivel: PLAIN,
  snapSwivel: PLAIN,
  threeWay: PLAIN,
  boom: PLAIN,
}

/** Ways of putting a dead bait on that hold it straight on its line. */
const STRAIGHT: readonly string[] = ['stitched', 'threaded', 'bound']

const hangsStraight = ({ trimmed, rigging }: Extract<Piece, { role: 'bait' }>): boolean =>
  trimmed === true || (rigging !== undefined && STRAIGHT.includes(rigging))

/** Whether a part turns, so that what swims or spins below it does not twist what is above. */
export const canTurn = (piece: Piece): boolean => piece.role === 'hardware' && TAKES_TO_M[piece.type] !== undefined

/** Everything of a trace that spins, and the swivel that takes the twist. */
export function twistsOf({ trace, catalogue, tracePath }: Pick<PreparedSetup, 'trace' | 'catalogue' | 'tracePath'>): Twist[] {
  return trace.pieces.flatMap((piece) => {
    if (piece.role === 'lure') return piece.spins ? [twistOf(piece.id, 'lure', tracePath(piece.id))] : []
    if (piece.role !== 'bait' || hangsStraight(piece) || !catalogue.baits[piece.bait].spins) return []
    // It twists what its hook hangs by.
    return isOnHook(trace, piece) ? [twistOf(piece.id, 'bait', tracePath(parentId(piece.attach)))] : []
  })
}

function twistOf(id: string, role: keyof Takes, path: readonly PathElement[]): Twist {
  let awayM = 0
  for (const element of path.toReversed()) {
    awayM += alongM(element)
    if (element.kind !== 'part' || element.piece.role !== 'hardware') continue
    const toM = TAKES_TO_M[element.piece.type]
    if (toM) return { id, swivel: { id: element.id, awayM, takes: awayM <= toM[role] } }
  }
  return { id }
}

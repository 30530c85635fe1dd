import type { BaitType } from '../../catalogue/ids.ts'
import { parentId, pieceById } from '../../documents/pieces.ts'
import type { PreparedSetup } from '../prepareSetup.ts'

/** A bait that spins in the stream and as it is wound in, and what takes its twist; without a swivel the leader takes it. */
export type Twist = {
  hookId: string
  bait: BaitType
  /** The swivel nearest above it, with the line between; braid hardly turns a plain one under load. */
  swivel?: { id: string; awayM: number; ballBearing: boolean }
}

/** Baits that spin. Nominal, ours: those cut or hooked out of their own line. */
const SPINS: readonly BaitType[] = ['cuttlefishStrip', 'halfFish']
const TURNS: readonly string[] = ['swivel', 'rollingSwivel', 'ballBearingSwivel', 'threeWay', 'snapSwivel', 'boom']

/** Every bait of a trace that spins, and the swivel that takes the twist. */
export function twistsOf({ trace, tracePath }: Pick<PreparedSetup, 'trace' | 'tracePath'>): Twist[] {
  return trace.pieces.flatMap((piece): Twist[] => {
    if (piece.role !== 'bait' || !SPINS.includes(piece.bait)) return []
    const hookId = parentId(piece.attach)
    if (pieceById(trace, hookId)?.role !== 'hook') return []
    let awayM = 0
    for (const element of tracePath(hookId).toReversed()) {
      if (element.kind === 'line') awayM += Math.abs(element.toM - element.fromM)
      if (element.kind === 'part' && element.piece.role === 'hardware' && TURNS.includes(element.piece.type)) {
        const ballBearing = element.piece.type === 'ballBearingSwivel'
        return [{ hookId, bait: piece.bait, swivel: { id: element.id, awayM, ballBearing } }]
      }
    }
    return [{ hookId, bait: piece.bait }]
  })
}

import type { Catalogue } from './catalogue.ts'
import type { ConnectionId, Material } from './ids.ts'

/** A line as a knot knows it. */
type Tied = { material: Material; diameterM: number }

/** Turns that a connection is tied with in a line unless said: fewer as the line thickens, more in braid; 0 where it has none. */
export function defaultTurns(catalogue: Catalogue, id: ConnectionId, { material, diameterM }: Tied): number {
  const rule = catalogue.connections[id].turns
  if (!rule) return 0
  const { usual, thin, heavy } = material === 'braid' ? (rule.braid ?? rule) : rule
  if (thin && diameterM < thin.belowM) return thin.turns
  return heavy && diameterM > heavy.aboveM ? heavy.turns : usual
}

/** How much of its strength a knot loses as its turns go from the usual to none, and how steeply. Nominal, ours. */
const [LOST_WITHOUT_TURNS, STEEPNESS] = [0.8, 1.5]

/** Share that a knot keeps with so many turns of the usual: too few cost up to slipping, more than usual cost only line. */
export const keptWithTurns = (turns: number, usual: number): number =>
  1 - LOST_WITHOUT_TURNS * Math.max(0, 1 - turns / usual) ** STEEPNESS

/** Loop made where none is given, m: enough to pass a sinker's eye or a hand's finger. */
export const DEFAULT_LOOP_M = 0.05

/**
 * Line that one connection uses in one line, tags included: `handling + loops × loop + 7 × turns × diameter`.
 * @returns length, m. Nominal; the angler's own measure replaces it.
 */
export function lineUsedM(catalogue: Catalogue, id: ConnectionId, line: Tied, tied: { turns: number; loopM: number }): number {
  const { use } = catalogue.connections[id]
  const woven = use.wovenHandlingM !== undefined
  const handlingM = woven && line.material === 'braid' ? use.wovenHandlingM : use.handlingM
  // What uses no line of its own (a fixture, a hitch made with a loop that is there) has no turns of it either, nor what lies straight.
  const turning = woven ? line.material === 'braid' : use.handlingM > 0 || use.loops > 0
  return (handlingM ?? 0) + use.loops * tied.loopM + (turning ? 7 * tied.turns * line.diameterM : 0)
}

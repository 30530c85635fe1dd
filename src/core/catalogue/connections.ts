import type { Catalogue } from './catalogue.ts'
import type { ConnectionId, Material } from './ids.ts'

/** A line as a knot knows it. */
type Tied = { material: Material; diameterM: number }

/** Turns that a connection is tied with in a line unless said: fewer as the line thickens, more in braid; 0 where it has none. */
export function defaultTurns(catalogue: Catalogue, id: ConnectionId, { material, diameterM }: Tied): number {
  const rule = catalogue.connections[id].turns
  if (!rule) return 0
  if (material === 'braid' && rule.braid !== undefined) return rule.braid
  return rule.heavy && diameterM > rule.heavy.aboveM ? rule.heavy.turns : rule.usual
}

/** Loop made where none is given, m: enough to pass a sinker's eye or a hand's finger. */
export const DEFAULT_LOOP_M = 0.05

/**
 * Line that one connection uses in one line, tags included: `handling + loops × loop + 7 × turns × diameter`.
 * @returns length, m. Nominal; the angler's own measure replaces it.
 */
export function lineUsedM(catalogue: Catalogue, id: ConnectionId, line: Tied, tied: { turns: number; loopM: number }): number {
  const { use } = catalogue.connections[id]
  const handlingM = line.material === 'braid' ? (use.braidHandlingM ?? use.handlingM) : use.handlingM
  // What uses no line of its own (a fixture, a hitch made with a loop that is there) has no turns of it either.
  const turns = use.handlingM === 0 && use.loops === 0 ? 0 : tied.turns
  return handlingM + use.loops * tied.loopM + 7 * turns * line.diameterM
}

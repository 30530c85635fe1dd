import type { Catalogue, OwnConnection } from '../catalogue/catalogue.ts'
import type { ConnectionId, Material } from '../catalogue/ids.ts'
import type { Observation, Pull } from '../documents/observation.ts'
import {
  type Tested,
  type TestedEfficiency,
  testedEfficiency,
  testedMean,
  testedMeanWithoutEach,
} from '../physics/strength/testedEfficiency.ts'
import { activeObservations } from './activeObservations.ts'

/** What the nominal figure counts as, in pulls, and how sure its spread is. Ours. */
const PRIOR = { priorWeight: 4, priorDegrees: 6 }
/** So many standard deviations from what the others say a pull is marked: it counts all the same. Ours. */
const FAR_OFF = 3

/** A pull that broke, as a share of the line, and whether it lies far from the others. */
export type Break = { pull: Pull; share: number; farOff: boolean }
/** What the pulls of a connection in a material say: before, each pull, and after. */
export type KnotLesson = {
  prior: TestedEfficiency
  posterior: TestedEfficiency
  breaks: Break[]
  /** Slips, what was discarded, and samples of which something else gave: told, and counted in nothing. */
  apart: Pull[]
}

/** The pulls that count of everything that was told. */
export const activePulls = (told: readonly Observation[]): Pull[] =>
  activeObservations(told).filter((each): each is Pull => each.kind === 'pull')

/** What counts as the connection’s own break: it parted there, or its line did beside it, and nobody discarded it. */
const counts = ({ parted, discarded }: Pull) => discarded === undefined && (parted === 'knot' || parted === 'line')

/**
 * What the pulls of a connection in a material say of its share of the line’s strength.
 * @returns undefined where there is no nominal figure to begin from.
 */
export function knotLesson(
  catalogue: Catalogue,
  pulls: readonly Pull[],
  id: ConnectionId,
  material: Material,
): KnotLesson | undefined {
  const of = pulls.filter((pull) => pull.connection === id && pull.material === material)
  const broke = of.filter(counts)
  const tests = testsOf(catalogue, broke, id, material)
  if (!tests) return undefined
  // Compared with the others only: a pull would widen the range that it is compared with.
  const others = testedMeanWithoutEach(tests)
  return {
    prior: testedEfficiency({ ...tests, tested: [] }),
    posterior: testedEfficiency(tests),
    breaks: broke.map((pull, i) => {
      const { mean, variation } = others[i]!
      const share = tests.tested[i]!
      return { pull, share, farOff: Math.abs(share - mean) > FAR_OFF * variation * mean }
    }),
    apart: of.filter((pull) => !counts(pull)),
  }
}

/** The nominal figure of a connection in a material with the pulls that broke; undefined where it has none. */
export function testsOf(catalogue: Catalogue, pulls: readonly Pull[], id: ConnectionId, material: Material): Tested | undefined {
  const { efficiency, spread } = catalogue.connections[id]
  const nominal = efficiency[material]
  if (nominal === undefined) return undefined
  const own = pulls.filter((pull) => pull.connection === id && pull.material === material && counts(pull))
  const tested = own.map((pull) => shareOf(catalogue, pull))
  return { ...PRIOR, nominalEfficiency: nominal, nominalVariation: spread, tested }
}

/** A soaked line bears less by itself: that is not the knot’s doing. */
const shareOf = ({ materials }: Catalogue, { loadN, lineN, material, wet }: Pull) =>
  loadN / (lineN * (wet ? materials[material].wetCondition : 1))

/** What a crew’s pulls lay over the nominal figures: each connection in each material that was pulled at least once. */
export function ownConnections(catalogue: Catalogue, pulls: readonly Pull[]): OwnConnection[] {
  const byPair = new Map<string, Pull[]>()
  for (const pull of pulls) {
    if (!counts(pull)) continue
    const pair = `${pull.connection} ${pull.material}`
    const known = byPair.get(pair)
    if (known) known.push(pull)
    else byPair.set(pair, [pull])
  }
  return [...byPair.values()].flatMap((alike): OwnConnection[] => {
    const { connection, material } = alike[0]!
    const tests = testsOf(catalogue, alike, connection, material)
    if (!tests) return []
    const { mean, variation } = testedMean(tests)
    return [{ connection, material, mean: Math.min(1, mean), spread: variation, tests: alike.length }]
  })
}

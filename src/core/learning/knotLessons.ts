import { type Catalogue, NOTABLE_SLIPS, type OwnConnection } from '../catalogue/catalogue.ts'
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

/** A pull that failed at the knot, as a share of the line, and whether it lies far from the others. */
export type Break = { pull: Pull; share: number; farOff: boolean }
/** What the pulls of a connection in a material say: before, each pull, and after. */
export type KnotLesson = {
  prior: TestedEfficiency
  posterior: TestedEfficiency
  /** Breaks and slips together: a slip ends a fight as well. */
  breaks: Break[]
  slipped: number
  /** What was discarded, and samples of which something else gave: shown, and counted in nothing. */
  apart: Pull[]
}

/** The pulls that count of everything that was told. */
export const activePulls = (told: readonly Observation[]): Pull[] =>
  activeObservations(told).filter((each): each is Pull => each.kind === 'pull')

/** What counts as the connection’s own failure: it parted there, its line did beside it, or it slipped, and nobody discarded it. */
const counts = ({ parted, discarded }: Pull) => discarded === undefined && parted !== 'hook'

const isSlip = ({ parted }: Pull) => parted === 'slipped'

/** The load that slips stand for, as a share of the line: their mean where they are a notable share; endless where they are not. */
function slipCeiling(catalogue: Catalogue, pulls: readonly Pull[]): number {
  const slips = pulls.filter(isSlip)
  // A single one may be a badly tied sample.
  if (slips.length < 2 || slips.length < NOTABLE_SLIPS * pulls.length) return Number.POSITIVE_INFINITY
  return slips.reduce((sum, pull) => sum + shareOf(catalogue, pull), 0) / slips.length
}

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
    posterior: atMost(testedEfficiency(tests), slipCeiling(catalogue, broke)),
    slipped: broke.filter(isSlip).length,
    breaks: broke.map((pull, i) => {
      const { mean, variation } = others[i]!
      const share = tests.tested[i]!
      return { pull, share, farOff: Math.abs(share - mean) > FAR_OFF * variation * mean }
    }),
    apart: of.filter((pull) => !counts(pull)),
  }
}

/** A figure that is no higher than a share: its range moves down with it. */
function atMost(figure: TestedEfficiency, share: number): TestedEfficiency {
  const down = Math.min(1, share / figure.mean)
  return { ...figure, mean: down * figure.mean, low: down * figure.low, high: down * figure.high }
}

/** The nominal figure of a connection in a material with the pulls that failed there; undefined where it has none. */
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
    const slipped = alike.filter(isSlip).length
    const working = Math.min(1, mean, slipCeiling(catalogue, alike))
    return [{ connection, material, mean: working, spread: variation, tests: alike.length, ...(slipped > 0 ? { slipped } : {}) }]
  })
}

import type { Catalogue, OwnConnection } from '../catalogue/catalogue.ts'
import type { ConnectionId, Material } from '../catalogue/ids.ts'
import type { Pull } from '../documents/observation.ts'
import { knotLesson, testsOf } from '../learning/knotLessons.ts'
import type { FailingLink } from '../physics/strength/failingLinks.ts'
import { chanceFinder } from '../physics/strength/failure.ts'
import { type TestedEfficiency, testedEfficiency } from '../physics/strength/testedEfficiency.ts'
import { kindOfKey } from './linkKinds.ts'
import type { ChainSum, Sums } from './sums.ts'

/** A knot’s share of its line’s strength by its pull tests, and by those and the breaks on the water together. */
export type FieldEfficiency = {
  connection: ConnectionId
  material: Material
  /** Pulls that count, breaks of chains that it was in, and how many of them it went first in. */
  pulls: number
  chains: number
  wentFirst: number
  /** Of the pulls, those in which it slipped: where they are a notable share it works no higher than they say. */
  slipped: number
  tested: TestedEfficiency
  field: { mean: number; low: number; high: number }
}

/** Steps of the grid over a knot’s mean, which reaches so many times as far as the pull tests leave open on either side. */
const STEPS = 48
const REACH = 3
const LEAST = 0.05
const TAIL = 0.05
/** A chance that cannot be worked out finer counts as this. */
const LEAST_CHANCE = 1e-4

/**
 * What breaks on the water say of each knot: what its pull tests leave open, weighted by how likely each logged first break is if the
 * knot’s mean were so. One knot at a time, on a grid; all other links at their nominal figures.
 * Source: Bayes’ rule. Valid: breaks under a fish that were seen, independent of each other.
 */
export function fieldEfficiencies(
  sums: Pick<Sums, 'chains'>,
  catalogue: Catalogue,
  pulls: readonly Pull[],
  onProgress: (share: number) => void = () => {},
): FieldEfficiency[] {
  // The tables of the other links are kept from one mean to the next.
  const chancesOf = chanceFinder()
  const kinds = [...new Set(sums.chains.flatMap(({ links }) => links.map(({ kind }) => kind)))]
  return kinds.flatMap((key, i): FieldEfficiency[] => {
    onProgress(i / kinds.length)
    const kind = kindOfKey(key)
    if (kind.of !== 'knot' || kind.material === undefined) return []
    const { connection, material } = kind
    const tests = testsOf(catalogue, pulls, connection, material)
    const lesson = knotLesson(catalogue, pulls, connection, material)
    if (!tests || !lesson) return []
    const tested = testedEfficiency(tests)
    // Where slips are the ceiling, no break lifts it.
    const ceiling = lesson.posterior.mean < tested.mean ? lesson.posterior.mean : 1
    const chains = sums.chains.filter(({ links }) => links.some((link) => link.kind === key))
    const breaks = (of: ChainSum, wanted: (at: number) => boolean) =>
      of.first.reduce((sum, { at, times }) => sum + (wanted(at) ? times : 0), 0)
    return [
      {
        connection,
        material,
        pulls: tests.tested.length,
        chains: chains.reduce((sum, chain) => sum + breaks(chain, () => true), 0),
        wentFirst: chains.reduce((sum, chain) => sum + breaks(chain, (at) => chain.links[at]?.kind === key), 0),
        slipped: lesson.slipped,
        tested: lesson.posterior,
        field: weighted(tested, ceiling, (mean) => logLikelihood(chains, key, mean / tests.nominalEfficiency, chancesOf)),
      },
    ]
  })
}

/** The interval of the pull tests as a normal distribution, each mean weighted by what was seen. */
function weighted(
  { mean, low, high }: TestedEfficiency,
  ceiling: number,
  logWeight: (mean: number) => number,
): FieldEfficiency['field'] {
  // The interval holds nine in ten: 1.645 deviations on either side.
  const deviation = (high - low) / (2 * 1.645)
  const from = Math.max(LEAST, mean - REACH * deviation * 1.645)
  const to = Math.min(1.2, mean + REACH * deviation * 1.645)
  const grid = Array.from({ length: STEPS + 1 }, (_, i) => from + ((to - from) * i) / STEPS)
  const logs = grid.map((x) => logWeight(x) - (x - mean) ** 2 / (2 * deviation ** 2))
  const top = Math.max(...logs)
  const mass = logs.map((each) => Math.exp(each - top))
  const total = mass.reduce((sum, each) => sum + each, 0)
  const quantile = (share: number) => {
    let sum = 0
    for (const [i, each] of mass.entries()) {
      if (sum + each >= share * total) return grid[i]! + ((share * total - sum) / each - 0.5) * (grid[1]! - grid[0]!)
      sum += each
    }
    return grid.at(-1)!
  }
  const found = mass.reduce((sum, each, i) => sum + each * grid[i]!, 0) / total
  const down = Math.min(1, ceiling / found)
  return { mean: down * found, low: down * quantile(TAIL), high: down * quantile(1 - TAIL) }
}

/** The logarithm of how likely the first breaks of some chains are, if a kind of knot keeps so many times as much as nominal. */
function logLikelihood(
  chains: readonly ChainSum[],
  key: string,
  times: number,
  chancesOf: ReturnType<typeof chanceFinder>,
): number {
  let sum = 0
  for (const { links, first } of chains) {
    const failing: FailingLink[] = []
    const ends = links.map((link) => {
      failing.push(...link.failing.map((each) => (link.kind === key ? withMean(each, times) : each)))
      return failing.length
    })
    const chances = chancesOf(failing).first()
    for (const { at, times: often } of first) {
      const chance = chances.slice(ends[at - 1] ?? 0, ends[at]).reduce((all, each) => all + each, 0)
      sum += often * Math.log(Math.max(LEAST_CHANCE, chance))
    }
  }
  return sum
}

/** A knot that keeps so many times as much; its spread in newtons stays. */
function withMean(link: FailingLink, times: number): FailingLink {
  return 'efficiency' in link
    ? { ...link, efficiency: link.efficiency * times, variation: link.variation / times }
    : { ...link, meanN: link.meanN * times, variation: link.variation / times }
}

/** The figures of pull tests and breaks together, to be laid over the catalogue. */
export const asOwn = ({ connection, material, pulls, chains, slipped, field, tested }: FieldEfficiency): OwnConnection => ({
  connection,
  material,
  mean: field.mean,
  spread: tested.variation,
  tests: pulls,
  ...(slipped > 0 ? { slipped } : {}),
  breaks: chains,
})

import { normalCdf } from '../math/normal.ts'

/** What is thought of a ratio: its median, and the standard deviation of its logarithm. */
export type Belief = { median: number; spread: number }
/** One thing seen: what was asked of the ratio, and whether it held. */
export type Evidence = { demand: number; held: boolean }
/** What is thought after the evidence; `low` and `high` are passed by nine in ten and one in ten. */
export type Learned = Belief & { low: number; high: number }

/** How far a demand calculated for one cast or drop may be off, as the standard deviation of its logarithm: swell, swing. Ours. */
const NOISE = 0.2
/** The grid of the logarithm: so many spreads on either side, in so many steps. */
const REACH = 6
const STEPS = 600

/**
 * Belief in a ratio, a sinker's grip for one, after it was seen to hold some demands and to fail others: Bayes' rule on a grid of its
 * logarithm. The prior is normal there; a demand d is held with the chance `Φ((ln ratio − ln d) / 0.2)`.
 * Source: T. Bayes (1763). Valid: what was seen is independent; the 0.2 is nominal, ours.
 */
export function learnRatio(prior: Belief, evidence: readonly Evidence[]): Learned {
  const { spread } = prior
  const middle = Math.log(prior.median)
  const at = (i: number) => middle + spread * REACH * ((2 * i) / STEPS - 1)
  const grid = Array.from({ length: STEPS + 1 }, (_, i) => at(i))
  const weights = grid.map((x) => {
    const chance = evidence.reduce((sum, { demand, held }) => {
      const z = (x - Math.log(demand)) / NOISE
      return sum + Math.log(Math.max(normalCdf(held ? z : -z), 1e-300))
    }, 0)
    return chance - (x - middle) ** 2 / (2 * spread ** 2)
  })
  const top = Math.max(...weights)
  const mass = weights.map((weight) => Math.exp(weight - top))
  const total = mass.reduce((sum, each) => sum + each, 0)
  const mean = mass.reduce((sum, each, i) => sum + each * at(i), 0) / total
  const variance = mass.reduce((sum, each, i) => sum + each * (at(i) - mean) ** 2, 0) / total
  const quantile = (share: number) => Math.exp(quantileOf(at, mass, share * total))
  return { median: quantile(0.5), spread: Math.sqrt(variance), low: quantile(0.1), high: quantile(0.9) }
}

/** The chance that a demand is held, by what is thought of the ratio: the belief's spread and that of a single demand together. */
export const heldChance = ({ median, spread }: Belief, demand: number): number =>
  normalCdf(Math.log(median / demand) / Math.hypot(spread, NOISE))

/** Where a running sum over a grid, each weight spread over its cell, passes a share. */
function quantileOf(at: (i: number) => number, mass: readonly number[], wanted: number): number {
  const step = at(1) - at(0)
  let sum = 0
  for (const [i, each] of mass.entries()) {
    if (sum + each >= wanted) return at(i) + step * ((wanted - sum) / each - 0.5)
    sum += each
  }
  return at(mass.length - 1)
}

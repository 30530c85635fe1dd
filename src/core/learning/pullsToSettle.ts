import { normalOf, seeded } from '../math/seeded.ts'
import { chanceBetter, type Tested, testedEfficiency } from '../physics/strength/testedEfficiency.ts'

/** So sure of which is the better that no more pulls are wanted. */
export const SURE = 0.9
/** More pulls of each than these nobody makes; and so many at a time are looked at. */
export const STEPS = [1, 2, 3, 5, 8, 12, 20, 30] as const
const CREWS = 60

export type ToSettle = { a: Tested; b: Tested; seed: number }
/** Pulls of each that settle it as often as not; undefined where even the most do not. `settled`: how often they do. */
export type PullCount = { pulls: number | undefined; settled: number }

/**
 * How many more pulls of each of two knots would settle which is the better: crews are imagined for whom the means and spreads are as
 * now thought, and pull until one is the better with nine chances in ten.
 * Source: simulation of the posterior predictive distribution, from a seed.
 */
export function pullsToSettle({ a, b, seed }: ToSettle, onProgress: (share: number) => void = () => {}): PullCount {
  const even = seeded(seed)
  const needed = Array.from({ length: CREWS }, (_, crew) => {
    onProgress(crew / CREWS)
    const [pullA, pullB] = [imagined(a, even), imagined(b, even)]
    const [more, other]: [number[], number[]] = [[], []]
    return STEPS.find((n) => {
      while (more.length < n) {
        more.push(pullA())
        other.push(pullB())
      }
      const chance = chanceBetter({ ...a, tested: [...a.tested, ...more] }, { ...b, tested: [...b.tested, ...other] })
      return Math.max(chance, 1 - chance) >= SURE
    })
  })
  const settled = needed.filter((n) => n !== undefined).toSorted((x, y) => x - y)
  return { pulls: settled[Math.ceil(CREWS / 2) - 1], settled: settled.length / CREWS }
}

/** Pulls of a crew whose mean lies somewhere in what is thought now. */
function imagined(tests: Tested, even: () => number): () => number {
  const { mean, high, variation } = testedEfficiency(tests)
  // The interval is taken as a normal one: 1.645 deviations to its end.
  const own = mean + ((high - mean) / 1.645) * normalOf(even)
  return () => Math.max(0.01, own + variation * mean * normalOf(even))
}

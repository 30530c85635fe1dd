import { forEachGaussPoint } from './gaussLegendre.ts'

/** Panels of eight points from the middle to where nothing is left of the density: about a standard deviation each. */
const PANELS = 16
/** Powers of the cosine under this count for nothing. */
const NOTHING = 1e-18

/**
 * Student’s t with some degrees of freedom, seen through t = √ν tan θ: its density is there a power of the cosine, `cos^(ν−1) θ`,
 * smooth and without tails.
 */
export type StudentT = {
  /** P(T ≤ t). */
  cdf: (t: number) => number
  /** Mean of a function of T that stays bounded. */
  expectation: (of: (t: number) => number) => number
  /** t that T stays under with a chance between 0 and 1. */
  quantile: (chance: number) => number
}

/**
 * The distribution that a mean of normal values has while their variance is learned too; to about 1e-10.
 * @param degrees ν, at least 2.
 * Source: W. S. Gosset (1908); the substitution is the usual one of the Beta integral.
 */
export function studentT(degrees: number): StudentT {
  const power = degrees - 1
  const farthest = Math.acos(NOTHING ** (1 / power))
  const root = Math.sqrt(degrees)
  const width = farthest / PANELS
  const density = (theta: number) => Math.cos(theta) ** power
  /** The density beyond the start of each panel, so that a chance takes a part of one panel and not all of them. */
  const left = [0]
  for (let i = PANELS - 1; i >= 0; i -= 1) left.unshift(left[0]! + overPanel(i * width, (i + 1) * width, density))
  const half = left[0]!
  const beyond = (theta: number) => {
    const panel = Math.floor(theta / width)
    return panel >= PANELS ? 0 : (left[panel + 1]! + overPanel(theta, (panel + 1) * width, density)) / (2 * half)
  }
  const cdf = (t: number) => {
    const tail = beyond(Math.atan(Math.abs(t) / root))
    return t > 0 ? 1 - tail : tail
  }
  return {
    cdf,
    expectation: (of) => {
      const weighted = (theta: number) => {
        const t = root * Math.tan(theta)
        return density(theta) * (of(t) + of(-t))
      }
      let sum = 0
      for (let i = 0; i < PANELS; i += 1) sum += overPanel(i * width, (i + 1) * width, weighted)
      return sum / (2 * half)
    },
    quantile: (chance) => {
      const tail = Math.min(chance, 1 - chance)
      let [low, high] = [0, farthest]
      let theta = farthest / 2
      // Newton's method; a step that leaves the bracket is replaced by a bisection.
      while (high - low > 1e-13) {
        const excess = beyond(theta) - tail
        if (excess > 0) low = theta
        else high = theta
        const next = theta + (2 * half * excess) / density(theta)
        if (Math.abs(next - theta) < 1e-14) break
        theta = next > low && next < high ? next : (low + high) / 2
      }
      return Math.sign(chance - 0.5) * root * Math.tan(theta)
    },
  }
}

function overPanel(low: number, high: number, of: (x: number) => number): number {
  let sum = 0
  forEachGaussPoint(low, high, (x, weight) => {
    sum += weight * of(x)
  })
  return sum
}

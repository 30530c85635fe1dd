import { studentT } from '../../math/studentT.ts'

/** What was thought of a connection before anyone pulled it, and the shares of the line’s strength that it broke at. */
export type Tested = Prior & { tested: readonly number[] }

type Prior = {
  nominalEfficiency: number
  nominalVariation: number
  /** The nominal figure counts as so many pulls. */
  priorWeight: number
  /** And what is thought of its spread, as a variance with so many degrees of freedom. */
  priorDegrees: number
}

/** The mean with the interval that holds it nine times in ten, and the spread of a single pull over the mean. */
export type TestedEfficiency = { mean: number; low: number; high: number; variation: number }

/** Chance left out at each end of the interval. */
const TAIL = 0.05

/** Count, average, and sum of squared distances from the average. */
type Sums = { n: number; average: number; squares: number }

function sumsOf(values: readonly number[]): Sums {
  const n = values.length
  const average = n === 0 ? 0 : values.reduce((total, each) => total + each, 0) / n
  return { n, average, squares: values.reduce((total, each) => total + (each - average) ** 2, 0) }
}

/** The sums without one of the values: Welford’s update run backwards, which avoids cancellation of large sums. */
function sumsWithout({ n, average, squares }: Sums, value: number): Sums {
  if (n <= 1) return { n: 0, average: 0, squares: 0 }
  const without = average - (value - average) / (n - 1)
  return { n: n - 1, average: without, squares: Math.max(0, squares - (value - average) * (value - without)) }
}

type Posterior = ReturnType<typeof posterior>

/** What is thought of the mean after the pulls: Student’s t about `mean`, `scale` wide, with `degrees`. */
function posterior({ nominalEfficiency, nominalVariation, priorWeight, priorDegrees }: Prior, { n, average, squares }: Sums) {
  const alpha = priorDegrees / 2
  const weight = priorWeight + n
  const mean = (priorWeight * nominalEfficiency + n * average) / weight
  const beta =
    (alpha - 1) * (nominalVariation * nominalEfficiency) ** 2 +
    squares / 2 +
    (priorWeight * n * (average - nominalEfficiency) ** 2) / (2 * weight)
  const alphaAfter = alpha + n / 2
  return {
    mean,
    scale: Math.sqrt(beta / (alphaAfter * weight)),
    degrees: 2 * alphaAfter,
    variation: Math.sqrt(beta / (alphaAfter - 1)) / mean,
  }
}

/**
 * A connection’s share of its line’s strength after one’s own pulls: normal values with mean and variance unknown, a conjugate prior
 * from the nominal figure.
 * @param tested loads at the break over the line’s own strength; slips are counted apart.
 * @returns ratios. `low` and `high` bound the mean nine times in ten; `variation` is a single pull’s standard deviation over the mean.
 * Source: the normal–inverse-gamma posterior. Valid: pulls that do not depend on each other, of one line and one way of tying.
 */
export function testedEfficiency(tests: Tested): TestedEfficiency {
  const { mean, scale, degrees, variation } = posterior(tests, sumsOf(tests.tested))
  const reach = scale * studentT(degrees).quantile(1 - TAIL)
  return { mean, low: mean - reach, high: mean + reach, variation }
}

/** `testedEfficiency` without its interval, which costs far more than the rest. */
export function testedMean(tests: Tested): Pick<TestedEfficiency, 'mean' | 'variation'> {
  const { mean, variation } = posterior(tests, sumsOf(tests.tested))
  return { mean, variation }
}

/** `testedMean` of all pulls but one, for each of them in turn; the cost grows with their number, not with its square. */
export function testedMeanWithoutEach(tests: Tested): Pick<TestedEfficiency, 'mean' | 'variation'>[] {
  const sums = sumsOf(tests.tested)
  return tests.tested.map((value) => {
    const { mean, variation } = posterior(tests, sumsWithout(sums, value))
    return { mean, variation }
  })
}

/**
 * The chance that one connection’s mean is over another’s: `∫ f_a(x) F_b(x) dx`, both as in `testedEfficiency` and independent.
 * @returns a ratio.
 */
export function chanceBetter(a: Tested, b: Tested): number {
  const [one, other] = [a, b].map((tests) => posterior(tests, sumsOf(tests.tested))) as [Posterior, Posterior]
  const below = studentT(other.degrees)
  return studentT(one.degrees).expectation((t) => below.cdf((one.mean + one.scale * t - other.mean) / other.scale))
}

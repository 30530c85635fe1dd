import { betaCdf, betaQuantile, gammaQuantile } from './gamma.ts'

/** What a rate or a share is thought to be, and what it is over and under in 19 of 20 cases. */
export type Estimate = { mean: number; low: number; high: number }

/** Chance left out at each end. */
const TAIL = 0.05

export type RatePrior = { priorEvents: number; priorExposure: number }
export type Counted = { events: number; exposure: number }

/**
 * A steady rate after some events in some exposure, with a Gamma prior of so many events in so much.
 * @returns events per unit of exposure.
 * Source: Gamma prior, Poisson counts; A. Gelman et al., Bayesian Data Analysis, 3rd ed., section 2.6.
 */
export function learnRate({ priorEvents, priorExposure, events, exposure }: RatePrior & Counted): Estimate {
  const a = priorEvents + events
  const b = priorExposure + exposure
  return { mean: a / b, low: gammaQuantile(a, TAIL) / b, high: gammaQuantile(a, 1 - TAIL) / b }
}

/**
 * The chance that one rate is above another, both with the same prior: of two Gamma variables, by the Beta distribution of their share.
 * Source: N. L. Johnson et al., Continuous Univariate Distributions, vol. 2, ch. 25.
 */
export function learnBetterRate({ a, b, ...prior }: RatePrior & { a: Counted; b: Counted }): { probability: number } {
  const shape = (of: Counted) => prior.priorEvents + of.events
  const rate = (of: Counted) => prior.priorExposure + of.exposure
  // P(X/b_A > Y/b_B): of B’s share of X + Y, that it is under b_B / (b_A + b_B). Taken so, a chance near 1 keeps its digits.
  return { probability: betaCdf(shape(b), shape(a), rate(b) / (rate(a) + rate(b))) }
}

/** A share after some yes and no, with a Beta prior. Source: as `learnRate`, section 2.1. */
export function learnShare({
  priorYes,
  priorNo,
  yes,
  no,
}: {
  priorYes: number
  priorNo: number
  yes: number
  no: number
}): Estimate {
  const [a, b] = [priorYes + yes, priorNo + no]
  return { mean: a / (a + b), low: betaQuantile(a, b, TAIL), high: betaQuantile(a, b, 1 - TAIL) }
}

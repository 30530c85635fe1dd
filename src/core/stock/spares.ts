import { CoreError } from '../errors.ts'

export type SparesInput = {
  priorEvents: number
  priorExposure: number
  events: number
  exposure: number
  planned: number
  assurance: number
}
export type Spares = { meanLost: number; spares: number; runOut: number }

/** More spares than anyone carries. */
const MAX_SPARES = 100_000

/**
 * Spares to carry for losses at a rate that was learned: events over exposure, with a Gamma prior of so many events over so much. Losses
 * over the planned exposure follow a negative binomial distribution of shape a = prior + events and p = b / (b + planned).
 * @returns the mean number lost, the least number of spares that is enough with the assurance, and the chance that it is not.
 * @throws CoreError 'out-of-range' where more spares would be needed than anyone carries.
 * Source: Gamma prior, Poisson counts; A. Gelman et al., Bayesian Data Analysis, 3rd ed., section 2.6.
 */
export function stockSpares({ priorEvents, priorExposure, events, exposure, planned, assurance }: SparesInput): Spares {
  const a = priorEvents + events
  const b = priorExposure + exposure
  // In logarithms: with many events the chance of no loss at all is too small for a number.
  let logChance = a * Math.log(b / (b + planned))
  const logMore = Math.log(planned / (b + planned))
  let enough = Math.exp(logChance)
  let spares = 0
  while (enough < assurance) {
    if (spares >= MAX_SPARES) throw new CoreError('out-of-range', `More than ${MAX_SPARES} spares would be needed`)
    logChance += Math.log((a + spares) / (spares + 1)) + logMore
    spares += 1
    enough += Math.exp(logChance)
  }
  return { meanLost: (a * planned) / b, spares, runOut: Math.max(0, 1 - enough) }
}

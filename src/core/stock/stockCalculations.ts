import { z } from 'zod'
import { define, lineLengthM, nonNegative } from '../physics/calculation.ts'
import { MAX_TRACES, MAX_TRIES, stockBatch } from './batch.ts'
import { stockSpares } from './spares.ts'

const events = z.number().min(0).max(10_000)
const exposure = z.number().min(0).max(10_000)
const least = 1e-3

/** What to carry, and what can be made of what is left. */
export const STOCK_CALCULATIONS = {
  'stock.spares': define({
    title: 'Spares to carry for the losses of a trip',
    formula:
      'a = priorEvents + events; b = priorExposure + exposure; lost ~ negative binomial(a, b / (b + planned)); spares = least s with P(lost ≤ s) ≥ assurance',
    source: 'Gamma prior, Poisson counts: A. Gelman et al., Bayesian Data Analysis (3rd ed.), section 2.6',
    valid: 'losses at a steady rate, one independent of the other',
    input: z.strictObject({
      priorEvents: events.min(least),
      priorExposure: exposure.min(least),
      events,
      exposure,
      planned: exposure.min(least),
      assurance: z.number().min(0.01).max(0.999),
    }),
    output: z.object({ meanLost: nonNegative, spares: z.int().nonnegative(), runOut: nonNegative.max(1) }),
    run: (input) => stockSpares(input),
  }),
  'stock.batch': define({
    title: 'Complete traces from what is left on the spools of one line',
    formula: 'the most traces t such that t × every cut fits into the remnants, each cut one piece of one remnant',
    source: 'one-dimensional cutting stock, by search with bounds on length and on the number of pieces',
    valid: `a cut as long as its remnant fits; at most ${MAX_TRACES} traces; a number that ${MAX_TRIES} tries do not reach counts as not possible`,
    input: z.strictObject({
      remnantsM: z.array(lineLengthM).min(1).max(12),
      cutsM: z.array(lineLengthM).min(1).max(12),
    }),
    output: z.object({ traces: z.int().nonnegative().max(MAX_TRACES) }),
    run: (input) => stockBatch(input),
  }),
} as const

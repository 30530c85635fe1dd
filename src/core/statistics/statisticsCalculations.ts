import { z } from 'zod'
import { define, nonNegative } from '../physics/calculation.ts'
import { learnForetold } from './foretold.ts'
import { learnBetterRate, learnRate, learnShare } from './rates.ts'

const amount = z.number().min(0).max(100_000)
const prior = amount.min(1e-3)
const chance = z.number().min(0).max(1)
const counted = z.strictObject({ events: amount, exposure: amount })
const estimate = z.object({ mean: nonNegative, low: nonNegative, high: nonNegative })
const BAYES = 'A. Gelman et al., Bayesian Data Analysis (3rd ed.), sections 2.1 and 2.6'
/** The cost grows with the square. */
const MAX_FORETOLD = 5_000

/** What a log teaches. */
export const STATISTICS_CALCULATIONS = {
  'learn.rate': define({
    title: 'A rate from few events, with its interval',
    formula: 'a = priorEvents + events; b = priorExposure + exposure; mean = a / b; low, high = 5 % and 95 % of Gamma(a, b)',
    source: BAYES,
    valid: 'events at a steady rate, one independent of the other; hours or casts, the same throughout',
    input: z.strictObject({ priorEvents: prior, priorExposure: prior, events: amount, exposure: amount }),
    output: estimate,
    run: (input) => learnRate(input),
  }),
  'learn.betterRate': define({
    title: 'The chance that one rate is above another',
    formula: '1 − I(b_A / (b_A + b_B); a_A, a_B), I the regularised incomplete beta function',
    source: BAYES,
    valid: 'both rates steady and independent, with the same prior',
    input: z.strictObject({ priorEvents: prior, priorExposure: prior, a: counted, b: counted }),
    output: z.object({ probability: chance }),
    run: (input) => learnBetterRate(input),
  }),
  'learn.share': define({
    title: 'A share from few cases, with its interval',
    formula: 'a = priorYes + yes; b = priorNo + no; mean = a / (a + b); low, high = 5 % and 95 % of Beta(a, b)',
    source: BAYES,
    valid: 'cases independent of each other',
    input: z.strictObject({ priorYes: prior, priorNo: prior, yes: amount, no: amount }),
    output: estimate,
    run: (input) => learnShare(input),
  }),
  'learn.foretold': define({
    title: 'Whether as much happened as predicted',
    formula:
      'expected = Σp; the distribution of the sum by convolution; midP = min(1, 2 · min(P(X ≥ k), P(X ≤ k)), each less half of P(X = k))',
    source: 'the Poisson binomial distribution; mid-p: H. O. Lancaster (1961)',
    valid: 'independent events, with the chances that were said before them',
    input: z
      .strictObject({ chances: z.array(chance).min(1).max(MAX_FORETOLD), happened: z.int().min(0) })
      .refine(({ chances, happened }) => happened <= chances.length, {
        path: ['happened'],
        message: 'is more than there are events',
      }),
    output: z.object({ expected: nonNegative, atLeast: chance, atMost: chance, midP: chance }),
    run: (input) => learnForetold(input),
  }),
} as const

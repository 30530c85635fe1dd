import { z } from 'zod'

/** One registered calculation: the command line, the API and the reference page all read this. */
export type Calculation<I = unknown, O = unknown> = {
  title: string
  /** As one would write it on paper, in the field names of input and output. */
  formula: string
  source: string
  /** What it holds for, and what it leaves out. */
  valid: string
  input: z.ZodType<I>
  output: z.ZodType<O>
  run: (input: I) => O
}

export const define = <I, O>(calculation: Calculation<I, O>): Calculation<I, O> => calculation

/** Fields that every registry shares. */
export const positive = z.number().positive()
export const nonNegative = z.number().nonnegative()
export const waterDensityKgperM3 = positive.optional()

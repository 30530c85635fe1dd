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

/** What comes out, whatever its size. */
export const positive = z.number().positive()
export const nonNegative = z.number().nonnegative()

const from = (least: number, most: number) => z.number().min(least).max(most)

/** What goes in, each between the least and the greatest that the craft, with room to spare, could ask about. */
export const strengthN = from(1e-3, 1e6)
export const pullN = from(0, 1e6)
export const massKg = from(1e-6, 1_000)
export const lineLengthM = from(1e-4, 20_000)
export const lineOutM = from(0, 20_000)
export const lineDiameterM = from(1e-6, 0.05)
export const gearLengthM = from(1e-5, 20)
export const speedMperS = from(0, 200)
export const areaM2 = from(0, 10)
export const grip = from(0.01, 100)
export const densityKgperM3 = from(1, 30_000)
export const waterDensityKgperM3 = from(900, 1_200).optional()
export const share = from(1e-3, 1)
export const id = z.string().min(1).max(60)
/** A path has some twenty links; what is calculated over them grows with the cube of their number. */
export const MAX_LINKS = 60

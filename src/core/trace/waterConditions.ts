import { z } from 'zod'
import { BEDS, type Bed } from '../gear/grip.ts'

/** How a sinker is fished in the water: below a boat at anchor, cast up-current of it, below one adrift, or out from the shore. */
export const METHODS = {
  anchor: { name: 'at anchor, down-tide', scope: 1.2, reserve: 1.2 },
  uptide: { name: 'at anchor, cast up-tide', scope: 1.15, reserve: 2.5 },
  drift: { name: 'adrift', scope: 1.2, reserve: 1.2 },
  shore: { name: 'out from the shore', scope: 1.05, reserve: 1.5 },
} as const
export type Method = keyof typeof METHODS

/** Whether a method casts to a bed that the sinker grips; else the sinker hangs. */
export const isCastMethod = (method: Method) => method === 'shore' || method === 'uptide'

/** The water that a trace settles in, at the stream's peak. */
export const waterSchema = z.strictObject({
  method: z.enum(Object.keys(METHODS) as [Method, ...Method[]]),
  depthM: z.number().min(1, 'must be a metre or more').max(2_000),
  streamMperS: z.number().nonnegative('must not be negative').max(6),
  bed: z.enum(Object.keys(BEDS) as [Bed, ...Bed[]]).default('sand'),
  /** Line out over depth, or, cast, over the straight distance. */
  scope: z.number().min(1.01).max(3),
  /** From rod or boat to the sinker, where it is cast. */
  distanceM: z.number().positive('must be above 0').max(1_000).default(60),
  /** The boat's own way over the ground, with the stream and across it. */
  driftMperS: z.number().min(-6).max(6).default(0),
  driftAcrossMperS: z.number().min(-6).max(6).default(0),
  /** Times the line's thickness that weed on it makes. */
  weedFactor: z.number().min(1).max(3).default(1),
})

export type Water = z.infer<typeof waterSchema>

export const usualWater = (method: Method): Water =>
  waterSchema.parse({ method, depthM: method === 'shore' ? 5 : 25, streamMperS: 0.5, scope: METHODS[method].scope })

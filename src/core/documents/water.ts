import { z } from 'zod'
import type { Catalogue } from '../catalogue/catalogue.ts'
import { BED_IDS, METHOD_IDS, type Method } from '../catalogue/ids.ts'

/** The water that a trace settles in, at the stream's peak. */
export const waterSchema = z.strictObject({
  method: z.enum(METHOD_IDS),
  depthM: z.number().min(1, 'must be 1 m or more').max(2_000),
  streamMperS: z.number().nonnegative('must not be negative').max(6),
  /** The stream's peak at neaps, where the other is that at springs; absent: one stream is known. */
  neapMperS: z.number().nonnegative('must not be negative').max(6).optional(),
  bed: z.enum(BED_IDS).default('sand'),
  /** Line out over depth, or, cast, over the straight distance. */
  scope: z.number().min(1.01).max(3),
  /** From rod or boat to the sinker, where it is cast. */
  distanceM: z.number().min(0.1, 'must be above 0').max(1_000).default(60),
  /** The boat's own way over the ground, with the stream and across it. */
  driftMperS: z.number().min(-6).max(6).default(0),
  driftAcrossMperS: z.number().min(-6).max(6).default(0),
  /** Times the line's thickness that weed on it makes. */
  weedFactor: z.number().min(1).max(3).default(1),
})

export type Water = z.infer<typeof waterSchema>

/** The way of a boat in a calm: adrift it goes with the stream, else it stands still. */
export const calmDrift = (method: Method, streamMperS: number): Pick<Water, 'driftMperS' | 'driftAcrossMperS'> => ({
  driftMperS: method === 'drift' ? streamMperS : 0,
  driftAcrossMperS: 0,
})

/** Peak of a stream to begin from, m/s. */
const STREAM_MPERS = 0.5

/** Water to begin from, with the method’s usual scope; a boat adrift in a calm goes with the stream. */
export const defaultWater = ({ methods }: Pick<Catalogue, 'methods'>, method: Method): Water =>
  waterSchema.parse({
    method,
    depthM: method === 'shore' ? 5 : 25,
    streamMperS: STREAM_MPERS,
    scope: methods[method].scope,
    ...calmDrift(method, STREAM_MPERS),
  })

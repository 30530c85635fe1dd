import { z } from 'zod'
import { CAST_STYLE_IDS, LANDING_IDS } from '../catalogue/ids.ts'
import { LINE_SPREAD, PULLED_SPREAD } from '../catalogue/materials.ts'
import { targetSchema } from './fish.ts'
import { movingSchema } from './moving.ts'
import { CONDITIONS_VERSION } from './versions.ts'
import { waterSchema } from './water.ts'

/** How well a fish sees a line. */
export const CLARITIES = ['clear', 'coloured'] as const
export const LIGHTS = ['day', 'night'] as const
export const ROD_HELD = ['bent', 'pointed'] as const

const spread = z.number().min(0.01).max(0.13)

/** What a trace is judged under. Every field has the craft's usual value. */
export const conditionsSchema = z.strictObject({
  formatVersion: z.literal(CONDITIONS_VERSION),
  /** `none`: dropped from a boat, not cast. */
  castStyle: z.enum(CAST_STYLE_IDS).default('overhead'),
  /** Rod tip to the sinker as the cast begins. */
  dropM: z.number().min(0.01).max(10).default(1.2),
  launchDeg: z.number().min(0).max(80).default(40),
  lineOutM: z.number().nonnegative('must not be negative').max(5_000).default(80),
  fishSpeedMperS: z.number().nonnegative('must not be negative').max(25).default(2),
  dragN: z.number().min(0.1, 'must be above 0').max(5_000).default(30),
  /** Nobody gave the drag: it is a share of the line class, and no more than the chain allows, whatever the chain becomes. */
  dragAssumed: z.boolean().optional(),
  /** At the tip, the setting already includes the guides' friction. */
  dragMeasuredAt: z.enum(['reel', 'tip']).default('reel'),
  startFactor: z.number().min(1).max(3).default(1.2),
  guideFriction: z.number().nonnegative().max(1).default(0.12),
  guideWrapRad: z.number().nonnegative().max(Math.PI).default(1.2),
  /** In a sudden rush: bent, so that it gives, or pointed at the fish. */
  rodHeld: z.enum(ROD_HELD).default('bent'),
  allowedFraction: z.number().min(0.01).max(1).default(0.75),
  /** What is fished for; absent: nothing in particular. */
  target: targetSchema.optional(),
  /** The water, and the time of day; absent: not asked about. */
  clarity: z.enum(CLARITIES).optional(),
  light: z.enum(LIGHTS).optional(),
  /** The fish that is landed. */
  fishMassKg: z.number().min(0.001, 'must be above 0').max(1_000).default(3),
  /** Nobody gave the fish: its weight is only what the outfit lifts with ease, and is not judged by. */
  fishAssumed: z.boolean().optional(),
  /** Across its mouth; absent: not asked about. */
  mouthWidthM: z.number().min(0.001, 'is too small').max(2).optional(),
  landing: z.enum(LANDING_IDS).default('lift'),
  /** Height of the angler's feet above the water. */
  freeboardM: z.number().nonnegative().max(50).default(0),
  wet: z.boolean().default(true),
  /** Spread (coefficient of variation) of a line’s strength about its label, and about what its spool was pulled at. */
  lineSpread: spread.default(LINE_SPREAD),
  pulledSpread: spread.default(PULLED_SPREAD),
  /** Depth, stream and method; absent: how it settles is not calculated. */
  water: waterSchema.optional(),
  /** Absent: it does not move but with the stream. */
  moving: movingSchema.optional(),
})

export type Conditions = z.infer<typeof conditionsSchema>

/** The conditions of someone who set none; what a crew is used to is laid over them. */
export const defaultConditions = (own: { [Field in keyof Conditions]?: Conditions[Field] | undefined } = {}): Conditions =>
  conditionsSchema.parse({ ...own, formatVersion: CONDITIONS_VERSION })

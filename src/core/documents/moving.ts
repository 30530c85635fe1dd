import { z } from 'zod'
import { QUANTITIES } from '../units/quantities.ts'
import { documentName, strengthN } from './fields.ts'

export const MOVING_WAYS = ['trolled', 'retrieved', 'kite'] as const
export type MovingWay = (typeof MOVING_WAYS)[number]
/** More places of a course, or baits under one kite, than anyone plans. */
export const MAX_COURSE = 40
export const MAX_KITE_BAITS = 3

export const MIN_WATER_M = 0.5
const waterM = z.number().min(MIN_WATER_M, 'must be 0.5 m or more').max(2_000)
/** A speed to begin from is round in the unit that it is usually told in. */
const KNOT_MPERS = QUANTITIES.speed.units.kn
const speedMperS = z.number().min(0.05, 'is too slow').max(10, 'is over 10 m/s')
const awayM = z.number().min(1, 'must be 1 m or more').max(1_000)

/** Where it is meant to swim: so far under the surface, or so far over the bed. */
const heightSchema = z.strictObject({
  from: z.enum(['surface', 'bed']),
  m: z.number().min(0, 'must not be negative').max(500),
})
export type SwimsAt = z.infer<typeof heightSchema>

const trolled = z.strictObject({
  way: z.literal('trolled'),
  /** Through the water. */
  speedMperS: speedMperS.default(3 * KNOT_MPERS),
  /** In the water, behind the boat. */
  lineOutM: awayM.default(30),
  swimsAt: heightSchema.default({ from: 'surface', m: 3 }),
  waterM: waterM.default(15),
  /** Depths along the boat's way, by the distance from its start. */
  course: z
    .array(z.strictObject({ alongM: z.number().min(0).max(100_000), depthM: waterM }))
    .max(MAX_COURSE)
    .optional(),
  /** Another line beside it, of the same trace: how far out, and its weights so many times as heavy. */
  beside: z
    .strictObject({ lineOutM: awayM, weightTimes: z.number().min(0.1).max(10), apartM: z.number().min(0).max(30) })
    .optional(),
  /** Of a turn of the boat. */
  turnRadiusM: z.number().min(5, 'is tighter than a boat can turn').max(1_000).default(40),
})

const retrieved = z.strictObject({
  way: z.literal('retrieved'),
  /** Line out as winding begins. */
  lineOutM: awayM.default(50),
  swimsAt: heightSchema.default({ from: 'bed', m: 1 }),
  /** Upper water or lower: a second plan beside the first. */
  otherAt: heightSchema.optional(),
  /** Where it lands, and under the rod. */
  waterM: waterM.default(6),
  nearWaterM: waterM.default(3),
  rodTip: z.enum(['high', 'low']).default('low'),
  pauseS: z.number().min(0, 'must not be negative').max(60).default(3),
})

const kite = z.strictObject({
  way: z.literal('kite'),
  /** At 10 m over the sea. */
  windMperS: z
    .number()
    .min(0.5, 'is too little for a kite')
    .max(40, 'is too much for any kite')
    .default(12 * KNOT_MPERS),
  /** Line from the tip to the ring over the straight way. */
  slack: z.number().min(1.001, 'is under 1.001').max(1.3, 'is over 1.3').default(1.02),
  ringFriction: z.number().min(0).max(1).default(0.1),
  /** Label of the kite’s own line; absent: not asked about. */
  kiteLineN: strengthN.optional(),
  baits: z
    .array(
      z.strictObject({
        name: documentName,
        ringHeightM: z.number().min(0.5, 'must be over the sea').max(200),
        ringDistanceM: awayM,
        /** Lead that it carries; absent: what the trace has. */
        leadKg: z.number().min(0).max(2).optional(),
      }),
    )
    .min(1, 'has no bait')
    .max(MAX_KITE_BAITS, `has over ${MAX_KITE_BAITS} baits`)
    .default([
      { name: 'short', ringHeightM: 15, ringDistanceM: 30 },
      { name: 'long', ringHeightM: 20, ringDistanceM: 50 },
    ]),
})

/** How a line moves while it fishes: towed behind a boat, wound in, or flown from a kite. */
export const movingSchema = z.discriminatedUnion('way', [trolled, retrieved, kite])

export type Moving = z.infer<typeof movingSchema>
export type MovingBy<Way extends MovingWay> = Extract<Moving, { way: Way }>
export type KiteBait = MovingBy<'kite'>['baits'][number]

/** A way of moving as it usually is. */
export const usualMoving = (way: MovingWay): Moving => movingSchema.parse({ way })

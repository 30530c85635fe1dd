import { z } from 'zod'
import { BEDS, type Bed, gripPrior, type HoldKind, holdKindOf } from '../gear/grip.ts'
import { SINKER_SHAPES, type SinkerShape } from '../gear/sinkers.ts'
import { type Belief, type Evidence, type Learned, learn } from '../settling/learn.ts'
import { isTimeZone } from '../time/localDay.ts'
import { FORMAT_VERSION, massKg } from '../trace/schema.ts'
import { isCastMethod, METHODS, type Method } from '../trace/waterConditions.ts'

export const MOST_TABLE_ROWS = 3_000

/** One row of a mark's stream table. */
export const streamRowSchema = z.strictObject({
  hour: z.number().min(-6, 'is before six hours before high water').max(6, 'is after six hours after high water'),
  springMperS: z.number().nonnegative('must not be negative').max(10, 'is over 10 m/s'),
  neapMperS: z.number().nonnegative('must not be negative').max(10, 'is over 10 m/s'),
  directionDeg: z.number().min(0, 'is under 0°').max(360, 'is over 360°'),
})

/** A sinker seen to hold or drag at a mark, and what was asked of it then. */
const holdSchema = z.strictObject({
  at: z.iso.datetime(),
  method: z.enum(Object.keys(METHODS) as [Method, ...Method[]]),
  shape: z.enum(Object.keys(SINKER_SHAPES) as [SinkerShape, ...SinkerShape[]]),
  massKg,
  /** Of a cast sinker the pull on it over its weight in water; of one hanging the least that holds over its mass. */
  demand: z.number().positive().max(1_000),
  held: z.boolean(),
})

/** A place that is fished: where, how deep, on what bed, how, and how the stream runs there. */
export const markSchema = z
  .strictObject({
    formatVersion: z.literal(FORMAT_VERSION),
    name: z.string().trim().min(1, 'needs a name').max(80),
    latitudeDeg: z.number().min(-90, 'is south of the pole').max(90, 'is north of the pole'),
    longitudeDeg: z.number().min(-180, 'is under −180°').max(180, 'is over 180°'),
    /** The zone its clock times are in. */
    timeZone: z.string().max(60).refine(isTimeZone, 'is not a time zone, such as Europe/London'),
    /** At chart datum; the tide comes on top. */
    depthM: z.number().positive('must be above 0').max(2_000, 'is over 2 km'),
    bed: z.enum(Object.keys(BEDS) as [Bed, ...Bed[]]),
    method: z.enum(Object.keys(METHODS) as [Method, ...Method[]]),
    /** Line out over depth, or, cast, over the straight distance. */
    scope: z.number().min(1.01, 'is under 1.01').max(3, 'is over 3'),
    /** How far it is cast, for the methods that cast. */
    distanceM: z.number().positive('must be above 0').max(1_000, 'is over a kilometre').default(60),
    weedFactor: z.number().min(1, 'is under 1').max(3, 'is over 3').default(1),
    /** The reference port. */
    portId: z.string().min(1, 'needs a port').max(40),
    /** High water here after high water at the port. */
    highWaterAfterMin: z.number().min(-360, 'is over six hours before').max(360, 'is over six hours after').default(0),
    stream: z.array(streamRowSchema).min(1, 'needs a row').max(49, 'has over 49 rows'),
    /** High and low waters from a printed table, used in place of the port's prediction where they reach. */
    heights: z
      .array(z.strictObject({ at: z.iso.datetime(), heightM: z.number().min(-20).max(20) }))
      .max(MOST_TABLE_ROWS, `has over ${MOST_TABLE_ROWS} rows`)
      .optional(),
    holds: z.array(holdSchema).max(500).optional(),
    notes: z.string().max(4_000).optional(),
  })
  .superRefine(({ stream }, context) => {
    for (const [i, { hour }] of stream.entries())
      if (stream.findIndex((row) => row.hour === hour) < i)
        context.addIssue({ code: 'custom', path: ['stream', i, 'hour'], message: `${hour} comes twice` })
  })

export type Mark = z.infer<typeof markSchema>
export type Hold = z.infer<typeof holdSchema>

/** The mark with one thing more seen there; said again of the same sinker at the same time, the later word counts. */
export function withHold(mark: Mark, hold: Hold): Mark {
  const others = (mark.holds ?? []).filter(
    ({ at, shape, massKg }) => at !== hold.at || shape !== hold.shape || massKg !== hold.massKg,
  )
  return { ...mark, holds: [...others, hold] }
}

/** What is learned at a mark of one thing: before, what was seen, and after. */
export type Lesson = { prior: Learned; evidence: Hold[]; posterior: Learned }

/** Grip of a kind of sinker on the mark's bed, after what was held and dragged there. */
export function gripLesson(mark: Pick<Mark, 'bed' | 'holds'>, kind: HoldKind): Lesson {
  const evidence = (mark.holds ?? []).filter(({ method, shape }) => isCastMethod(method) && holdKindOf(shape) === kind)
  return lesson(gripPrior(kind, mark.bed), evidence)
}

/** Spread of the reserve that hanging sinkers want from boat to boat, as the standard deviation of its logarithm. Nominal, ours. */
const RESERVE_SPREAD = 0.2

/**
 * Share of a hanging sinker that counts, one over the reserve, after what held and dragged at the mark by a method.
 */
export function countsLesson(mark: Pick<Mark, 'holds'>, method: Method): Lesson {
  const evidence = (mark.holds ?? []).filter((hold) => hold.method === method)
  return lesson({ median: 1 / METHODS[method].reserve, spread: RESERVE_SPREAD }, evidence)
}

function lesson(prior: Belief, evidence: Hold[]): Lesson {
  return { prior: learn(prior, []), evidence, posterior: learn(prior, evidence satisfies Evidence[]) }
}

/** Grip to reckon with for a sinker at a mark, and the reserve its method wants there. */
export function heldBy(mark: Mark): { gripOf: (shape: SinkerShape) => number; reserve: number } {
  const grips = new Map<HoldKind, number>()
  return {
    gripOf: (shape) => {
      const kind = holdKindOf(shape)
      if (!grips.has(kind)) grips.set(kind, gripLesson(mark, kind).posterior.median)
      return grips.get(kind)!
    },
    reserve: isCastMethod(mark.method) ? METHODS[mark.method].reserve : 1 / countsLesson(mark, mark.method).posterior.median,
  }
}

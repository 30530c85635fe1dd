import { z } from 'zod'
import { BED_IDS, METHOD_IDS, type Method } from '../catalogue/ids.ts'
import { isTimeZone } from '../time/localDay.ts'
import { documentName, notes } from './fields.ts'
import { text } from './text.ts'
import { MARK_VERSION } from './versions.ts'

export const MAX_TABLE_ROWS = 3_000

export const MARK_KINDS = ['beach', 'rock', 'pier', 'boat'] as const
export type MarkKind = (typeof MARK_KINDS)[number]
/** How a kind of mark is usually fished. */
export const USUAL_METHOD = { beach: 'shore', rock: 'shore', pier: 'shore', boat: 'anchor' } as const satisfies Record<
  MarkKind,
  Method
>

/** Where a mark’s current comes from: a table of rates, words for the strongest, or a float timed at the strongest. Only a table is not assumed. */
export const STREAM_SOURCES = ['table', 'words', 'drift'] as const

/** One row of a mark's stream table. */
export const streamRowSchema = z.strictObject({
  hour: z.number().min(-6, 'is before six hours before high water').max(6, 'is after six hours after high water'),
  springMperS: z.number().nonnegative('must not be negative').max(10, 'is over 10 m/s'),
  neapMperS: z.number().nonnegative('must not be negative').max(10, 'is over 10 m/s'),
  directionDeg: z.number().min(0, 'is under 0°').max(360, 'is over 360°'),
})

/**
 * A place that is fished: how deep, on what bottom, how, and how the current runs there. Where it is and its tide may be unknown; with
 * neither a port nor heights its current is as strong at any hour.
 */
export const markSchema = z
  .strictObject({
    formatVersion: z.literal(MARK_VERSION),
    name: documentName,
    markKind: z.enum(MARK_KINDS).optional(),
    latitudeDeg: z.number().min(-90, 'is south of the pole').max(90, 'is north of the pole').optional(),
    longitudeDeg: z.number().min(-180, 'is under −180°').max(180, 'is over 180°').optional(),
    /** The zone its clock times are in. */
    timeZone: text(60).refine(isTimeZone, 'is not a time zone, such as Europe/London'),
    /** At chart datum; the tide comes on top. */
    depthM: z.number().min(0.1, 'must be above 0').max(2_000, 'is over 2 km'),
    bed: z.enum(BED_IDS),
    method: z.enum(METHOD_IDS),
    /** Line out over depth, or, cast, over the straight distance. */
    scope: z.number().min(1.01, 'is under 1.01').max(3, 'is over 3'),
    /** How far it is cast, for the methods that cast. */
    distanceM: z.number().min(0.1, 'must be above 0').max(1_000, 'is over 1 km').default(60),
    weedFactor: z.number().min(1, 'is under 1').max(3, 'is over 3').default(1),
    /** The reference port, where one is known. */
    portId: text(40).min(1, 'needs a port').optional(),
    /** High water here after high water at the port. */
    highWaterAfterMin: z.number().min(-360, 'is over six hours before').max(360, 'is over six hours after').default(0),
    streamFrom: z.enum(STREAM_SOURCES).default('table'),
    stream: z.array(streamRowSchema).min(1, 'needs a row').max(49, { error: 'has over 49 rows', abort: true }),
    /** High and low waters from a printed table, used in place of the port's prediction where they reach. */
    heights: z
      .array(z.strictObject({ at: z.iso.datetime(), heightM: z.number().min(-20).max(20) }))
      .max(MAX_TABLE_ROWS, `has over ${MAX_TABLE_ROWS} rows`)
      .optional(),
    /** How high the tide stands over chart datum when the way back is closed, where it can be. */
    wayBackM: z.number().min(-5, 'is under −5 m').max(20, 'is over 20 m').optional(),
    notes: notes.optional(),
  })
  .superRefine(({ stream, latitudeDeg, longitudeDeg }, context) => {
    if ((latitudeDeg === undefined) !== (longitudeDeg === undefined))
      context.addIssue({
        code: 'custom',
        path: [latitudeDeg === undefined ? 'latitudeDeg' : 'longitudeDeg'],
        message: 'is missing: give both or neither',
      })
    for (const [i, { hour }] of stream.entries())
      if (stream.findIndex((row) => row.hour === hour) < i)
        context.addIssue({ code: 'custom', path: ['stream', i, 'hour'], message: `${hour} is there twice` })
  })

export type Mark = z.infer<typeof markSchema>

/** Whether high and low water are known at a mark: by a port, or by a table of its own. */
export const hasTide = ({ portId, heights }: Pick<Mark, 'portId' | 'heights'>): boolean =>
  portId !== undefined || (heights?.length ?? 0) > 1

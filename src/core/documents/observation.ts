import { z } from 'zod'
import { CONNECTION_IDS, METHOD_IDS, SINKER_SHAPE_IDS } from '../catalogue/ids.ts'
import { massKg, materialSchema, revisionNumber, strengthN } from './fields.ts'
import { text } from './text.ts'
import { eventFields } from './tripEvent.ts'

const revisionOf = z.strictObject({ id: z.uuid(), revision: revisionNumber })

/** What every observation says beside what happened: when, where, and on what. */
const circumstances = {
  formatVersion: z.literal(1),
  id: z.uuid(),
  at: z.iso.datetime(),
  markId: z.uuid().optional(),
  trace: revisionOf.optional(),
  outfit: revisionOf.optional(),
  /** The trip that it happened on. */
  tripId: z.uuid().optional(),
}

/** A sinker seen to hold or to drag, and what was asked of it then. */
const holdSchema = z.strictObject({
  ...circumstances,
  kind: z.literal('hold'),
  markId: z.uuid(),
  method: z.enum(METHOD_IDS),
  shape: z.enum(SINKER_SHAPE_IDS),
  massKg,
  /** Of a cast sinker the pull on it over its weight in water; of one hanging the least that holds over its mass. */
  demand: z.number().min(1e-9).max(1_000),
  held: z.boolean(),
})

/** Where a sample parted, or that the knot slipped before anything broke. */
export const PARTED = ['knot', 'line', 'hook', 'slipped'] as const

/** A sample knot pulled until it parted. */
const pullSchema = z.strictObject({
  ...circumstances,
  kind: z.literal('pull'),
  connection: z.enum(CONNECTION_IDS),
  turns: z.int().min(1).max(60).optional(),
  material: materialSchema,
  /** Which spool of the box it was cut from. */
  spoolId: z.uuid().optional(),
  /** What the line itself bears dry: its own pull, else its label times its condition. */
  lineN: strengthN,
  /** Soaked, as in use. */
  wet: z.boolean(),
  /** The highest load it bore. */
  loadN: strengthN,
  parted: z.enum(PARTED),
  note: text(200).optional(),
  /** Why it is not to count, as was said when it was pulled. */
  discarded: text(200).optional(),
})

/** A line without a knot pulled until it parted, its ends on something that does not cut: what the spool bears. */
const straightSchema = z.strictObject({
  ...circumstances,
  kind: z.literal('straight'),
  material: materialSchema,
  spoolId: z.uuid().optional(),
  /** As its spool says. */
  labelN: strengthN,
  wet: z.boolean(),
  loadN: strengthN,
  note: text(200).optional(),
  discarded: text(200).optional(),
})

/** What was told earlier and was not so: it stays, and counts no more. */
const retractionSchema = z.strictObject({ ...circumstances, kind: z.literal('retraction'), of: z.uuid() })

/** Something that happened to a rod on a trip. */
const eventSchema = z.strictObject({ ...circumstances, ...eventFields })

/** Something that happened on the water or at the table. Observations are only ever added; what is learned is worked out from them. */
export const observationSchema = z.discriminatedUnion('kind', [
  holdSchema,
  pullSchema,
  straightSchema,
  retractionSchema,
  eventSchema,
])

export type Observation = z.infer<typeof observationSchema>
export type Hold = Extract<Observation, { kind: 'hold' }>
export type Pull = Extract<Observation, { kind: 'pull' }>
export type StraightPull = Extract<Observation, { kind: 'straight' }>
export type TripEvent = Extract<Observation, { kind: 'event' }>

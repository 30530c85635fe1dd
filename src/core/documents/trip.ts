import { z } from 'zod'
import { documentName, massKg, notes, revisionNumber } from './fields.ts'
import { filledText } from './text.ts'
import { TRIP_VERSION } from './versions.ts'

const clock = z.string().regex(/^([01]\d|2[0-3]):[0-5]\d$/, 'is not a time, such as 18:30')

export const MAX_RODS = 8
export const MAX_MARKS = 12
const MAX_PEOPLE = 20
export const MAX_PACKING = 100
export const MAX_GEAR = 500

/** A rod on a trip: the outfit, the trace that is on it, and the sinker that it begins with. */
const rodSchema = z.strictObject({
  id: z.string().regex(/^[a-z0-9-]{1,40}$/),
  outfitId: z.uuid(),
  trace: z.strictObject({ id: z.uuid(), revision: revisionNumber }).optional(),
  /** The tied trace that is on it, where one of those is. */
  tiedId: z.uuid().optional(),
  sinkerKg: massKg.optional(),
})

/** A trip: when, where, who and with what. What happened on it are events beside it. */
export const tripSchema = z
  .strictObject({
    formatVersion: z.literal(TRIP_VERSION),
    name: documentName,
    date: z.iso.date(),
    /** The hours that are fished, on the clock of the first mark; up to an earlier hour they end the next day. */
    from: clock,
    to: clock,
    /** In the order in which they are fished. */
    marks: z
      .array(z.strictObject({ id: z.uuid(), /** Left out, the hours are shared evenly. */ from: clock.optional() }))
      .max(MAX_MARKS),
    /** Names or initials; a guest needs no account. */
    people: z.array(filledText(40, 'is empty')).max(MAX_PEOPLE),
    fishId: z.uuid().optional(),
    rods: z.array(rodSchema).max(MAX_RODS),
    /** Minutes that a bait stays on. */
    baitMinutes: z.int().min(5, 'is under 5 minutes').max(240, 'is over 4 hours').optional(),
    /** The wind that is expected, in place of a forecast: its speed, and where it comes from, clockwise from north. */
    wind: z
      .strictObject({ speedMperS: z.number().min(0).max(60, 'is over 60 m/s'), fromDeg: z.number().min(0).max(360) })
      .optional(),
    /** What of the box goes along; left out, all of it. */
    gearIds: z.array(z.uuid()).max(MAX_GEAR).optional(),
    packing: z.array(z.strictObject({ text: filledText(80, 'is empty'), isPacked: z.boolean() })).max(MAX_PACKING),
    notes: notes.optional(),
    startedAt: z.iso.datetime().optional(),
    endedAt: z.iso.datetime().optional(),
  })
  .superRefine(({ rods }, context) => {
    if (new Set(rods.map(({ id }) => id)).size < rods.length)
      context.addIssue({ code: 'custom', path: ['rods'], message: 'has a rod twice' })
  })

export type Trip = z.infer<typeof tripSchema>
export type TripRod = Trip['rods'][number]

/** Where a trip is: planned, being fished, or over. */
export type TripStage = 'planned' | 'underWay' | 'ended'
export const stageOf = ({ startedAt, endedAt }: Pick<Trip, 'startedAt' | 'endedAt'>): TripStage =>
  endedAt !== undefined ? 'ended' : startedAt !== undefined ? 'underWay' : 'planned'

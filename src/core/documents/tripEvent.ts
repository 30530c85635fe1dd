import { z } from 'zod'
import { massKg } from './fields.ts'
import { text } from './text.ts'

/** When a link broke. */
export const BREAK_MOMENTS = ['cast', 'run', 'snag', 'hand'] as const
export const SIZE_CLASSES = ['small', 'usual', 'large'] as const
export const HOOKED = ['lip', 'deep', 'foul'] as const
export const SNAG_LOSSES = ['nothing', 'sinker', 'trace'] as const
export const CHANGED_PARTS = ['sinker', 'bait', 'hook', 'trace'] as const
/** What is seen beside one's own rods: on the line, the bait, and with others. */
export const SIGNS = [
  'othersCatch',
  'baitStripped',
  'baitSpins',
  'lineChafed',
  'sinkerBuried',
  'fishFollow',
  'smallFish',
] as const
/** Where a fish was lost. */
export const LOST_AT = ['run', 'side'] as const
/** What takes one touch and says nothing more. */
export const PLAIN_EVENTS = ['cast', 'bite', 'missed', 'held', 'dragged', 'biteOff', 'tangle'] as const

/** What happened on a rod. */
export const happening = z.discriminatedUnion('type', [
  /** `hook`: the piece that a bite was on, where that was felt. */
  z.strictObject({ type: z.enum(PLAIN_EVENTS), hook: text(40).optional() }),
  z.strictObject({ type: z.literal('lost'), where: z.enum(LOST_AT) }),
  z.strictObject({ type: z.literal('seen'), sign: z.enum(SIGNS) }),
  z.strictObject({
    type: z.literal('fish'),
    name: text(80),
    size: z.enum(SIZE_CLASSES),
    isKept: z.boolean(),
    /** The hook that it was on, by its piece. */
    hook: text(40).optional(),
    hooked: z.enum(HOOKED),
  }),
  z.strictObject({ type: z.literal('snag'), lost: z.enum(SNAG_LOSSES) }),
  /** `link` by its key; absent: nobody saw. */
  z.strictObject({ type: z.literal('break'), link: text(120).optional(), during: z.enum(BREAK_MOMENTS) }),
  /** How much line was cut away. */
  z.strictObject({ type: z.literal('retied'), cutM: z.number().min(0).max(500).optional() }),
  z.strictObject({
    type: z.literal('changed'),
    part: z.enum(CHANGED_PARTS),
    to: text(120),
    massKg: massKg.optional(),
    tiedId: z.uuid().optional(),
  }),
])
export type Happening = z.infer<typeof happening>

/** The verdicts and chances that were on screen when an event was logged. Stored, because later data would give others. */
const told = z.strictObject({
  verdicts: z.record(z.string().max(20), z.enum(['holds', 'watch', 'fails'])).optional(),
  /** The chance that each link breaks first under a fish, the likeliest first. */
  first: z
    .array(z.strictObject({ link: text(120), chance: z.number().min(0).max(1) }))
    .max(200)
    .optional(),
  /** The chance that the sinker that is on holds. */
  holds: z.number().min(0).max(1).optional(),
})
export type Told = z.infer<typeof told>

/** The fields of an event on a trip, beside those of every observation. */
export const eventFields = {
  kind: z.literal('event'),
  tripId: z.uuid(),
  rod: z.string().max(40),
  /** Which of the phones on the trip logged it. */
  phone: text(12).optional(),
  what: happening,
  sinkerKg: massKg.optional(),
  told: told.optional(),
}

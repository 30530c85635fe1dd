import { z } from 'zod'
import { DAY_MS } from '../time/durations.ts'
import { documentName, notes, revisionNumber } from './fields.ts'
import { filledText, text } from './text.ts'
import { TIED_VERSION } from './versions.ts'
import { MAX_PIECES } from './vocabulary.ts'

/** Where a tied trace is in its life. The last three are its ends. */
export const TIED_STATES = ['ready', 'onRod', 'lost', 'cutOff', 'retired'] as const
export type TiedState = (typeof TIED_STATES)[number]

/** Whether a tied trace came to its end. */
export const isEnd = (state: TiedState): boolean => state !== 'ready' && state !== 'onRod'

/** One trace that was tied: which design, when, by whom, where it lies, and what became of it. */
export const tiedSchema = z.strictObject({
  formatVersion: z.literal(TIED_VERSION),
  name: documentName,
  traceId: z.uuid(),
  traceRevision: revisionNumber,
  batchId: z.uuid().optional(),
  tiedOn: z.iso.date(),
  tiedBy: filledText(80, 'is empty').optional(),
  /** A winder, a slot of a wallet. */
  keptIn: filledText(80, 'is empty').optional(),
  state: z.enum(TIED_STATES),
  /** What differs from the design, in words. */
  differs: filledText(400, 'is empty').optional(),
  /** Gear it was made from that is not what the design says. */
  substitutes: z
    .array(z.strictObject({ part: text(120), used: text(120) }))
    .max(MAX_PIECES)
    .optional(),
  /** It held a large fish, or was pulled out of a snag: knots and line have aged more than by days. */
  usedHard: z.boolean().optional(),
  notes: notes.optional(),
})

export type Tied = z.infer<typeof tiedSchema>

/** Hexadecimal digits of an id that a code has: with thousands of tied traces two agree about once in a hundred thousand. */
const CODE_LENGTH = 10
export const tiedCode = z.string().regex(new RegExp(`^[0-9a-f]{${CODE_LENGTH}}$`))

/** The short code of a tied trace, which is on its label. */
export const codeOf = (id: string): string => id.replaceAll('-', '').slice(0, CODE_LENGTH)

/** The first and the last id that have a code. */
export function idsOfCode(code: string): [first: string, last: string] {
  const filled = (digit: string) => code.padEnd(32, digit).replace(/^(.{8})(.{4})(.{4})(.{4})(.{12})$/, '$1-$2-$3-$4-$5')
  return [filled('0'), filled('f')]
}

/** How many days ago a trace was tied; `today` and `tiedOn` are calendar days. */
export const ageDays = (tiedOn: string, today: string): number =>
  Math.max(0, Math.round((Date.parse(today) - Date.parse(tiedOn)) / DAY_MS))

/** Days after which a tied trace is to be looked at, where the crew says nothing: nylon ages in light and knots creep. A working value of the craft. */
export const DEFAULT_OLD_DAYS = 180

/** Why a tied trace that is to be fished should be looked at first. */
export type TiedReminder = 'old' | 'usedHard'
export function remindersOf({ state, tiedOn, usedHard }: Tied, today: string, oldDays: number): TiedReminder[] {
  if (isEnd(state)) return []
  return [...(ageDays(tiedOn, today) >= oldDays ? ['old' as const] : []), ...(usedHard ? ['usedHard' as const] : [])]
}

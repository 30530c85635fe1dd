import { z } from 'zod'
import { documentName } from './fields.ts'
import { RULE_SET_VERSION } from './versions.ts'

const ruleLengthM = z.number().min(0.01).max(1_000)

/** The user's own summary of a rule book: the local book decides, this only reminds. Absent: not limited. */
export const ruleSetSchema = z.strictObject({
  formatVersion: z.literal(RULE_SET_VERSION),
  name: documentName,
  /** When someone last held it against the book, as a date: `2026-04-01`. */
  checkedOn: z.iso.date('must be a date'),
  maxLeaderM: ruleLengthM.optional(),
  maxDoubleM: ruleLengthM.optional(),
  maxCombinedM: ruleLengthM.optional(),
  maxHooks: z.int().min(1).max(100).optional(),
  circleOnly: z.boolean().default(false),
  nonOffsetOnly: z.boolean().default(false),
  barblessOnly: z.boolean().default(false),
  /** A treble may hold a bait. */
  trebleWithBait: z.boolean().default(true),
  wireAllowed: z.boolean().default(true),
  lightsAllowed: z.boolean().default(true),
  /** Fish under these lengths go back, by their names. */
  leastLengths: z
    .array(z.strictObject({ fish: documentName, lengthM: z.number().min(0.02, 'is too small').max(10, 'is over 10 m') }))
    .max(60, 'has over 60 rows')
    .optional(),
  /** Lead under this mass is barred. */
  leastLeadKg: z.number().min(1e-5).max(10).optional(),
})

export type RuleSet = z.infer<typeof ruleSetSchema>

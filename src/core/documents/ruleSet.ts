import { z } from 'zod'
import { documentName } from './fields.ts'
import { RULE_SET_VERSION } from './versions.ts'

/** The user's own summary of a rule book: the local book decides, this only reminds. Absent: not limited. */
export const ruleSetSchema = z.strictObject({
  formatVersion: z.literal(RULE_SET_VERSION),
  name: documentName,
  /** When someone last held it against the book, as a date: `2026-04-01`. */
  checkedOn: z.iso.date(),
  maxLeaderM: z.number().positive().max(1_000).optional(),
  maxDoubleM: z.number().positive().max(1_000).optional(),
  maxCombinedM: z.number().positive().max(1_000).optional(),
  maxHooks: z.int().min(1).max(100).optional(),
  circleOnly: z.boolean().default(false),
  nonOffsetOnly: z.boolean().default(false),
  barblessOnly: z.boolean().default(false),
  wireAllowed: z.boolean().default(true),
  lightsAllowed: z.boolean().default(true),
  /** Lead under this mass is barred. */
  leastLeadKg: z.number().positive().max(10).optional(),
})

export type RuleSet = z.infer<typeof ruleSetSchema>

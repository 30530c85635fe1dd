import { z } from 'zod'

/** The user's own summary of a rule book: the local book decides, this only reminds. Absent: not limited. */
export const ruleSetSchema = z.strictObject({
  name: z.string().trim().min(1, 'needs a name').max(80),
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
  /** The crew goes by this one now. */
  inForce: z.boolean().default(false),
})

export type RuleSet = z.infer<typeof ruleSetSchema>

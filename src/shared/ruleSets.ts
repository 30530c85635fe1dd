import type { z } from 'zod'
import { ruleSetSchema } from '../core/trace/ruleSet.ts'

/** A rule set as it is saved. */
export const ruleSetContent = ruleSetSchema
export type RuleSetContent = z.infer<typeof ruleSetContent>

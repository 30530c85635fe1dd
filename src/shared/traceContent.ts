import { z } from 'zod'
import { NOMINAL_CATALOGUE } from '../core/catalogue/catalogue.ts'
import { conditionsSchema } from '../core/documents/conditions.ts'
import { traceSchema } from '../core/documents/trace.ts'
import { type Upgraded, upgrade } from '../core/documents/upgrade.ts'
import { soundnessIssues } from '../core/soundness/soundness.ts'

/** What is saved of a trace: the document, which must hold together, the outfit it is fished on, the conditions it is judged under, the mark and the fish it is for. */
export const traceContent = z.strictObject({
  trace: traceSchema.superRefine((trace, context) => {
    for (const issue of soundnessIssues(trace, NOMINAL_CATALOGUE)) context.addIssue({ code: 'custom', ...issue })
  }),
  outfitId: z.uuid(),
  conditions: conditionsSchema,
  markId: z.uuid().optional(),
  fishId: z.uuid().optional(),
})

export type TraceContent = z.infer<typeof traceContent>

/** The documents of a saved trace, each lifted to the newest format. */
export function upgradeTraceContent(value: unknown): Upgraded {
  if (typeof value !== 'object' || value === null || !('trace' in value) || !('conditions' in value)) return { value }
  const [trace, conditions] = [upgrade('trace', value.trace), upgrade('conditions', value.conditions)]
  if ('newerVersion' in trace) return trace
  if ('newerVersion' in conditions) return conditions
  return { value: { ...value, trace: trace.value, conditions: conditions.value } }
}

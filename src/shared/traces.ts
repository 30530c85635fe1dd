import { z } from 'zod'
import { conditionsSchema } from '../core/trace/conditions.ts'
import { soundnessIssues } from '../core/trace/parseTrace.ts'
import { traceShape } from '../core/trace/schema.ts'

/** What is saved of a trace: the document, the outfit it is fished on, and the conditions it is judged under. */
export const traceContent = z.strictObject({
  trace: traceShape.superRefine((trace, context) => {
    for (const { path, message } of soundnessIssues(trace)) context.addIssue({ code: 'custom', path, message })
  }),
  outfitId: z.uuid(),
  conditions: conditionsSchema,
})

export type TraceContent = z.infer<typeof traceContent>

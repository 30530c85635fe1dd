import { z } from 'zod'

/** What every refused request answers. */
export const errorBody = z.object({
  error: z.object({
    code: z.string(),
    message: z.string(),
    requestId: z.string().optional(),
    issues: z.array(z.object({ path: z.array(z.union([z.string(), z.number()])), message: z.string() })).optional(),
    details: z.record(z.string(), z.union([z.string(), z.number()])).optional(),
  }),
})

export type ErrorBody = z.infer<typeof errorBody>

import { z } from 'zod'

/** Which sample is pulled: about where it would be thought to break, and which samples are of one kind. */
export const pullQuery = z.object({ aboutN: z.coerce.number().min(0.5).max(50_000), kind: z.string().min(1).max(120) })
/** A reading as it is sent. */
export const readingBody = z.object({ atMs: z.number().nonnegative(), loadN: z.number().nonnegative() })
export type Sample = z.infer<typeof pullQuery>

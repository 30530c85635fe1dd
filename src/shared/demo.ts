import { z } from 'zod'

/** The demonstration documents that are shown and can be removed, by id, and how many are not there. */
export const demoState = z.object({ shown: z.array(z.uuid()), missing: z.number() })
export type DemoState = z.infer<typeof demoState>

import { z } from 'zod'

/** Which observations are asked for: those at one mark, of one kind, or all. */
export const observationsQuery = z.object({ mark: z.uuid().optional(), kind: z.enum(['hold', 'pull', 'retraction']).optional() })

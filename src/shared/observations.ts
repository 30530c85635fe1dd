import { z } from 'zod'

/** Whose observations are asked for: those at one mark, or all. */
export const observationsQuery = z.object({ mark: z.uuid().optional() })

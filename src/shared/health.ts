import { z } from 'zod'

export const healthBody = z.object({ server: z.literal('up'), database: z.enum(['up', 'slow', 'down']) })

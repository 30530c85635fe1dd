import type { z } from 'zod'
import { markSchema } from '../core/mark/mark.ts'

/** A mark as it is saved. */
export const markContent = markSchema
export type MarkContent = z.infer<typeof markContent>

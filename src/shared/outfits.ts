import type { z } from 'zod'
import { outfitSchema } from '../core/trace/outfit.ts'

export const outfitContent = outfitSchema
export type OutfitContent = z.infer<typeof outfitContent>

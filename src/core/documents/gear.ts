import { z } from 'zod'
import { HARDWARE_TYPES, HOOK_PATTERN_IDS, SINKER_SHAPE_IDS } from '../catalogue/ids.ts'
import { diameterM, documentName, lengthM, massKg, materialSchema, strengthN } from './fields.ts'
import { text } from './text.ts'
import { GEAR_VERSION } from './versions.ts'

const common = { formatVersion: z.literal(GEAR_VERSION), name: documentName }

/** One thing owned: what the bench offers first when a part is chosen. */
export const gearSchema = z.discriminatedUnion('kind', [
  z.strictObject({
    ...common,
    kind: z.literal('line'),
    material: materialSchema,
    strengthN,
    diameterM: diameterM.optional(),
    lengthM,
  }),
  z.strictObject({ ...common, kind: z.literal('hook'), pattern: z.enum(HOOK_PATTERN_IDS), size: text(10) }),
  z.strictObject({ ...common, kind: z.literal('sinker'), shape: z.enum(SINKER_SHAPE_IDS), massKg }),
  z.strictObject({ ...common, kind: z.literal('hardware'), type: z.enum(HARDWARE_TYPES), size: text(10) }),
])

export type Gear = z.infer<typeof gearSchema>

import { z } from 'zod'
import { HARDWARE_TYPES } from '../core/gear/hardware.ts'
import { HOOK_PATTERNS, type HookPattern } from '../core/gear/hooks.ts'
import { SINKER_SHAPES, type SinkerShape } from '../core/gear/sinkers.ts'
import { diameterM, lengthM, massKg, materialSchema, strengthN } from '../core/trace/schema.ts'

const name = z.string().trim().min(1, 'needs a name').max(80)

/** One thing owned: what the bench offers first when a part is chosen. */
export const gearContent = z.discriminatedUnion('kind', [
  z.strictObject({
    kind: z.literal('line'),
    name,
    material: materialSchema,
    strengthN,
    diameterM: diameterM.optional(),
    lengthM,
  }),
  z.strictObject({
    kind: z.literal('hook'),
    name,
    pattern: z.enum(Object.keys(HOOK_PATTERNS) as [HookPattern, ...HookPattern[]]),
    size: z.string().max(10),
  }),
  z.strictObject({
    kind: z.literal('sinker'),
    name,
    shape: z.enum(Object.keys(SINKER_SHAPES) as [SinkerShape, ...SinkerShape[]]),
    massKg,
  }),
  z.strictObject({ kind: z.literal('hardware'), name, type: z.enum(HARDWARE_TYPES), size: z.string().max(10) }),
])

export type GearContent = z.infer<typeof gearContent>

import { z } from 'zod'
import { BAIT_IDS, HARDWARE_TYPES, HOOK_PATTERN_IDS, SINKER_METAL_IDS, SINKER_SHAPE_IDS } from '../catalogue/ids.ts'
import {
  bodyFields,
  diameterM,
  documentName,
  gapeM,
  headFields,
  hookSize,
  lengthM,
  massKg,
  materialSchema,
  ratedFields,
  strengthN,
  wireM,
} from './fields.ts'
import { filledText, text } from './text.ts'
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
  z.strictObject({
    ...common,
    kind: z.literal('hook'),
    pattern: z.enum(HOOK_PATTERN_IDS),
    size: hookSize,
    /** As measured; absent: nominal. */
    gapeM: gapeM.optional(),
    wireM: wireM.optional(),
    ...headFields,
  }),
  z.strictObject({
    ...common,
    kind: z.literal('sinker'),
    shape: z.enum(SINKER_SHAPE_IDS),
    massKg,
    /** The number it is known by in the crew's catalogue. */
    number: filledText(10, 'is empty').optional(),
    /** Absent: lead. */
    metal: z.enum(SINKER_METAL_IDS).optional(),
  }),
  z.strictObject({
    ...common,
    kind: z.literal('hardware'),
    type: z.enum(HARDWARE_TYPES),
    size: text(10).optional(),
    /** As its packet says; absent: nominal, by its size. */
    strengthN: strengthN.optional(),
  }),
  z.strictObject({ ...common, kind: z.literal('float'), massKg }),
  z.strictObject({
    ...common,
    kind: z.literal('lure'),
    massKg,
    strengthN: strengthN.optional(),
    spins: z.boolean().optional(),
    ...ratedFields,
    ...bodyFields,
  }),
  z.strictObject({
    ...common,
    kind: z.literal('bait'),
    bait: z.enum(BAIT_IDS),
    /** Absent: as heavy as one usually is. */
    massKg: massKg.optional(),
    ...bodyFields,
  }),
])

export type Gear = z.infer<typeof gearSchema>
export type GearKind = Gear['kind']
export const GEAR_KINDS = ['line', 'hook', 'sinker', 'hardware', 'float', 'lure', 'bait'] as const satisfies readonly GearKind[]

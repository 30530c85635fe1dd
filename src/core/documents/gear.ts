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

const common = {
  formatVersion: z.literal(GEAR_VERSION),
  name: documentName,
  /** What a pack or a spool costs, in units of money. */
  packCost: z.number().min(0, 'must not be negative').max(1_000_000).optional(),
  /** Where it lies: a box, a drawer. */
  keptIn: filledText(80, 'is empty').optional(),
  /** Since when it has been owned, or open. */
  boughtOn: z.iso.date().optional(),
}
/** What is counted in pieces: fewer than the minimum are low, and so many are in a pack. */
const counted = {
  minimumCount: z.int().min(1).max(100_000).optional(),
  packCount: z.int().min(1).max(100_000).optional(),
}

/** One thing owned: what the bench offers first when a part is chosen. */
export const gearSchema = z.discriminatedUnion('kind', [
  z.strictObject({
    ...common,
    kind: z.literal('line'),
    material: materialSchema,
    strengthN,
    diameterM: diameterM.optional(),
    /** Of a full spool. */
    lengthM,
    /** Less on all of its spools together is low. */
    minimumM: lengthM.optional(),
  }),
  z.strictObject({
    ...common,
    ...counted,
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
    ...counted,
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
    ...counted,
    kind: z.literal('hardware'),
    type: z.enum(HARDWARE_TYPES),
    size: text(10).optional(),
    /** As its packet says; absent: nominal, by its size. */
    strengthN: strengthN.optional(),
  }),
  z.strictObject({ ...common, ...counted, kind: z.literal('float'), massKg }),
  z.strictObject({
    ...common,
    ...counted,
    kind: z.literal('lure'),
    massKg,
    strengthN: strengthN.optional(),
    spins: z.boolean().optional(),
    ...ratedFields,
    ...bodyFields,
  }),
  z.strictObject({
    ...common,
    ...counted,
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

/** What is said of a thing in the box and not of the thing: none of it is part of a trace. */
const BOX_FIELDS: readonly string[] = [
  ...['formatVersion', 'kind', 'name', 'number'],
  ...['packCost', 'keptIn', 'boughtOn', 'minimumCount', 'minimumM', 'packCount'],
]

/** The same thing with what another version says of it in the box, where it says nothing itself. */
export const withBoxFieldsOf = (item: Gear, other: Gear): Gear =>
  ({
    ...Object.fromEntries(Object.entries(other).filter(([field]) => BOX_FIELDS.includes(field))),
    ...item,
  }) as Gear

/** The fields of a thing that a piece of a trace takes over from it. */
export const partFields = (item: Gear): Record<string, unknown> =>
  Object.fromEntries(Object.entries(item).filter(([field, value]) => !BOX_FIELDS.includes(field) && value !== undefined))

/** How much a pack holds: pieces, or the metres on a full spool. */
export const packOf = (item: Gear): number => (item.kind === 'line' ? item.lengthM : (item.packCount ?? 1))

/** How much is to be in the box at least; undefined where nothing was said. */
export const minimumOf = (item: Gear): number | undefined => (item.kind === 'line' ? item.minimumM : item.minimumCount)

/** Whether less of a thing is there than is to be kept; never of one that was not counted. */
export const isLow = (item: Gear, onHand: number | undefined): boolean => {
  const minimum = minimumOf(item)
  return minimum !== undefined && onHand !== undefined && onHand < minimum
}

/** What so much of a thing cost, in units of money; undefined where its price is unknown. */
export const costOf = (item: Gear, quantity: number): number | undefined =>
  item.packCost === undefined ? undefined : (item.packCost * quantity) / packOf(item)

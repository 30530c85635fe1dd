import { BAIT_FORMS, BAITS } from './tables/baits.ts'
import { CAST_STYLES } from './tables/castStyles.ts'
import { CONNECTIONS } from './tables/connections.ts'
import { BEDS, type HOLD_KINDS } from './tables/grip.ts'
import { HARDWARE } from './tables/hardware.ts'
import { HOOK_PATTERNS } from './tables/hooks.ts'
import { LANDINGS } from './tables/landings.ts'
import { MATERIALS } from './tables/materials.ts'
import { METHODS } from './tables/methods.ts'
import { RIGGINGS } from './tables/riggings.ts'
import { ROD_ACTIONS } from './tables/rodActions.ts'
import { SINKER_METALS, SINKER_SHAPES } from './tables/sinkers.ts'

/** The ids of everything the catalogue knows: what documents name, and what choices are made from. */
export type BaitForm = keyof typeof BAIT_FORMS
export type BaitType = keyof typeof BAITS
export type CastStyle = keyof typeof CAST_STYLES
export type ConnectionId = keyof typeof CONNECTIONS
export type Bed = keyof typeof BEDS
export type HoldKind = keyof typeof HOLD_KINDS
export type HardwareType = keyof typeof HARDWARE
export type HookPattern = keyof typeof HOOK_PATTERNS
export type Landing = keyof typeof LANDINGS
export type Material = keyof typeof MATERIALS
export type Method = keyof typeof METHODS
export type Rigging = keyof typeof RIGGINGS
export type RodAction = keyof typeof ROD_ACTIONS
export type SinkerMetal = keyof typeof SINKER_METALS
export type SinkerShape = keyof typeof SINKER_SHAPES

const idsOf = <K extends string>(table: Readonly<Record<K, unknown>>) => Object.keys(table) as [K, ...K[]]

export const BAIT_IDS = idsOf(BAITS)
/** `none`: dropped, not cast. */
export const CAST_STYLE_IDS = ['none' as const, ...idsOf(CAST_STYLES)]
export const CONNECTION_IDS = idsOf(CONNECTIONS)
export const BED_IDS = idsOf(BEDS)
export const HARDWARE_TYPES = idsOf(HARDWARE)
export const HOOK_PATTERN_IDS = idsOf(HOOK_PATTERNS)
export const LANDING_IDS = idsOf(LANDINGS)
export const BAIT_FORM_IDS = idsOf(BAIT_FORMS)
export const MATERIAL_IDS = idsOf(MATERIALS)
export const METHOD_IDS = idsOf(METHODS)
export const RIGGING_IDS = idsOf(RIGGINGS)
export const ROD_ACTION_IDS = idsOf(ROD_ACTIONS)
export const SINKER_METAL_IDS = idsOf(SINKER_METALS)
export const SINKER_SHAPE_IDS = idsOf(SINKER_SHAPES)

export type { Joins } from './tables/connections.ts'

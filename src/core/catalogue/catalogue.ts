import type {
  BaitForm,
  BaitType,
  Bed,
  CastStyle,
  ConnectionId,
  HardwareType,
  HoldKind,
  HookPattern,
  Landing,
  Material,
  Method,
  Rigging,
  RodAction,
  SinkerMetal,
  SinkerShape,
} from './ids.ts'
import { BAIT_FORMS, BAITS } from './tables/baits.ts'
import { CAST_STYLES } from './tables/castStyles.ts'
import { CONNECTIONS, type Connection } from './tables/connections.ts'
import { UNIT_COSTS } from './tables/costs.ts'
import { DRAG_SCHOOLS } from './tables/dragSchools.ts'
import { BEDS, BREAK_OUT_N, GRIP, GRIP_SPREAD, HOLD_KINDS } from './tables/grip.ts'
import { HARDWARE, type HardwareItem } from './tables/hardware.ts'
import { HOOK_GAPES, HOOK_PATTERNS, HOOK_SIZES, HOOK_WIRES } from './tables/hooks.ts'
import { LANDINGS } from './tables/landings.ts'
import { MATERIALS, type MaterialItem, WIRE_NUMBERS } from './tables/materials.ts'
import { METHODS } from './tables/methods.ts'
import { RIGGINGS } from './tables/riggings.ts'
import { ROD_ACTIONS } from './tables/rodActions.ts'
import { SINKER_METALS, SINKER_SHAPES } from './tables/sinkers.ts'

/** A figure with how sure it is: its mean, its spread (coefficient of variation), how many were tried, and whose it is. */
/** From this share of slips on a knot is known as one that slips: it works no higher than where it slipped. Ours. */
export const NOTABLE_SLIPS = 0.2

export type Measured = {
  mean: number
  spread: number
  tests: number
  /** Of the tests, those in which the knot slipped before anything broke. */
  slipped?: number
  /** Breaks on the water that count in it beside the tests. */
  breaks?: number
  origin: 'nominal' | 'own'
}

/** A bait as it usually is: its form, drag areas in the stream and in flight, mass, length and depth, and whether it spins. */
export type BaitItem = {
  name: string
  form: BaitForm
  streamM2: number
  flightM2: number
  massKg: number
  lengthM: number
  depthM: number
  spins: boolean
}

/** A pattern of hooks: which numbers it goes by, gape and wire over those, its outline in gapes, and how many points share its shank. */
export type HookOutline = {
  name: string
  numbers: 'j' | 'circle'
  gape: number
  wire: number
  shank: number
  throat: number
  lean: number
  points: number
}

/** What a crew measured of a connection in a material, laid over the nominal figure. */
export type OwnConnection = {
  connection: ConnectionId
  material: Material
  mean: number
  spread: number
  tests: number
  slipped?: number
  breaks?: number
}

/** Gape as a share of a bait’s thickness, and of its length, by how a pattern’s gape is measured. */
type GapeShares = { circle: number; other: number }
type UsualGape = { ofDepth: GapeShares; ofLength?: GapeShares }

/**
 * Everything that is known of gear without looking at it: the nominal tables of the craft, and what the crew measured laid over
 * them. Plain data, so that it travels to a worker; whatever calculates is handed one, and nobody else reads the tables.
 */
export type Catalogue = {
  connections: Readonly<Record<ConnectionId, Connection>>
  materials: Readonly<Record<Material, MaterialItem>>
  wireNumbers: readonly { number: number; diameterMm: number; strengthLb: number }[]
  hardware: Readonly<Record<HardwareType, HardwareItem>>
  hooks: {
    gapes: Readonly<Record<'j' | 'circle', readonly { step: number; gapeMm: number }[]>>
    wires: readonly { step: number; wireMm: number }[]
    patterns: Readonly<Record<HookPattern, HookOutline>>
    sizes: readonly string[]
  }
  sinkers: Readonly<Record<SinkerShape, { name: string; flight: number }>>
  sinkerMetals: Readonly<Record<SinkerMetal, { name: string; densityKgperM3: number }>>
  baits: Readonly<Record<BaitType, BaitItem>>
  baitForms: Readonly<Record<BaitForm, { gape: UsualGape; live: boolean }>>
  riggings: Readonly<Record<Rigging, { of: 'live' | 'dead' | 'soft'; buried: number }>>
  castStyles: Readonly<Record<CastStyle, { name: string; releaseSpeedMperS: number; strokeM: number }>>
  beds: Readonly<Record<Bed, { name: string }>>
  grip: {
    kinds: Readonly<Record<HoldKind, string>>
    medians: Readonly<Record<HoldKind, Readonly<Record<Bed, number>>>>
    spreads: Readonly<Record<HoldKind, number>>
    /** What the wires of a wired lead bear along the bed, N. */
    breakOutN: Readonly<Record<Bed, number>>
  }
  methods: Readonly<Record<Method, { name: string; scope: number; reserve: number }>>
  landings: Readonly<
    Record<Landing, { name: string; share: number; mostN: number | undefined; beyondRodM: number | undefined; byHand: boolean }>
  >
  rodActions: Readonly<Record<RodAction, { name: string; stiffness: number }>>
  dragSchools: readonly { name: string; share: number }[]
  unitCosts: Readonly<Record<'hook' | 'lure' | 'light' | 'float', number>>
  own: readonly OwnConnection[]
}

/** The craft’s working values, before anyone measured. */
export const NOMINAL_CATALOGUE: Catalogue = {
  connections: CONNECTIONS,
  materials: MATERIALS,
  wireNumbers: WIRE_NUMBERS,
  hardware: HARDWARE,
  hooks: { gapes: HOOK_GAPES, wires: HOOK_WIRES, patterns: HOOK_PATTERNS, sizes: HOOK_SIZES },
  sinkers: SINKER_SHAPES,
  sinkerMetals: SINKER_METALS,
  baits: BAITS,
  baitForms: BAIT_FORMS,
  riggings: RIGGINGS,
  castStyles: CAST_STYLES,
  beds: BEDS,
  grip: { kinds: HOLD_KINDS, medians: GRIP, spreads: GRIP_SPREAD, breakOutN: BREAK_OUT_N },
  methods: METHODS,
  landings: LANDINGS,
  rodActions: ROD_ACTIONS,
  dragSchools: DRAG_SCHOOLS,
  unitCosts: UNIT_COSTS,
  own: [],
}

/** The catalogue with a crew’s own measurements laid over it; of two of the same connection in the same material the later counts. */
export function withOwn(catalogue: Catalogue, measured: readonly OwnConnection[]): Catalogue {
  return { ...catalogue, own: [...catalogue.own, ...measured] }
}

/** A connection as it is tied, with the angler’s own figure for this one joint where there is one. */
export type TiedConnection = {
  connection: ConnectionId
  own?: { efficiency: number; spread?: number | undefined; tests?: number | undefined } | undefined
}

/**
 * Share of a line’s strength that a joint keeps: the joint’s own figure, else the crew’s for that connection, else the nominal one.
 * @returns undefined where the connection is not tied in that material and nobody measured it there.
 */
export function efficiencyOf({ connections, own }: Catalogue, joint: TiedConnection, material: Material): Measured | undefined {
  const { efficiency, spread } = connections[joint.connection]
  if (joint.own)
    return { mean: joint.own.efficiency, spread: joint.own.spread ?? spread, tests: joint.own.tests ?? 0, origin: 'own' }
  const crew = own.findLast((each) => each.connection === joint.connection && each.material === material)
  if (crew)
    return {
      mean: crew.mean,
      spread: crew.spread,
      tests: crew.tests,
      ...(crew.slipped ? { slipped: crew.slipped } : {}),
      ...(crew.breaks ? { breaks: crew.breaks } : {}),
      origin: 'own',
    }
  const nominal = efficiency[material]
  return nominal === undefined ? undefined : { mean: nominal, spread, tests: 0, origin: 'nominal' }
}

/** Whether a joint can be tied in a line of a material at all. */
export const isTiedIn = (catalogue: Catalogue, joint: TiedConnection, material: Material): boolean =>
  efficiencyOf(catalogue, joint, material) !== undefined

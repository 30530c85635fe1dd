import { type FamilyId, familyName } from '../catalogue/familyIds.ts'
import type { BaitType, ConnectionId, HardwareType, HookPattern, Material, SinkerShape } from '../catalogue/ids.ts'
import type { Conditions } from '../documents/conditions.ts'
import type { MovingWay } from '../documents/moving.ts'
import type { LinePiece } from '../documents/trace.ts'
import type { BiteTrace } from '../purpose/biteTrace.ts'

/** One thing about a family that a person sets before the draft; SI. */
export type Parameter = {
  key: string
  label: string
  kind: 'length' | 'mass' | 'count'
  usual: number
  least: number
  most: number
}

/** A number, a parameter by its key (`rodM`: the rod's length), or so many times one, and so much more. */
export type Amount = number | string | { of: string; times?: number; plus?: number }

/** A place on a line, m from its near end (on the outfit's line, up from its free end); or back from its far end; or in the row of a repeat. */
export type PartPosition = Amount | { back: Amount } | { slot: number }

/** Strength of a line: a share of the leader's label, or of the main line's; or as weak as a weak link should be. */
export type Strength = { leader: number } | { main: number } | 'weakLink'

/** How a row hangs. Without a connection, the usual one for the materials. In a repeat `#` is the letter, `@` what came before. */
export type Hang =
  | { tied: string; with?: ConnectionId; end?: 'near' }
  | { on: string; at: PartPosition; with?: ConnectionId }
  | { slides: string; at: PartPosition; below?: string; above?: string }
  | { through: string; at: Amount; near: string; far: string }

export type Row = { id: string; hangs: Hang } & (
  | { line: LinePiece['role']; material: Material | 'outfit'; strength: Strength; lengthM: Amount | 'castReach' }
  | { part: HardwareType; share?: number }
  | { sinker: SinkerShape; massKg: Amount }
  | { lure: Amount }
  | { float: Amount }
  | { light: Amount }
  | { hook: 'baited' | 'bare' }
)

/** Rows that come as often as a parameter says, along a line (`firstM`, `spacingM`) or one from another (`from`). */
export type Repeat = { each: string; rows: readonly Row[]; firstM?: Amount; spacingM?: Amount; from?: string }

export const FAMILY_GROUPS = ['on the bottom', 'several hooks', 'live and natural bait', 'boat and deep water', 'lures'] as const

/** A family: what it is for, what can be set, and its parts from the outfit on, as data. */
export type Family = {
  id: FamilyId
  group: (typeof FAMILY_GROUPS)[number]
  /** What it is and what it is for, in a sentence or two. */
  about: string
  /** How it is thrown, the usual way first; `none`: lowered. */
  casts: readonly [Conditions['castStyle'], ...Conditions['castStyle'][]]
  /** Least leader label over the main line's. */
  leaderOverMain: number
  /** How its line moves while it fishes; lowered, what is wound in is towed. */
  moves?: MovingWay
  /** Mass of the fish it is lifted with, kg, unless something else is said. */
  fishKg: number
  parameters: readonly Parameter[]
  hook?: { size: string; pattern: HookPattern }
  bait?: BaitType
  rows: readonly (Row | Repeat)[]
  /** The line meant to part when the sinker snags. */
  weakLink?: string
}

/** All that a draft is expanded with, settled. */
export type Wishes = {
  name: string
  hookSize: string
  hookPattern: HookPattern
  bait: BaitType
  /** What stands between teeth and line. */
  bite: BiteTrace
  /** Of the main sinker, where it is not the family’s. */
  sinkerShape?: SinkerShape
  /** By the key of a parameter, SI; what is left out is as usual. */
  amounts: Readonly<Record<string, number>>
}

/** What a person says of the trace they want; the rest follows from family, fish, place and outfit. */
export type UserChoices = Partial<Omit<Wishes, 'sinkerShape'>> & {
  /** Label of the leader, N. */
  leaderN?: number
}

/** The wishes of someone who has none, and no fish in mind. */
export function defaultWishes({ id, hook, bait }: Family): Wishes {
  const name = familyName(id)
  return {
    name: name.charAt(0).toUpperCase() + name.slice(1),
    hookSize: hook?.size ?? '2/0',
    hookPattern: hook?.pattern ?? 'j',
    bait: bait ?? 'sandeel',
    bite: 'none',
    amounts: {},
  }
}

/** Every parameter of a family as it usually is. */
export const usualAmounts = ({ parameters }: Family): Record<string, number> =>
  Object.fromEntries(parameters.map(({ key, usual }) => [key, usual]))

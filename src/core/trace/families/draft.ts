import { castLoad } from '../../cast/load.ts'
import { CAST_PEAK_FACTOR, CAST_STYLES } from '../../cast/styles.ts'
import type { BaitType } from '../../gear/baits.ts'
import type { ConnectionId } from '../../gear/connections.ts'
import { type HardwareType, hardwareOf } from '../../gear/hardware.ts'
import type { HookPattern } from '../../gear/hooks.ts'
import { labelStepsN } from '../../gear/labels.ts'
import type { SinkerShape } from '../../gear/sinkers.ts'
import type { Conditions } from '../conditions.ts'
import { freeLine, mainLine, type Outfit } from '../outfit.ts'
import { type Attach, FORMAT_VERSION, type LinePiece, OUTFIT, type Piece, type Trace } from '../schema.ts'

/** What a person says of the trace they want; the rest of a draft follows from the outfit and the conditions. */
export type Wishes = {
  name: string
  sinkerKg: number
  hookSize: string
  hookPattern: HookPattern
  bait: BaitType
  snoods: number
}

export type Family = {
  id: string
  name: string
  /** What it is and what it is for, in one sentence. */
  about: string
  usual: Wishes
  /** How many snoods it takes, where that is a choice. */
  snoods?: { least: number; most: number }
  draft: (wishes: Wishes, outfit: Outfit, conditions: Conditions) => Trace
}

/** Margin over the peak pull of a cast that a draft aims for: a little over the 3 that holds. */
const CAST_MARGIN = 3.2
/** What a wet, knotted mono keeps of its label in a usual eye knot. */
const WET_AND_KNOTTED = 0.9 * 0.84
/** Mass that flies beside the sinker in a usual trace: hooks, baits, swivels. */
const RIDERS_KG = 0.06
/** Leader of a trace that is not cast, m. */
const SHORT_LEADER_M = 3

export const joined = (to: string, connection: ConnectionId): Attach => ({ how: 'joined', to, joint: { connection } })

/** A size of hardware that is stronger than `neededN` by a little and no bigger. */
export function hardware(id: string, type: HardwareType, neededN: number, attach: Attach): Piece {
  const { sizes } = hardwareOf(type)
  const size = (sizes.find(({ strengthN }) => strengthN >= 1.3 * neededN) ?? sizes.at(-1))?.size
  return { id, role: 'hardware', type, attach, ...(size === undefined ? {} : { size }) }
}

/** The smallest label at or above a strength. */
export function labelAtLeastN(neededN: number): number {
  const steps = labelStepsN('lb')
  return steps.find((step) => step >= neededN * 0.999) ?? steps.at(-1)!
}

/** The largest label at or below a strength. */
export function labelAtMostN(limitN: number): number {
  const steps = labelStepsN('lb')
  return steps.findLast((step) => step <= limitN * 1.001) ?? steps[0]!
}

/** Label of mono that survives the cast of a sinker with a margin, N; 0 where nothing is cast. */
export function castLabelN(sinkerKg: number, conditions: Conditions): number {
  if (conditions.castStyle === 'none') return 0
  const { peakN } = castLoad({ massKg: sinkerKg + RIDERS_KG, ...CAST_STYLES[conditions.castStyle], peakFactor: CAST_PEAK_FACTOR })
  return (CAST_MARGIN * peakN) / WET_AND_KNOTTED
}

/**
 * A leader of mono for the outfit: strong enough for the cast, near the main line's own class, and, where a sinker is cast,
 * long enough to lie on the spool.
 */
export function leaderPiece(outfit: Outfit, sinkerKg: number, conditions: Conditions): LinePiece {
  const strengthN = labelAtLeastN(Math.max(castLabelN(sinkerKg, conditions), mainLine(outfit).strengthN * 0.75))
  const turnsM = 5 * 2 * Math.PI * outfit.reel.fullRadiusM
  const reachM = Math.ceil(2 * (conditions.dropM + outfit.rod.lengthM + turnsM)) / 2
  return {
    id: 'leader',
    role: 'leader',
    material: 'mono',
    strengthN,
    lengthM: conditions.castStyle === 'none' ? SHORT_LEADER_M : reachM,
    attach: joined(OUTFIT, freeLine(outfit).material === 'braid' ? 'fg' : 'doubleUni'),
  }
}

export function sinker(massKg: number, conditions: Conditions, attach: Attach): Piece {
  const shape: SinkerShape = conditions.castStyle === 'none' ? 'pear' : 'bomb'
  return { id: 'sinker', role: 'sinker', shape, massKg, attach }
}

/** A hook with its bait, on the end of a line. */
export function baitedHook(id: string, wishes: Wishes, line: string): Piece[] {
  return [
    { id, role: 'hook', pattern: wishes.hookPattern, size: wishes.hookSize, attach: joined(line, 'snell') },
    { id: `${id}-bait`, role: 'bait', bait: wishes.bait, attach: joined(id, 'fitted') },
  ]
}

export function assemble(family: string, wishes: Wishes, pieces: Piece[], more: Partial<Trace> = {}): Trace {
  return { formatVersion: FORMAT_VERSION, name: wishes.name, family, pieces, ...more }
}

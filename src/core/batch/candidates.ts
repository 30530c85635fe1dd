import type { Catalogue } from '../catalogue/catalogue.ts'
import { strengthOfHardwareN } from '../catalogue/hardware.ts'
import { isWire, lineDiameterM } from '../catalogue/materials.ts'
import type { Gear } from '../documents/gear.ts'
import { pieceById } from '../documents/pieces.ts'
import type { Trace } from '../documents/trace.ts'
import { hookStep } from '../units/hookSize.ts'
import type { LineNeed, Need, PartNeed } from './needs.ts'

/** An item of the box with what is on each of its spools; pieces are on one. Undefined: it was never counted. */
export type BoxItem = { id: string; gear: Gear; spools: readonly SpoolLevel[] | undefined }
export type SpoolLevel = { spool: number; quantity: number }

/** An item that a need can be made from. `distance` is 0 for the same thing and grows with what differs. */
export type Candidate = { item: BoxItem; isSame: boolean; distance: number }

/** Labels and scales agree within so much: 30 lb is 13.6 kg. */
const SAME_SHARE = 0.01
/** A line whose own spool was tested is stronger or weaker than its label by up to this. */
const TESTED_SHARE = 0.25
/** A measured diameter agrees within this. */
const SAME_DIAMETER_SHARE = 0.03
/** Beyond this, in logarithms of the ratio (about half or double), it is another thing. */
const MAX_DISTANCE = 0.75
/** What it counts to be of another make: another material, pattern or shape, beside a ratio of sizes. */
const OTHER_MAKE = 0.3
/** A step of hook size is about so much of a hook. */
const PER_HOOK_STEP = 0.12

/**
 * The items of the box that a need can be made from: the same thing first, then the nearest by kind, size, strength and material.
 * A reading of the craft; the verdicts with a substitute decide, not the distance.
 */
export function candidatesFor(need: Need, trace: Trace, box: readonly BoxItem[], catalogue: Catalogue): Candidate[] {
  return box
    .flatMap((item): Candidate[] => {
      const distance =
        need.kind === 'line' ? lineDistance(need, trace, item.gear, catalogue) : partDistance(need, item.gear, catalogue)
      return distance === undefined || distance > MAX_DISTANCE ? [] : [{ item, isSame: distance === 0, distance }]
    })
    .sort((a, b) => a.distance - b.distance || amountOf(b.item) - amountOf(a.item))
}

/** What is on all spools of an item together; 0 where nobody counted. */
export const amountOf = ({ spools }: BoxItem): number => (spools ?? []).reduce((sum, { quantity }) => sum + quantity, 0)

const ratio = (a: number, b: number, same: number): number => {
  const away = Math.abs(Math.log(a / b))
  return away <= same ? 0 : away
}

function lineDistance(need: LineNeed, trace: Trace, gear: Gear, catalogue: Catalogue): number | undefined {
  if (gear.kind !== 'line' || isWire(gear.material) !== isWire(need.material)) return undefined
  const piece = pieceById(trace, need.piece)
  const isTested = piece !== undefined && 'pulled' in piece && piece.pulled === true
  const thickness = gear.diameterM === undefined ? 0 : ratio(lineDiameterM(catalogue, gear), need.diameterM, SAME_DIAMETER_SHARE)
  return (
    ratio(gear.strengthN, need.strengthN, isTested ? TESTED_SHARE : SAME_SHARE) +
    thickness / 2 +
    (gear.material === need.material ? 0 : OTHER_MAKE)
  )
}

function partDistance({ sample }: PartNeed, gear: Gear, catalogue: Catalogue): number | undefined {
  const other = (differs: boolean) => (differs ? OTHER_MAKE : 0)
  switch (sample.role) {
    case 'hook':
      if (gear.kind !== 'hook') return undefined
      return (
        PER_HOOK_STEP * Math.abs(hookStep(gear.size) - hookStep(sample.size)) +
        other(gear.pattern !== sample.pattern) +
        massDistance(gear.headKg, sample.headKg)
      )
    case 'sinker':
      if (gear.kind !== 'sinker') return undefined
      return (
        ratio(gear.massKg, sample.massKg, SAME_SHARE) +
        other(gear.shape !== sample.shape) +
        other((gear.metal ?? 'lead') !== (sample.metal ?? 'lead'))
      )
    case 'hardware': {
      if (gear.kind !== 'hardware' || gear.type !== sample.type) return undefined
      const [has, wants] = [strengthOfHardwareN(catalogue, gear), strengthOfHardwareN(catalogue, sample)]
      if (has === undefined || wants === undefined) return other((gear.size ?? '') !== (sample.size ?? ''))
      return ratio(has, wants, SAME_SHARE)
    }
    case 'lure':
    case 'float':
      return gear.kind === sample.role ? ratio(gear.massKg, sample.massKg, SAME_SHARE) : undefined
    default:
      return undefined
  }
}

/** A head on a hook, or none: as far apart as their weights. */
const massDistance = (a: number | undefined, b: number | undefined): number => {
  if (a === undefined || b === undefined) return a === b ? 0 : Number.POSITIVE_INFINITY
  return ratio(a, b, SAME_SHARE)
}

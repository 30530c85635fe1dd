import type { Outfit, WoundLine } from './trace/outfit.ts'
import { QUANTITIES } from './units/quantities.ts'

export const LB = QUANTITIES.strength.units.lb

/** A surf outfit with a braid main line of the given label and a full spool. */
export function braidOutfit(mainLb: number, more: { wound?: WoundLine[]; arborRadiusM?: number } = {}): Outfit {
  return {
    formatVersion: 1,
    name: `${mainLb} lb braid`,
    rod: { lengthM: 3.9, ratingLowN: 15 * LB, ratingHighN: 60 * LB },
    reel: {
      capacityLengthM: 300,
      capacityDiameterM: 0.00037,
      arborRadiusM: more.arborRadiusM ?? 0.022,
      fullRadiusM: 0.034,
      highestDragN: 150,
    },
    wound: more.wound ?? [
      { role: 'backing', material: 'mono', strengthN: 20 * LB, lengthM: 60 },
      { role: 'main', material: 'braid', strengthN: mainLb * LB, joint: { connection: 'doubleUni' } },
    ],
  }
}

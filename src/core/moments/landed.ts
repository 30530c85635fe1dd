import type { Catalogue } from '../catalogue/catalogue.ts'
import type { Landing } from '../catalogue/ids.ts'
import { GRAVITY_M_PER_S2 } from '../math/constants.ts'
import { HAND_OVER_PULL, HAND_OVER_WEIGHT } from './thresholds.ts'

type HowLanded = Catalogue['landings'][Landing]

/**
 * The pull on the chain as a fish is landed, N: a share of its dead weight. A fish that is not lifted pulls at most what a person can
 * hold, and without a hand on the line at most what starts the drag.
 * @param dragN pull that starts the drag; leave it out where it is unknown.
 */
export function borneN({ share, mostN, byHand }: HowLanded, fishMassKg: number, dragN = Number.POSITIVE_INFINITY): number {
  const weightN = share * fishMassKg * GRAVITY_M_PER_S2
  if (mostN === undefined) return weightN
  return Math.min(weightN, mostN, byHand ? mostN : dragN)
}

/** Strength over that pull at which the hand holds or is to be watched: higher for a dead weight, which swings. */
export const handLimits = ({ mostN }: HowLanded): { holds: number; watch: number } =>
  mostN === undefined ? HAND_OVER_WEIGHT : HAND_OVER_PULL

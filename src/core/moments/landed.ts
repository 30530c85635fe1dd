import type { Catalogue } from '../catalogue/catalogue.ts'
import type { Landing } from '../catalogue/ids.ts'
import { GRAVITY_M_PER_S2 } from '../math/constants.ts'
import { HAND_OVER_PULL, HAND_OVER_WEIGHT } from './thresholds.ts'

type HowLanded = Catalogue['landings'][Landing]

/**
 * What the chain bears of a fish as it is landed, N: a share of its dead weight; where it is never lifted, no more than a person holds,
 * and on the rod no more than the drag gives.
 * @param dragN what the drag takes to start; left out, it is not known.
 */
export function borneN({ share, mostN, byHand }: HowLanded, fishMassKg: number, dragN = Number.POSITIVE_INFINITY): number {
  const weightN = share * fishMassKg * GRAVITY_M_PER_S2
  if (mostN === undefined) return weightN
  return Math.min(weightN, mostN, byHand ? mostN : dragN)
}

/** What the weakest link must hold over that: more for a dead weight that swings than for a pull that a person can ease. */
export const handLimits = ({ mostN }: HowLanded): { holds: number; watch: number } =>
  mostN === undefined ? HAND_OVER_WEIGHT : HAND_OVER_PULL

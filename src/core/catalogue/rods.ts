import type { Catalogue } from './catalogue.ts'
import type { RodAction } from './ids.ts'

type Rod = {
  lengthM: number
  /** Of the line it is rated for. */
  ratingLowN: number
  ratingHighN: number
  castLowKg?: number | undefined
  castHighKg?: number | undefined
  action?: RodAction | undefined
}

/** Mass that a rod rated for 100 N of line throws best, and how it grows with the rating. Nominal, ours: from light spinning to surf rods. */
const BEST_AT_100_N_KG = 0.15
const GROWTH = 2
/** The most that a rod casts over what it throws best, where its rating does not say. Nominal, ours. */
const MAX_OVER_BEST = 1.3
/** A rod bent to its length's third bears about a third of the line it is rated for. Nominal, ours. */
const BENT = { shareOfLength: 1 / 3, shareOfRating: 1 / 3 }

const middleRatingN = ({ ratingLowN, ratingHighN }: Rod) => Math.sqrt(ratingLowN * ratingHighN)

/** The mass a rod throws best, kg: the geometric mean of its casting rating, or, without one, estimated from its line rating. */
export function bestCast(rod: Rod): { massKg: number; origin: 'document' | 'nominal' } {
  const { castLowKg, castHighKg } = rod
  if (castLowKg !== undefined && castHighKg !== undefined)
    return { massKg: Math.sqrt(castLowKg * castHighKg), origin: 'document' }
  return { massKg: BEST_AT_100_N_KG * (middleRatingN(rod) / 100) ** GROWTH, origin: 'nominal' }
}

/** What a rod casts at most, kg: as rated, else so much over what it throws best. */
export const mostCastKg = (rod: Rod): number => rod.castHighKg ?? MAX_OVER_BEST * bestCast(rod).massKg

/** Stiffness of a rod at its tip, N/m, estimated from its line rating, length and action. */
export const rodStiffnessNperM = ({ rodActions }: Catalogue, rod: Rod): number =>
  (rodActions[rod.action ?? 'medium'].stiffness * BENT.shareOfRating * middleRatingN(rod)) / (BENT.shareOfLength * rod.lengthM)

/** Share of its length that a rod in its rest holds its tip up by. Nominal. */
const IN_ITS_REST = 0.9

/** Height of the tip of a rod in its rest over the angler’s feet, m. */
export const tipOverFeetM = (rod: Rod): number => IN_ITS_REST * rod.lengthM

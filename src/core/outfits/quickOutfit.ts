import type { Material } from '../catalogue/ids.ts'
import { labelAtLeastN, labelAtMostN } from '../catalogue/labels.ts'
import type { Outfit } from '../documents/outfit.ts'
import { OUTFIT_VERSION } from '../documents/versions.ts'
import { withinHalfPoundsN } from '../units/halfPounds.ts'

/** What anyone knows of their own rod, reel and line. */
export type KnownOfOutfit = {
  name: string
  lineN: number
  material: Material
  rodLengthM: number
  /** As printed on the reel. */
  capacityLengthM: number
  capacityDiameterM: number
}

/** Rating of a rod over the line that is fished on it, and the reel’s highest drag over the same. Nominal, ours. */
const RATING = { low: 0.5, high: 1.5 }
const HIGHEST_DRAG = 0.6

/** An outfit from what is known of it; the rest is what usually goes with it: rod rating, highest drag, spool’s size, spool filled. */
export const quickOutfit = ({
  name,
  lineN,
  material,
  rodLengthM,
  capacityLengthM,
  capacityDiameterM,
}: KnownOfOutfit): Outfit => ({
  formatVersion: OUTFIT_VERSION,
  name,
  rod: { lengthM: rodLengthM, ratingLowN: labelAtMostN(RATING.low * lineN), ratingHighN: labelAtLeastN(RATING.high * lineN) },
  reel: { capacityLengthM, capacityDiameterM, highestDragN: withinHalfPoundsN(HIGHEST_DRAG * lineN) },
  wound: [{ role: 'main', material, strengthN: lineN }],
})

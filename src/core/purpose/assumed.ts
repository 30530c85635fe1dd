import type { Conditions } from '../documents/conditions.ts'
import type { Outfit } from '../documents/outfit.ts'
import { GRAVITY_M_PER_S2 } from '../math/constants.ts'
import { mainLine } from '../outfits/outfitLines.ts'
import { DEFAULT_DRAG_SHARE } from '../setup/drag.ts'
import { withinHalfPoundsN } from '../units/halfPounds.ts'
import { EASY_LIFT } from './landing.ts'

/** A fish that an outfit lifts with ease, kg: what is reckoned with where nobody gave one. */
export const easyFishKg = (outfit: Outfit): number =>
  Math.max(0.5, Math.floor((2 * mainLine(outfit).strengthN) / (EASY_LIFT * GRAVITY_M_PER_S2)) / 2)

/** Conditions that nobody gave, as they follow from the outfit: its drag, and a fish that is marked as assumed. */
export const assumedFor = (outfit: Outfit): Pick<Conditions, 'dragN' | 'dragAssumed' | 'fishMassKg' | 'fishAssumed'> => ({
  dragN: withinHalfPoundsN(DEFAULT_DRAG_SHARE * mainLine(outfit).strengthN),
  dragAssumed: true,
  fishMassKg: easyFishKg(outfit),
  fishAssumed: true,
})

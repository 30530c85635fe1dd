import type { Catalogue } from '../catalogue/catalogue.ts'
import type { Landing, Method } from '../catalogue/ids.ts'
import type { Target } from '../documents/fish.ts'
import type { Outfit } from '../documents/outfit.ts'
import { GRAVITY_M_PER_S2 } from '../math/constants.ts'
import { borneN, handLimits } from '../moments/landed.ts'
import { mainLine } from '../outfits/outfitLines.ts'
import { WET_AND_KNOTTED } from './leader.ts'

/** How a fish is landed, the least trouble first; the last always does, for a hand holds the leader and not the main line. */
const ON_SHORE: readonly Landing[] = ['lift', 'net', 'beach', 'leadered']
const ON_BOAT: readonly Landing[] = ['lift', 'net', 'leadered']
/** Line class over the weight of a fish that is lifted without a second thought. Ours. */
export const EASY_LIFT = 8
/** A fish that a net takes, kg. Ours. */
export const MAX_NETTED_KG = 8

/** How a fish is usually landed with an outfit: the first way whose load its main line holds with enough to spare. */
export function usualLanding(
  { landings }: Pick<Catalogue, 'landings'>,
  { typicalMassKg }: Target,
  outfit: Outfit,
  method: Method | undefined,
): Landing {
  const weightN = typicalMassKg * GRAVITY_M_PER_S2
  const mainN = mainLine(outfit).strengthN
  const holds = (landing: Landing) => {
    if (landing === 'lift') return EASY_LIFT * weightN <= mainN
    if (landing === 'net' && typicalMassKg > MAX_NETTED_KG) return false
    const how = landings[landing]
    return handLimits(how).holds * borneN(how, typicalMassKg) <= WET_AND_KNOTTED * mainN
  }
  return (method === 'shore' ? ON_SHORE : ON_BOAT).find(holds) ?? 'leadered'
}

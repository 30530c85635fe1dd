import type { FamilyId } from '../catalogue/familyIds.ts'
import { BOAT_AND_DEEP } from './data/boatAndDeep.ts'
import { LURES } from './data/lures.ts'
import { NATURAL_BAIT } from './data/naturalBait.ts'
import { ON_THE_BOTTOM } from './data/onTheBottom.ts'
import { SEVERAL_HOOKS } from './data/severalHooks.ts'
import type { Family } from './family.ts'

/** The families a trace can be started from. */
export const FAMILIES: readonly Family[] = [...ON_THE_BOTTOM, ...SEVERAL_HOOKS, ...NATURAL_BAIT, ...LURES, ...BOAT_AND_DEEP]

export function familyOf(id: FamilyId): Family | undefined {
  return FAMILIES.find((family) => family.id === id)
}

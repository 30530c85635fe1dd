import { BOAT_AND_DEEP } from './boatAndDeep.ts'
import type { Family } from './family.ts'
import { LURES } from './lures.ts'
import { NATURAL_BAIT } from './naturalBait.ts'
import { ON_THE_BOTTOM } from './onTheBottom.ts'
import { SEVERAL_HOOKS } from './severalHooks.ts'

/** The families a trace can be started from. */
export const FAMILIES: readonly Family[] = [...ON_THE_BOTTOM, ...SEVERAL_HOOKS, ...NATURAL_BAIT, ...LURES, ...BOAT_AND_DEEP]

/** The family of a trace that was drawn from nothing. */
export const OWN_DESIGN = 'ownDesign'

export function familyOf(id: string): Family | undefined {
  return FAMILIES.find((family) => family.id === id)
}

export function familyName(id: string): string {
  return id === OWN_DESIGN ? 'own design' : (familyOf(id)?.name ?? id)
}

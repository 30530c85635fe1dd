import type { Water } from '../documents/water.ts'
import type { Owned } from '../setup/owned.ts'
import { type PreparedSetup, prepareSetup } from '../setup/prepareSetup.ts'
import { type Settling, settlingOf, weightOfSinker } from '../setup/settling/settling.ts'
import type { Setup } from '../setup/setup.ts'

/**
 * A setup prepared for a day in which as much line goes out as is needed.
 * @throws CoreError where the outfit's spool does not hold together.
 */
export const preparedWithSinker = (setup: Setup): PreparedSetup =>
  prepareSetup({ ...setup, conditions: { ...setup.conditions, lineOutM: 0 } })

/** What settles of a trace, with a sinker of the box in place of its own where one is on. */
export function settledOn(setup: Setup, water: Water, sinker: Owned | undefined): Settling | undefined {
  const settling = settlingOf(preparedWithSinker(setup), water)
  if (!settling || !sinker) return settling
  return { ...settling, weight: weightOfSinker(setup.catalogue, { id: settling.weight.id, ...sinker }) }
}

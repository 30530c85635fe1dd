import type { Fished } from '../moments/levers.ts'
import { prepare } from '../moments/workings.ts'
import { type Settling, settlingOf, weightOfSinker } from '../settling/settling.ts'
import type { Water } from '../trace/waterConditions.ts'
import type { Owned } from './planDay.ts'

/**
 * A trace with its lines and ways worked out, for a day in which as much line goes out as is needed.
 * @throws CoreError where the outfit's spool does not hold together.
 */
export const rigged = ({ trace, outfit, conditions }: Fished) => prepare(trace, outfit, { ...conditions, lineOutM: 0 })

/** What settles of a trace, with a sinker of the box in place of its own where one is on. */
export function settledOn(fished: Fished, water: Water, sinker: Owned | undefined): Settling | undefined {
  const settling = settlingOf(rigged(fished), water)
  return settling && sinker ? { ...settling, weight: weightOfSinker({ id: settling.weight.id, ...sinker }) } : settling
}

import { isCastMethod } from '../../catalogue/methods.ts'
import type { MinimumSinker } from './minimumSinker.ts'
import type { Settling } from './settling.ts'

/** Near slack anything holds, and nothing is learned from it. */
const LEAST_DEMAND = 0.01

/**
 * What is asked of the weight in use, to be learned from when it holds or drags: of a cast one the pull on it over what of its weight
 * in water is left to hold, of one hanging the least that holds over its mass.
 * @returns undefined where that is not known, where next to nothing is asked, or where the pull lifts it whatever its grip.
 */
export function demandOn({ weight, water }: Settling, minimum: MinimumSinker): number | undefined {
  if ('trouble' in minimum) return undefined
  const liftKg = isCastMethod(water.method) ? minimum.kgFor(Number.POSITIVE_INFINITY) : 0
  const demand = (minimum.kgFor(1) - liftKg) / (weight.massKg - liftKg)
  return demand > LEAST_DEMAND ? demand : undefined
}

import { isCastMethod } from '../trace/waterConditions.ts'
import type { Least } from './least.ts'
import type { Settling } from './settling.ts'

/**
 * What is asked of the weight in use, to be learned from when it holds or drags: of a cast one the pull on it over what of its weight
 * in water is left to hold, of one hanging the least that holds over its mass.
 * @returns undefined where that is not known, or where the pull lifts it whatever its grip.
 */
export function demandOn({ weight, water }: Settling, least: Least): number | undefined {
  if ('trouble' in least) return undefined
  if (!isCastMethod(water.method)) return least.kgFor(1) / weight.massKg
  const liftKg = least.kgFor(Number.POSITIVE_INFINITY)
  return weight.massKg > liftKg ? (least.kgFor(1) - liftKg) / (weight.massKg - liftKg) : undefined
}

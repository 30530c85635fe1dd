import { isCastMethod } from '../../catalogue/methods.ts'
import { findRoot } from '../../math/findRoot.ts'
import type { MinimumSinker } from './minimumSinker.ts'
import type { Settling } from './settling.ts'

/** Near slack anything holds, and nothing is learned from it. */
const MIN_DEMAND = 0.01

/** Grips that no bed gives, between which what is asked is looked for. */
const [MIN_GRIP, MAX_GRIP] = [1e-3, 1e3]

/**
 * What is asked of the weight in use, to be learned from when it holds or drags: of a cast one the grip with which it would just hold,
 * of one hanging the least that holds over its mass.
 * @returns undefined where that is not known, where next to nothing is asked, or where the pull lifts it whatever its grip.
 */
export function demandOn({ weight, water }: Settling, minimum: MinimumSinker): number | undefined {
  if ('trouble' in minimum) return undefined
  const demand = isCastMethod(water.method) ? gripAsked(minimum.kgFor, weight.massKg) : minimum.kgFor(1) / weight.massKg
  return demand !== undefined && demand > MIN_DEMAND ? demand : undefined
}

function gripAsked(kgFor: (grip: number) => number, massKg: number): number | undefined {
  const over = (logGrip: number) => kgFor(Math.exp(logGrip)) / massKg - 1
  const [least, most] = [Math.log(MIN_GRIP), Math.log(MAX_GRIP)]
  if (over(least) <= 0 || over(most) >= 0) return undefined
  return Math.exp(findRoot(over, least, most, 1e-12))
}

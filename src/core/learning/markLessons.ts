import type { Catalogue } from '../catalogue/catalogue.ts'
import { gripPrior, holdKindOf } from '../catalogue/grip.ts'
import type { HoldKind, Method, SinkerShape } from '../catalogue/ids.ts'
import { isCastMethod } from '../catalogue/methods.ts'
import type { Mark } from '../documents/mark.ts'
import type { Hold, Observation } from '../documents/observation.ts'
import { activeObservations } from './activeObservations.ts'
import { type Belief, type Learned, learnRatio } from './ratioBelief.ts'

/** What is learned at a mark of one thing: before, what was seen, and after. */
export type Lesson = { prior: Learned; evidence: Hold[]; posterior: Learned }

/** The holds that count of everything that was told: none that was taken back, and of the same sinker at the same time the later word. */
export function activeHolds(told: readonly Observation[]): Hold[] {
  const holds = activeObservations(told).filter((each): each is Hold => each.kind === 'hold')
  const keyOf = ({ at, markId, shape, massKg }: Hold) => [at, markId, shape, massKg].join()
  return [...new Map(holds.map((hold) => [keyOf(hold), hold])).values()]
}

/** Grip of a kind of sinker on the mark's bed, after what was held and dragged there. */
export function gripLesson(catalogue: Catalogue, { bed }: Pick<Mark, 'bed'>, holds: readonly Hold[], kind: HoldKind): Lesson {
  const evidence = holds.filter(({ method, shape }) => isCastMethod(method) && holdKindOf(shape) === kind)
  return lesson(gripPrior(catalogue, kind, bed), evidence)
}

/** Spread of the reserve that hanging sinkers want from boat to boat, as the standard deviation of its logarithm. Nominal, ours. */
const RESERVE_SPREAD = 0.2

/** Share of a hanging sinker that counts, one over the reserve, after what held and dragged at a mark by a method. */
export function reserveLesson({ methods }: Catalogue, holds: readonly Hold[], method: Method): Lesson {
  const evidence = holds.filter((hold) => hold.method === method)
  return lesson({ median: 1 / methods[method].reserve, spread: RESERVE_SPREAD }, evidence)
}

function lesson(prior: Belief, evidence: Hold[]): Lesson {
  return { prior: learnRatio(prior, []), evidence, posterior: learnRatio(prior, evidence) }
}

/** What has been learned at a mark: the grip of each shape of sinker there, and the reserve its method wants. */
export type LearnedHolding = { gripOf: (shape: SinkerShape) => number; reserve: number }

export function learnedHolding(catalogue: Catalogue, mark: Mark, holds: readonly Hold[]): LearnedHolding {
  const grips = new Map<HoldKind, number>()
  const reserve = catalogue.methods[mark.method].reserve
  return {
    gripOf: (shape) => {
      const kind = holdKindOf(shape)
      const grip = grips.get(kind) ?? gripLesson(catalogue, mark, holds, kind).posterior.median
      grips.set(kind, grip)
      return grip
    },
    reserve: isCastMethod(mark.method) ? reserve : 1 / reserveLesson(catalogue, holds, mark.method).posterior.median,
  }
}

import type { Moving } from '../../core/documents/moving.ts'
import type { MovingSettled } from '../../core/moments/settleMoving.ts'
import { type FlownBait, isTold, type ToldBait } from '../../core/setup/moving/kite.ts'
import type { Show } from '../settings/show.ts'
import { percent } from './percent.ts'

/** How a line moves, in a word or two. */
export const MOVING_WORDS: Record<Moving['way'], string> = {
  trolled: 'towed behind a boat',
  retrieved: 'wound in',
  kite: 'flown from a kite',
}

/** The bait that has least lead over what the gusts want. */
const worstOf = (baits: readonly FlownBait[]): ToldBait | undefined =>
  baits.filter(isTold).toSorted((a, b) => a.carriedKg - a.gust.leadMassKg - (b.carriedKg - b.gust.leadMassKg))[0]

/** The figure behind the verdict, in a line. */
export function movedFigure(moved: MovingSettled, show: Show): string {
  if (moved.trouble !== undefined) return 'cannot be told'
  if (moved.way === 'trolled')
    return moved.depthM >= moved.waterM
      ? `on the bed: ${show.depth(moved.waterM)}`
      : `swims ${show.depth(moved.depthM)} down, meant ${show.depth(moved.wantedM)}`
  if (moved.way === 'retrieved') return `kept at its depth over ${percent(moved.keptShare)} of the way`
  const worst = worstOf(moved.baits)
  return worst
    ? `${worst.bait.name}: carries ${show.computed('mass', worst.carriedKg)}, gusts want ${show.computed('mass', worst.gust.leadMassKg)}`
    : ''
}

/** What comes of how it moves, in a sentence or two. */
export function movedWords(moved: MovingSettled, show: Show): string {
  if (moved.trouble !== undefined) return `Nothing can be said of it: ${moved.trouble}.`
  if (moved.way === 'trolled')
    return `It swims ${show.depth(moved.depthM)} down; meant are ${show.depth(moved.wantedM)}. The least water on the way is ${show.depth(moved.waterM)}.`
  if (moved.way === 'retrieved')
    return `Some rate of winding keeps it where it is meant to swim over ${percent(moved.keptShare)} of the way.`
  return moved.baits
    .map((flown) =>
      flown.trouble === undefined
        ? `The ${flown.bait.name} bait carries ${show.computed('mass', flown.carriedKg)} of lead; the wind wants ${show.computed('mass', flown.steady.leadMassKg)}, its gusts ${show.computed('mass', flown.gust.leadMassKg)}.`
        : `The ${flown.bait.name} bait: ${flown.trouble}.`,
    )
    .join(' ')
}

import type { Moving } from '../../core/documents/moving.ts'
import type { MovingSettled } from '../../core/moments/settleMoving.ts'
import { type FlownBait, isTold, type ToldBait } from '../../core/setup/moving/kite.ts'
import { percent } from '../../core/units/percent.ts'
import type { Show } from '../settings/show.ts'

/** How a line moves, in a word or two. */
export const MOVING_WORDS: Record<Moving['way'], string> = {
  trolled: 'towed behind a boat',
  retrieved: 'retrieved',
  kite: 'flown from a kite',
}

/** The bait that has least lead over what the gusts want. */
const worstOf = (baits: readonly FlownBait[]): ToldBait | undefined =>
  baits.filter(isTold).toSorted((a, b) => a.carriedKg - a.gust.leadMassKg - (b.carriedKg - b.gust.leadMassKg))[0]

/** The figure behind the verdict, in a line. */
export function movedFigure(moved: MovingSettled, show: Show): string {
  if (moved.trouble !== undefined) return 'unknown'
  if (moved.way === 'trolled')
    return moved.depthM >= moved.waterM
      ? `on the bottom: ${show.depth(moved.waterM)}`
      : `swims ${show.depth(moved.depthM)} deep, target ${show.depth(moved.wantedM)}`
  if (moved.way === 'retrieved') return `at its depth for ${percent(moved.keptShare)} of the way`
  const worst = worstOf(moved.baits)
  return worst
    ? `${worst.bait.name}: carries ${show.computed('mass', worst.carriedKg)}, gusts need ${show.computed('mass', worst.gust.leadMassKg)}`
    : ''
}

/** What comes of how it moves, in a sentence or two. */
export function movedWords(moved: MovingSettled, show: Show): string {
  if (moved.trouble !== undefined) return `It cannot be calculated: ${moved.trouble}.`
  if (moved.way === 'trolled')
    return `It swims ${show.depth(moved.depthM)} down; the target is ${show.depth(moved.wantedM)}. The shallowest water on the way is ${show.depth(moved.waterM)}.`
  if (moved.way === 'retrieved') return `A retrieve rate keeps it at its depth for ${percent(moved.keptShare)} of the way.`
  return moved.baits
    .map((flown) =>
      flown.trouble === undefined
        ? `The ${flown.bait.name} bait carries ${show.computed('mass', flown.carriedKg)} of sinker; the wind needs ${show.computed('mass', flown.steady.leadMassKg)}, its gusts ${show.computed('mass', flown.gust.leadMassKg)}.`
        : `The ${flown.bait.name} bait: ${flown.trouble}.`,
    )
    .join(' ')
}

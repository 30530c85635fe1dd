import type { Conditions } from '../../core/documents/conditions.ts'
import type { Rush } from '../../core/moments/rush.ts'
import { percent } from '../../core/units/percent.ts'
import type { Show } from '../settings/show.ts'

/** How the rod is held in a sudden rush. */
export const ROD_HELD_WORDS: Record<Conditions['rodHeld'], string> = { bent: 'bent', pointed: 'pointed at the fish' }

/** What the inputs of a rush are called, in a run and at the hand. */
export const RUSH_INPUTS = {
  rodHeld: 'rod held',
  rushPeak: 'sudden run, up to',
  rushSurvival: 'chance to hold a sudden run',
}

/** A rush that decides a verdict, in a line. */
export const rushFigure = ({ peakN, survival }: Rush, show: Show): string =>
  `A sudden run pulls up to ${show.computed('strength', peakN)}; the trace holds in ${percent(survival)} of runs.`

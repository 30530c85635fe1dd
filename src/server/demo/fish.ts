import type { Fish } from '../../core/documents/fish.ts'
import { FISH_VERSION } from '../../core/documents/versions.ts'

const fish = (
  name: string,
  [typicalMassKg, typicalLengthM]: readonly [number, number],
  [largeMassKg, largeLengthM]: readonly [number, number],
  [mouthWidthShare, mouthHeightShare]: readonly [number, number],
  rest: Pick<Fish, 'teeth' | 'feeds' | 'takes' | 'fights'> & Partial<Fish>,
): Fish => ({
  formatVersion: FISH_VERSION,
  name,
  typicalMassKg,
  typicalLengthM,
  largeMassKg,
  largeLengthM,
  mouthWidthShare,
  mouthHeightShare,
  shakesCircles: false,
  lineShy: false,
  released: false,
  ...rest,
})

/** The fish of the scenario. Nominal, ours. */
export const DEMO_FISH: readonly Fish[] = [
  fish('smooth-hound', [3, 0.8], [9, 1.2], [0.06, 0.04], {
    teeth: 'none',
    feeds: 'bed',
    takes: 'sucks',
    fights: ['runs'],
    released: true,
  }),
  fish('tope', [12, 1.3], [25, 1.7], [0.08, 0.06], {
    ...{ teeth: 'cutting', feeds: 'bed', takes: 'bites', fights: ['runs', 'tail'], released: true },
    notes: 'Rough skin and tail: a rubbing length. Mind the teeth.',
  }),
  fish('conger', [10, 1.3], [30, 1.9], [0.07, 0.06], {
    ...{ teeth: 'cutting', feeds: 'rough', takes: 'bites', fights: ['dives', 'shakes'], shakesCircles: true },
    notes: 'Keep hands away from the mouth.',
  }),
  fish('pollack', [2.5, 0.6], [7, 0.9], [0.09, 0.08], {
    teeth: 'rasping',
    feeds: 'midwater',
    takes: 'sucks',
    fights: ['dives'],
    lineShy: true,
  }),
  fish('ling', [5, 0.9], [15, 1.4], [0.09, 0.08], { teeth: 'cutting', feeds: 'rough', takes: 'bites', fights: ['shakes'] }),
  fish('turbot', [3, 0.5], [9, 0.75], [0.12, 0.12], { teeth: 'rasping', feeds: 'bed', takes: 'sucks', fights: ['withStream'] }),
  fish('gurnard', [0.5, 0.35], [1.2, 0.5], [0.1, 0.08], {
    ...{ teeth: 'none', feeds: 'bed', takes: 'picks', fights: ['shakes'] },
    notes: 'Spines on the gill covers and the first fin.',
  }),
]

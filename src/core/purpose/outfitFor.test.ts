import { describe, expect, test } from 'vitest'
import { braidOutfit } from '../../../tests/fixtures/outfits.ts'
import { catalogue } from '../../../tests/fixtures/setups.ts'
import type { Target } from '../documents/fish.ts'
import type { Outfit } from '../documents/outfit.ts'
import { mainLine, withMainLine } from '../outfits/outfitLines.ts'
import { LB } from '../units/quantities.ts'
import { ANGLERS, OUTFIT_SUITS, outfitFor, rankedOutfits } from './outfitFor.ts'

const fish = (typicalMassKg: number, more: Partial<Target> = {}): Target => ({
  name: 'tope',
  typicalMassKg,
  typicalLengthM: 1.2,
  largeLengthM: 1.6,
  teeth: 'cutting',
  feeds: 'bed',
  takes: 'bites',
  fights: [],
  shakesCircles: false,
  lineShy: false,
  released: true,
  ...more,
})
const braid = braidOutfit(30)
const roomy: Outfit = {
  ...braid,
  rod: { ...braid.rod, lengthM: 3, ratingLowN: 10 * LB, ratingHighN: 120 * LB, castLowKg: 0.1, castHighKg: 0.2 },
}
const of = (lb: number) => withMainLine(roomy, { strengthN: lb * LB })
const shore = { method: 'shore', bed: 'sand', depthM: 6, distanceM: 80 } as const
const suits = (...args: Parameters<typeof outfitFor> extends [unknown, ...infer Rest] ? Rest : never) =>
  outfitFor(catalogue, ...args).suits

test('with nothing known nothing speaks for or against an outfit whose line is in the middle of its rod’s range', () => {
  expect(outfitFor(catalogue, of(40), {})).toEqual({ suits: 'well', reasons: [] })
})

describe('one thing at a time', () => {
  test.each([
    ['a fish within its class', of(30), { target: fish(10) }, 'well'],
    ['a fish of twice its class', of(30), { target: fish(28) }, 'marginal'],
    ['a fish far over its class', of(30), { target: fish(80) }, 'not'],
    ['rough ground on light line', of(20), { water: { ...shore, bed: 'rock' } }, 'marginal'],
    ['rough ground on heavy braid', of(40), { water: { ...shore, bed: 'rock' } }, 'well'],
    [
      'deep water on mono',
      withMainLine(of(30), { material: 'mono', diameterM: 0.0003 }),
      { water: { ...shore, method: 'anchor', depthM: 90 } },
      'marginal',
    ],
    ['more depth than line', of(30), { water: { ...shore, method: 'anchor', depthM: 600 } }, 'not'],
    ['a sinker over the rod’s range', of(30), { water: shore, castKg: 0.25 }, 'not'],
    ['a sinker under the rod’s range', of(30), { water: shore, castKg: 0.05 }, 'marginal'],
    ['the same sinker from a boat', of(30), { water: { ...shore, method: 'anchor' }, castKg: 0.05 }, 'well'],
    [
      'a long rod on a boat',
      { ...of(30), rod: { ...roomy.rod, lengthM: 4 } },
      { water: { ...shore, method: 'anchor' } },
      'marginal',
    ],
    ['a short rod on a beach', { ...of(30), rod: { ...roomy.rod, lengthM: 2 } }, { water: shore }, 'marginal'],
    ['a spool that is half full', withMainLine(of(30), { lengthM: 100 }), { water: shore }, 'marginal'],
    ['a guest with braid', of(30), { angler: 'guest' }, 'marginal'],
    ['someone who tires with a heavy outfit', of(80), { angler: 'tires' }, 'marginal'],
    ['line over the rod’s range', of(130), {}, 'marginal'],
    ['line at the top of the rod’s range', of(115), {}, 'marginal'],
  ] as const)('%s', (_, outfit, use, expected) => expect(suits(outfit, use)).toBe(expected))
})

test('a spool with more wound on than it holds is said to be so, and no run is measured on it', () => {
  const tooFull = { ...of(30), wound: [{ ...mainLine(of(30)), lengthM: 10_000 }] }
  const leavesNoRoom = {
    ...tooFull,
    wound: [...tooFull.wound, { ...mainLine(of(30)), role: 'topShot' as const, lengthM: undefined }],
  }
  for (const outfit of [tooFull, leavesNoRoom])
    expect(outfitFor(catalogue, outfit, { water: shore }).reasons.map(({ why }) => why.join(''))).toContain(
      'More is wound on than its spool holds. Wind on less.',
    )
  const { reasons } = outfitFor(catalogue, leavesNoRoom, { target: fish(10, { fights: ['runs'] }) })
  expect(reasons.filter(({ why }) => why.includes('A run of '))).toEqual([])
  expect(reasons.map(({ weighs }) => weighs)).toEqual(['for', 'not'])
})

test('a run that empties the spool asks for a larger reel, and what is left after one grows with the spool', () => {
  const runner = fish(16, { fights: ['runs'] })
  const reelOf = (capacityLengthM: number): Outfit => ({ ...of(50), reel: { ...roomy.reel, capacityLengthM } })
  const verdicts = [60, 150, 600].map((capacityM) => suits(reelOf(capacityM), { target: runner, water: shore }))
  expect(verdicts).toEqual(['not', expect.stringMatching(/not|marginal/), 'well'])
})

test('no outfit gets better as the fish grows, and every reason reads as a sentence', () => {
  for (const angler of ANGLERS)
    for (const lb of [10, 20, 30, 50, 80]) {
      const grades = [1, 4, 10, 30, 80, 200].map((kg) => {
        const { suits: grade, reasons } = outfitFor(catalogue, of(lb), {
          target: fish(kg, { fights: ['runs'] }),
          water: shore,
          angler,
        })
        for (const { why } of reasons)
          expect(why.map((part) => (typeof part === 'string' ? part : '1')).join('')).toMatch(/^\S.*\.$/)
        return OUTFIT_SUITS.indexOf(grade)
      })
      expect(grades).toEqual(grades.toSorted((a, b) => a - b))
    }
})

test('of two that would do the lighter is first; what cannot do it is last', () => {
  const outfits = [of(80), of(30), of(50), of(6)].map((content, id) => ({ id, content }))
  const order = rankedOutfits(catalogue, outfits, { target: fish(8) }).map(({ outfit }) => outfit.id)
  expect(order).toEqual([1, 2, 0, 3])
})

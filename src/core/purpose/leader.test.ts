import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { ruleSet } from '../../../tests/fixtures/judgedDrafts.ts'
import { LB } from '../../../tests/fixtures/outfits.ts'
import { purpose, targetNamed } from '../../../tests/fixtures/purposes.ts'
import { catalogue } from '../../../tests/fixtures/setups.ts'
import { FIGHTS, type Target, TEETH } from '../documents/fish.ts'
import { teethN } from '../moments/biteOff.ts'
import { biteTracesFor } from './biteTrace.ts'
import { hookKindsFor } from './hookKind.ts'
import { leaderBeside, leaderFor } from './leader.ts'
import type { Purpose } from './purpose.ts'

const use = { usualN: 22.5 * LB, usualM: 2 }
const pollack = targetNamed('pollack')
const tope = targetNamed('tope')
const conger = targetNamed('conger')

describe('the leader by purpose', () => {
  test('without anything in mind it is the usual label, and as long as usual', () => {
    expect(leaderFor(purpose(undefined), use)).toMatchObject({ labelN: 25 * LB, lengthM: 2, atHookN: 0, conflicts: [] })
  })

  test('a shy fish in clear water by day has it under what it stands; by night or in coloured water not', () => {
    const on = (more: Partial<Purpose>) => leaderFor(purpose(pollack, more), { ...use, usualN: 30 * LB }).labelN / LB
    // 14 lb for each root of a kilogram: 22 lb, and 20 is the label under it.
    expect(on({})).toBeCloseTo(20, 6)
    expect(on({ light: 'night' })).toBeCloseTo(30, 6)
    expect(on({ clarity: 'coloured' })).toBeCloseTo(30, 6)
    expect(leaderFor(purpose(pollack), { ...use, usualM: 1 }).lengthM).toBe(1.5)
  })

  test('rough ground wants a quarter over the main line; sight goes before it, the cast before sight', () => {
    const rough = { bed: 'rock' } as const
    expect(leaderFor(purpose(undefined, rough), use).labelN / LB).toBeCloseTo(40, 6)
    expect(leaderFor(purpose(pollack, rough), use).labelN / LB).toBeCloseTo(20, 6)
    const cast = leaderFor(purpose(pollack, rough), { ...use, castN: 55 * LB, castM: 7 })
    expect(cast).toMatchObject({ labelN: 60 * LB, lengthM: 7 })
    expect(cast.conflicts).toHaveLength(1)
  })

  test('a tail that reaches the line wants it longer than a large fish, and a rule in force cuts it off', () => {
    expect(leaderFor(purpose(tope), { ...use, usualM: 1 }).lengthM).toBeCloseTo(1.1 * 1.7, 9)
    const ruled = leaderFor(purpose(tope, { ruleSet: { ...ruleSet, maxLeaderM: 1.5 } }), use)
    expect(ruled.lengthM).toBe(1.5)
    expect(ruled.conflicts).toHaveLength(1)
  })

  test('a hand on the line holds half as much again as the fish pulls, and reaches past the edge', () => {
    const byHand = leaderFor(purpose(conger, { landing: catalogue.landings.leadered, freeboardM: 1.5 }), { ...use, usualM: 1 })
    expect(byHand.lengthM).toBeCloseTo(1.8, 9)
    // 1.5 × 0.6 × 10 kg × g over 0.9 × 0.84.
    expect(byHand.reasons.find(({ of, bound }) => of === 'strength' && bound === 'least')?.si).toBeCloseTo(116.7, 1)
  })

  test('it falls with none of teeth, ground and fish size, and never breaks the rule in force', () => {
    const target = fc.record({
      typicalMassKg: fc.double({ min: 0.1, max: 60, noNaN: true }),
      largeLengthM: fc.double({ min: 0.2, max: 3, noNaN: true }),
      teeth: fc.constantFrom(...TEETH),
      lineShy: fc.boolean(),
      fights: fc.subarray([...FIGHTS]),
    })
    const rest = fc.record({
      mainN: fc.double({ min: 30, max: 400, noNaN: true }),
      braid: fc.boolean(),
      freeboardM: fc.double({ min: 0, max: 4, noNaN: true }),
      landing: fc.constantFrom(...Object.values(catalogue.landings)),
      mostM: fc.double({ min: 0.5, max: 12, noNaN: true }),
    })
    const asked = fc.record({
      usualN: fc.double({ min: 10, max: 500, noNaN: true }),
      usualM: fc.double({ min: 0.3, max: 20, noNaN: true }),
    })
    fc.assert(
      fc.property(target, rest, asked, fc.double({ min: 1, max: 4, noNaN: true }), (some, { mostM, ...given }, how, times) => {
        const fish: Target = { ...pollack, ...some }
        const advice = (one: Target, more: Partial<Purpose> = {}) =>
          leaderFor(
            purpose(one, { ...given, fishMassKg: one.typicalMassKg, ruleSet: { ...ruleSet, maxLeaderM: mostM }, ...more }),
            how,
          )
        const now = advice(fish)
        expect(now.lengthM).toBeLessThanOrEqual(mostM)
        const larger = {
          ...fish,
          typicalMassKg: times * fish.typicalMassKg,
          largeLengthM: times * fish.largeLengthM,
        }
        const bitten = { ...fish, teeth: TEETH[Math.min(2, TEETH.indexOf(fish.teeth) + 1)]! }
        for (const more of [advice(larger), advice(bitten), advice(fish, { bed: 'rock' })]) {
          expect(more.labelN).toBeGreaterThanOrEqual(now.labelN)
          expect(more.atHookN).toBeGreaterThanOrEqual(now.atHookN)
          expect(more.lengthM).toBeGreaterThanOrEqual(now.lengthM)
        }
      }),
      {
        // 2026-11-29: on rock the label that is like the main line's was stepped down below the usual one.
        examples: [
          [
            { typicalMassKg: 2.036740808173458, largeLengthM: 0.2, teeth: 'none', lineShy: true, fights: [] },
            { mainN: 88.08359634179209, braid: false, freeboardM: 0, landing: catalogue.landings.gaff, mostM: 0.5 },
            { usualN: 66.79011434325076, usualM: 0.3 },
            1,
          ],
        ],
      },
    )
  })

  test('beside the main line it is lighter, equal or heavier, and not equal by accident', () => {
    expect(leaderBeside(29 * LB, 30 * LB)).toBe('lighter')
    expect(leaderBeside(30 * LB, 30.1 * LB)).toBe('equal')
    expect(leaderFor(purpose(undefined), { ...use, castN: 29 * LB }).labelN / LB).toBeCloseTo(40, 6)
    expect(leaderFor(purpose(undefined), { ...use, usualN: 30 * LB }).labelN / LB).toBeCloseTo(30, 6)
  })
})

describe('against teeth', () => {
  test('strong line while mono will do, wire past it, and never where a rule bars it', () => {
    const first = (neededN: number, more: Partial<Purpose> = {}) => biteTracesFor(purpose(tope, more), neededN)[0]!.kind
    expect(first(480)).toBe('none')
    expect(first(500)).toBe('wire')
    const barred = biteTracesFor(purpose(tope, { ruleSet: { ...ruleSet, wireAllowed: false } }), 500)
    expect(barred[0]!.kind).toBe('none')
    expect(barred.find(({ kind }) => kind === 'wire')?.barred).toBe(true)
    expect(biteTracesFor(purpose(pollack), 500)[0]!.kind).toBe('none')
  })

  test('wire costs most bites, a shy fish more of them, and half where it is not seen', () => {
    const cost = (target: Target, more: Partial<Purpose> = {}) =>
      biteTracesFor(purpose(target, more), 0).find(({ kind }) => kind === 'wire')!.bitesLost
    expect(cost(tope)).toBeCloseTo(0.3, 12)
    expect(cost(pollack)).toBeCloseTo(0.45, 12)
    expect(cost(tope, { light: 'night' })).toBeCloseTo(0.15, 12)
  })

  test('what teeth ask for grows with the root of the mass', () => {
    expect(teethN(tope) / LB).toBeCloseTo(30 * Math.sqrt(12), 6)
    expect(teethN({ ...tope, teeth: 'none' })).toBe(0)
  })
})

describe('the kind of hook', () => {
  const kinds = (name: string, more: Partial<Purpose> = {}, alive = false) =>
    hookKindsFor(purpose(targetNamed(name), more), alive)
  test('a circle for what goes back, a J for the table and for what shakes circles out, both in the list', () => {
    expect(kinds('smooth-hound').map(({ pattern }) => pattern)).toEqual(['circle', 'j'])
    expect(kinds('conger').map(({ pattern }) => pattern)).toEqual(['j', 'circle'])
    expect(kinds('pollack', {}, true)[0]!.pattern).toBe('liveBait')
    expect(kinds('conger')[1]!.cost).toMatch(/may throw it/)
  })
  test('a rule that asks for circles bars the other, and a very large fish takes one strong hook', () => {
    const ruled = kinds('turbot', { ruleSet: { ...ruleSet, circleOnly: true } })
    expect(ruled.map(({ pattern, barred }) => [pattern, barred])).toEqual([
      ['circle', false],
      ['j', true],
    ])
    expect(kinds('turbot', { fishMassKg: 45 })[0]!.pattern).toBe('circle')
    const least = (lengthM: number) => ({ ruleSet: { ...ruleSet, leastLengths: [{ fish: 'Turbot ', lengthM }] } })
    expect(kinds('turbot', least(0.55))[0]!.pattern).toBe('circle')
    expect(kinds('turbot', least(0.45))[0]!.pattern).toBe('j')
  })
})

import { describe, expect, test } from 'vitest'
import { braidOutfit, LB } from '../../../tests/fixtures/outfits.ts'
import { fishNamed } from '../../../tests/fixtures/purposes.ts'
import { catalogue } from '../../../tests/fixtures/setups.ts'
import type { FamilyId } from '../catalogue/familyIds.ts'
import type { SinkerShape } from '../catalogue/ids.ts'
import { type Conditions, defaultConditions } from '../documents/conditions.ts'
import { isLine } from '../documents/pieces.ts'
import { defaultWater } from '../documents/water.ts'
import { usualLanding } from '../purpose/landing.ts'
import { conditionsForFish } from '../setup/conditionsForFish.ts'
import type { Owned } from '../setup/owned.ts'
import { parseTrace } from '../soundness/parseTrace.ts'
import { draft } from './draft.ts'
import { familyOf } from './families.ts'
import type { UserChoices } from './family.ts'

const outfit = braidOutfit(50)
const rod = { ...outfit, rod: { ...outfit.rod, castLowKg: 0.1, castHighKg: 0.2 } }
const made = (
  family: FamilyId,
  fish: string | undefined,
  more: Partial<Conditions> = {},
  said: UserChoices = {},
  sinkers: Owned[] = [],
) =>
  draft({
    family: familyOf(family)!,
    said,
    outfit: rod,
    conditions: {
      ...defaultConditions(),
      castStyle: 'none',
      landing: 'net',
      ...(fish ? conditionsForFish(fishNamed(fish)) : {}),
      ...more,
    },
    catalogue,
    sinkers,
  })
const box = (shape: SinkerShape, ...massesKg: number[]): Owned[] => massesKg.map((massKg) => ({ shape, massKg }))
const part = (of: ReturnType<typeof made>, id: string) => of.trace.pieces.find((piece) => piece.id === id)

describe('a draft for a fish', () => {
  test('a bait that it takes with ease and that is worth its while, of the family’s kind', () => {
    expect(part(made('runningLedger', 'smooth-hound'), 'hook-bait')).toMatchObject({ bait: 'sandeel' })
    // Two thousandths of 12 kg are more than a sandeel.
    expect(part(made('runningLedger', 'tope'), 'hook-bait')).toMatchObject({ bait: 'fillet' })
    // A whole fish is more than a gurnard’s mouth takes.
    const small = part(made('captiveSinker', 'gurnard'), 'hook-c-bait')
    expect(catalogue.baits[(small as { bait: 'sandeel' }).bait].depthM).toBeLessThanOrEqual(0.8 * 0.035)
    expect(part(made('runningLedger', 'conger', {}, { bait: 'squid' }), 'hook-bait')).toMatchObject({ bait: 'squid' })
  })

  test('the hook’s kind is the fish’s, its size the bait’s and the mouth’s; what is said of either stands', () => {
    expect(part(made('runningLedger', 'smooth-hound'), 'hook')).toMatchObject({ pattern: 'circle', size: '4/0' })
    expect(part(made('runningLedger', 'ling'), 'hook')).toMatchObject({ pattern: 'j', size: '4/0' })
    expect(part(made('runningLedger', 'ling', {}, { hookSize: '8/0', hookPattern: 'circle' }), 'hook')).toMatchObject({
      pattern: 'circle',
      size: '8/0',
    })
  })

  test('wire, where it is asked for, stands before each hook on a line, and before a repeat of them', () => {
    const wired = made('boomPaternoster', 'ling', {}, { bite: 'wire' }).trace.pieces
    expect(wired.filter((piece) => isLine(piece) && piece.material === 'wire').map(({ id }) => id)).toEqual([
      'wire-hook-a',
      'wire-hook-b',
    ])
    const linked = made('runningLedger', 'ling', {}, { bite: 'linkedHooks' }).trace.pieces
    expect(linked.filter(({ role }) => role === 'hook').map(({ id }) => id)).toEqual(['link-hook', 'hook'])
    expect(part(made('runningLedger', 'ling', {}, { bite: 'longShank' }), 'hook')).toMatchObject({ pattern: 'longShank' })
    const plain = made('runningLedger', 'ling', {}, { bite: 'none' })
    expect((part(plain, 'hook-length') as { strengthN: number }).strengthN / LB).toBeCloseTo(80, 6)
  })

  test('wire goes before no wire, and never twice by one name', () => {
    for (const family of ['biteTrace', 'windOn', 'twinTag'] as const)
      for (const bite of ['wire', 'linkedHooks'] as const) {
        const { trace } = made(family, 'ling', {}, { bite })
        expect(parseTrace(trace, catalogue), `${family} ${bite}`).toMatchObject({ ok: true })
      }
    const wires = made('biteTrace', 'ling', {}, { bite: 'wire' }).trace.pieces.filter(
      (piece) => isLine(piece) && piece.material === 'wire',
    )
    expect(wires).toHaveLength(1)
  })

  test('the leader is longer than a fish whose tail reaches it', () => {
    const tope = made('splitShot', 'tope')
    expect((part(tope, 'leader') as { lengthM: number }).lengthM).toBeCloseTo(1.1 * 1.7, 9)
    expect(tope.leader.lengthM).toBeCloseTo(1.1 * 1.7, 9)
  })
})

describe('the sinker for the water', () => {
  const at = (streamMperS: number) => ({ water: { ...defaultWater(catalogue, 'anchor'), streamMperS } })
  const massOf = (of: ReturnType<typeof made>) => (part(of, 'sinker') as { massKg: number }).massKg

  test('of those at hand the lightest that holds, and the heaviest where none does', () => {
    const exact = massOf(made('runningLedger', undefined, at(0.8)))
    expect(exact).toBeGreaterThan(0.05)
    expect(massOf(made('runningLedger', undefined, at(0.8), {}, box('pear', 0.05, exact + 0.01, 2)))).toBeCloseTo(
      exact + 0.01,
      12,
    )
    expect(massOf(made('runningLedger', undefined, at(0.8), {}, box('pear', 0.03, 0.05)))).toBe(0.05)
    expect(massOf(made('runningLedger', undefined, at(0.8), { amounts: { sinkerKg: 0.2 } }))).toBe(0.2)
    // In slack water it still falls in good time: 2 g for each of 25 m.
    expect(massOf(made('runningLedger', undefined, at(0)))).toBeCloseTo(0.05, 9)
  })

  test('cast, no lighter than the rod is rated for, and wired where plain lead would be more than it casts', () => {
    const shore = (streamMperS: number) => ({
      castStyle: 'overhead' as const,
      water: { ...defaultWater(catalogue, 'shore'), streamMperS },
    })
    expect(part(made('runningLedger', undefined, shore(0.05)), 'sinker')).toMatchObject({ massKg: 0.1, shape: 'bomb' })
    const wired = part(made('runningLedger', undefined, shore(0.9)), 'sinker')
    expect(wired).toMatchObject({ shape: 'gripWire' })
    expect((wired as { massKg: number }).massKg).toBeLessThanOrEqual(0.2)
    // Of its own shape where the box has that; else of whatever is there.
    const inStream = (sinkers: Owned[]) => part(made('runningLedger', undefined, shore(0.9), {}, sinkers), 'sinker')
    expect(inStream([...box('bomb', 0.09, 0.125), ...box('gripWire', 0.175)])).toMatchObject({ shape: 'gripWire', massKg: 0.175 })
    expect(inStream(box('bomb', 0.09, 0.11))).toMatchObject({ shape: 'gripWire', massKg: 0.11 })
  })
})

test('how a fish is usually landed: lifted with ease, netted up to a size, else drawn up or taken by the leader', () => {
  const landing = (fish: string, mainLb: number, method: 'shore' | 'anchor') =>
    usualLanding(catalogue, fishNamed(fish), braidOutfit(mainLb), method)
  expect(landing('gurnard', 30, 'shore')).toBe('lift')
  expect(landing('pollack', 30, 'anchor')).toBe('net')
  expect(landing('conger', 80, 'shore')).toBe('beach')
  expect(landing('conger', 20, 'shore')).toBe('leadered')
  expect(landing('tope', 80, 'anchor')).toBe('leadered')
})

import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { draftOf } from '../../../tests/fixtures/drafts.ts'
import { FAMILY_FIXTURES } from '../../../tests/fixtures/families.ts'
import { braidOutfit, LB } from '../../../tests/fixtures/outfits.ts'
import { catalogue, setupOf } from '../../../tests/fixtures/setups.ts'
import { cutList } from '../build/cutList.ts'
import { partsList } from '../build/partsList.ts'
import { defaultConditions } from '../documents/conditions.ts'
import type { Gear } from '../documents/gear.ts'
import type { Trace } from '../documents/trace.ts'
import { GEAR_VERSION } from '../documents/versions.ts'
import { asItem } from '../edit/fromBox.ts'
import { planBatch, usesOf } from './batchPlan.ts'
import { type BoxItem, candidatesFor } from './candidates.ts'
import { cutsOfTrace, type LineNeed, needsOf } from './needs.ts'
import { substitute } from './substitute.ts'

const ledger = FAMILY_FIXTURES.find(({ trace }) => trace.family === 'runningLedger')!.trace
const common = { formatVersion: GEAR_VERSION } as const
const spool = (material: 'mono' | 'fluoro' | 'wire', lb: number): Gear => ({
  ...common,
  kind: 'line',
  name: `${material} ${lb}`,
  material,
  strengthN: lb * LB,
  lengthM: 50,
  packCost: 10,
})
const circle = (size: string): Gear => ({ ...common, kind: 'hook', name: size, pattern: 'circle', size, minimumCount: 5 })
const item = (id: string, gear: Gear, ...quantities: number[]): BoxItem => ({
  id,
  gear,
  spools: quantities.length === 0 ? undefined : quantities.map((quantity, i) => ({ spool: i + 1, quantity })),
})
const needOf = (trace: Trace, piece: string) => needsOf({ trace, catalogue }).find(({ pieces }) => pieces.includes(piece))!

/** A box with all that a trace needs, so much of each line and so many of each part. */
function boxFor(trace: Trace, lengthsM: readonly number[], pieces: number): BoxItem[] {
  return needsOf({ trace, catalogue }).flatMap((need): BoxItem[] => {
    if (need.kind === 'part') {
      const gear = asItem(need.sample)
      return gear ? [item(need.piece, { ...gear, name: need.piece }, pieces)] : []
    }
    const { material, strengthN, diameterM } = need
    return [
      item(need.piece, { ...common, kind: 'line', name: need.piece, material, strengthN, diameterM, lengthM: 50 }, ...lengthsM),
    ]
  })
}

describe('what a trace needs', () => {
  test.each(FAMILY_FIXTURES)(
    '$trace.family: every cut and part once, no cut shorter than the list says, none over a millimetre more',
    ({ trace }) => {
      const needs = needsOf({ trace, catalogue })
      const cuts = cutList({ trace, catalogue }).flatMap((group) => group.cuts.map(({ cutM }) => cutM))
      const needed = needs.flatMap((need) => (need.kind === 'line' ? cutsOfTrace(need) : []))
      expect(needed).toHaveLength(cuts.length)
      const sorted = cuts.toSorted((a, b) => a - b)
      for (const [i, cutM] of needed.toSorted((a, b) => a - b).entries()) {
        expect(cutM).toBeGreaterThanOrEqual(sorted[i]! - 1e-9)
        expect(cutM).toBeLessThan(sorted[i]! + 1e-3)
      }
      const parts = needs.flatMap((need) => (need.kind === 'part' ? need.pieces : []))
      expect(parts).toHaveLength(partsList(trace).reduce((sum, { count }) => sum + count, 0))
    },
  )
})

describe('what it can be made from', () => {
  const names = (box: BoxItem[], piece: string) =>
    candidatesFor(needOf(ledger, piece), ledger, box, catalogue).map(
      ({ item: { id }, isSame }) => `${id}${isSame ? ' same' : ''}`,
    )

  test('the same hook first, then the nearest sizes; another kind of thing never', () => {
    const box = ['1/0', '3/0', '2/0', '8/0'].map((size) => item(size, circle(size), 9))
    expect(names([...box, item('line', spool('fluoro', 30), 9)], 'hook')).toEqual(['2/0 same', '1/0', '3/0', '8/0'])
  })

  test('of two that are the same, the one with more on it', () => {
    expect(
      names([item('few', circle('2/0'), 2), item('many', circle('2/0'), 40), item('uncounted', circle('2/0'))], 'hook'),
    ).toEqual(['many same', 'few same', 'uncounted same'])
  })

  test('30 lb written as 13.6 kg is the same line; wire is never in the place of nylon, and half the strength is no substitute', () => {
    const inKg: Gear = { ...spool('fluoro', 30), strengthN: 13.6 * 9.80665 } as Gear
    const box = [
      item('wire', spool('wire', 30), 9),
      item('mono', spool('mono', 30), 9),
      item('25', spool('fluoro', 25), 9),
      item('12', spool('fluoro', 12), 9),
      item('kg', inKg, 9),
    ]
    expect(names(box, 'hook-length')).toEqual(['kg same', '25', 'mono'])
  })

  test('the verdicts say what a substitute does: a thin snood fails where the design holds, the same line changes nothing', () => {
    const trace = draftOf('runningLedger', braidOutfit(30), defaultConditions()).trace
    const setup = setupOf(trace, braidOutfit(30), defaultConditions())
    const snood = trace.pieces.find(({ role }) => role === 'snood')!
    const need = needOf(trace, snood.id) as LineNeed
    const same: Gear = { ...spool('mono', 30), ...{ material: need.material, strengthN: need.strengthN } } as Gear
    expect(substitute(setup, need, same)).toMatchObject({ ok: true, changes: [] })
    const thin = substitute(setup, need, spool('mono', 4))
    expect(thin.ok && thin.changes.map(({ moment, after }) => [moment, after])).toContainEqual(['run', 'fails'])
    const hooks = substitute(setup, need, circle('2/0'))
    expect(hooks).toEqual({ ok: false, why: expect.any(String) })
  })
})

describe('a batch', () => {
  test.each(FAMILY_FIXTURES)(
    '$trace.family: what is cut and counted out is what so many traces need, and no spool gives more than it has',
    ({ trace }) => {
      fc.assert(
        fc.property(
          fc.array(fc.integer({ min: 100, max: 9_000 }), { minLength: 1, maxLength: 4 }),
          fc.integer({ min: 1, max: 12 }),
          (cm, traces) => {
            const box = boxFor(
              trace,
              cm.map((each) => each / 100),
              7,
            )
            const plan = planBatch({ trace, catalogue, box, choices: [] }, traces)
            for (const { need, needed, traces: possible, short, spools, onHand, from } of plan) {
              if (!from) continue
              if (need.kind === 'part') {
                expect([possible, short]).toEqual([Math.min(traces, Math.floor(7 / need.perTrace)), Math.max(0, needed - 7)])
                continue
              }
              const perTraceM = cutsOfTrace(need).reduce((sum, each) => sum + each, 0)
              const cutM = spools.reduce((sum, { takenM }) => sum + takenM, 0)
              expect(cutM).toBeCloseTo(perTraceM * possible!, 6)
              expect(short).toBeCloseTo(needed - cutM, 6)
              for (const { leftM } of spools) expect(leftM).toBeGreaterThan(-1e-9)
              expect(spools.reduce((sum, { leftM, takenM }) => sum + leftM + takenM, 0)).toBeLessThanOrEqual(onHand! + 1e-9)
              for (const { cutM: length, perTrace } of need.cuts)
                expect(
                  spools
                    .flatMap(({ cuts }) => cuts.filter((each) => Math.abs(each.cutM - length) < 1e-9))
                    .reduce((sum, { count }) => sum + count, 0),
                ).toBe(perTrace * possible!)
            }
            const uses = usesOf(plan)
            expect(new Set(uses.map(({ itemId, spool: number }) => `${itemId} ${number}`)).size).toBe(uses.length)
            expect(uses.every(({ quantity }) => quantity < 0)).toBe(true)
          },
        ),
        { numRuns: 8 },
      )
    },
  )

  test('what was never counted is neither short nor taken; what is not owned is all short; a choice comes before the same thing', () => {
    const box = [item('hooks', circle('2/0')), item('larger', circle('3/0'), 40)]
    const hooks = (choices: { piece: string; itemId: string | null }[] = [], owned = box) =>
      planBatch({ trace: ledger, catalogue, box: owned, choices }, 12).find(({ need }) => need.piece === 'hook')!
    expect(hooks()).toMatchObject({ needed: 12, from: { item: { id: 'hooks' } }, onHand: undefined, short: 0 })
    expect(usesOf([hooks()])).toEqual([])
    expect(hooks([], [])).toMatchObject({ from: undefined, short: 12 })
    const larger = hooks([{ piece: 'hook', itemId: 'larger' }])
    expect(larger).toMatchObject({ from: { item: { id: 'larger' }, isSame: false }, onHand: 40, traces: 12, short: 0 })
    expect(usesOf([larger])).toEqual([{ itemId: 'larger', spool: 1, quantity: -12 }])
    expect(hooks([{ piece: 'hook', itemId: null }])).toMatchObject({ from: undefined, short: 12 })
  })

  test('two lines that are cut from one spool share what is on it', () => {
    const box = [item('one', spool('fluoro', 30), 40)]
    const choices = [
      { piece: 'leader', itemId: 'one' },
      { piece: 'hook-length', itemId: 'one' },
    ]
    const plan = planBatch({ trace: ledger, catalogue, box, choices }, 6).filter(({ need }) => need.kind === 'line')
    const taken = usesOf(plan)
    expect(plan.some(({ short }) => short > 0)).toBe(true)
    expect(taken).toHaveLength(1)
    expect(taken[0]!.quantity).toBeGreaterThanOrEqual(-40)
  })
})

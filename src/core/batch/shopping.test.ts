import { expect, test } from 'vitest'
import { FAMILY_FIXTURES } from '../../../tests/fixtures/families.ts'
import { LB } from '../../../tests/fixtures/outfits.ts'
import { catalogue } from '../../../tests/fixtures/setups.ts'
import type { Gear } from '../documents/gear.ts'
import { GEAR_VERSION } from '../documents/versions.ts'
import type { BoxItem } from './candidates.ts'
import { cutsOfTrace, type LineNeed, needsOf } from './needs.ts'
import { boughtMovements, MINIMUM, shoppingList } from './shopping.ts'

const { trace } = FAMILY_FIXTURES.find((each) => each.trace.family === 'runningLedger')!
const common = { formatVersion: GEAR_VERSION } as const
const hooks: Gear = {
  ...common,
  kind: 'hook',
  name: 'hooks',
  pattern: 'circle',
  size: '2/0',
  packCount: 25,
  packCost: 6,
  minimumCount: 10,
}
const line: Gear = { ...common, kind: 'line', name: 'line', material: 'fluoro', strengthN: 30 * LB, lengthM: 50, minimumM: 20 }
const item = (gear: Gear, ...quantities: number[]): BoxItem => ({
  id: gear.name,
  gear,
  spools: quantities.length === 0 ? undefined : quantities.map((quantity, i) => ({ spool: i + 1, quantity })),
})
const wanted = (why: string, traces: number) => ({ why, trace, traces })
const bought = (box: BoxItem[], ...of: ReturnType<typeof wanted>[]) =>
  shoppingList(of, box, catalogue).purchases.map((each) => ({ ...each, item: each.item.id }))

test('whole packs for what the batches lack and for what then lies below the minimum, with the reasons and the cost', () => {
  // Forty needed of thirty: ten are missing, and after that none is left of the ten that stay.
  expect(bought([item(hooks, 30)], wanted('Saturday', 25), wanted('Sunday', 15))).toEqual([
    {
      item: 'hooks',
      missing: 20,
      packs: 1,
      quantity: 25,
      cost: 6,
      reasons: [
        { why: 'Sunday', quantity: 10 },
        { why: MINIMUM, quantity: 10 },
      ],
    },
  ])
  expect(bought([item(hooks, 50)], wanted('Saturday', 25), wanted('Sunday', 15))).toEqual([])
  expect(bought([item(hooks, 9)])).toMatchObject([{ missing: 1, packs: 1, reasons: [{ why: MINIMUM, quantity: 1 }] }])
})

test('a line is missing what its remnants cannot give in whole cuts, in whole spools', () => {
  const need = needsOf({ trace, catalogue }).find(
    (each): each is LineNeed => each.kind === 'line' && each.pieces.includes('hook-length'),
  )!
  const cutM = cutsOfTrace(need)[0]!
  // Each remnant is a hair too short for two cuts, though together they are long enough for nine.
  const remnants = Array.from({ length: 5 }, () => 2 * cutM - 0.002)
  const [purchase] = bought([item({ ...line, minimumM: undefined } as Gear, ...remnants)], wanted('batch', 9))
  expect(purchase).toMatchObject({ missing: expect.closeTo(4 * cutM, 9), packs: 1, quantity: 50, cost: undefined })
})

test('what was never counted is to be counted first; what is not owned is listed with all that is needed', () => {
  const list = shoppingList([wanted('batch', 4), wanted('spares', 2)], [item(hooks)], catalogue)
  expect(list.uncounted).toMatchObject([{ item: { id: 'hooks' }, why: ['batch', 'spares'] }])
  expect(list.purchases).toEqual([])
  const swivels = list.unowned.find(({ need }) => need.piece === 'swivel')
  expect(swivels).toMatchObject({ quantity: 6, why: ['batch', 'spares'] })
  expect(list.unowned.map(({ need }) => need.piece)).not.toContain('hook')
})

test('what is bought comes in as pieces at once, and each spool as a new one', () => {
  expect(boughtMovements(item(hooks, 3), 2)).toEqual([{ itemId: 'hooks', reason: 'bought', spool: 1, quantity: 50 }])
  expect(boughtMovements(item(line, 7, 3), 2).map(({ spool, quantity }) => [spool, quantity])).toEqual([
    [3, 50],
    [4, 50],
  ])
})

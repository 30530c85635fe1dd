import { describe, expect, test } from 'vitest'
import { draftOf } from '../../../tests/fixtures/drafts.ts'
import { braidOutfit } from '../../../tests/fixtures/outfits.ts'
import { catalogue } from '../../../tests/fixtures/setups.ts'
import { HOUR_MS, MARK, tideOfDay } from '../../../tests/fixtures/tides.ts'
import { holdKindOf } from '../catalogue/grip.ts'
import type { HoldKind } from '../catalogue/ids.ts'
import { defaultConditions } from '../documents/conditions.ts'
import { learnedHolding } from '../learning/markLessons.ts'
import type { Owned } from '../setup/owned.ts'
import { minimumSinker } from '../setup/settling/minimumSinker.ts'
import { atMark } from './atMark.ts'
import { defaultShapes, shapesOf } from './defaultBox.ts'
import { holdingOf, requiredSinkerAt } from './holding.ts'
import { changeAt, planChangesWithin } from './planDay.ts'
import { settledOn } from './preparedWithSinker.ts'

const outfit = braidOutfit(50)
const ledger = { ...draftOf('runningLedger', outfit, { ...defaultConditions(), castStyle: 'none' }), outfit, catalogue }
const tide = tideOfDay('2026-11-24')
const { water } = atMark(MARK, tide, [], tide.startMs + 4 * HOUR_MS)

describe('what must be on', () => {
  test('is the least at the mark’s grip, and its reserve over it', () => {
    const shore = { ...MARK, method: 'shore' as const, scope: 1.05, distanceM: 70 }
    const settling = settledOn(ledger, { ...water, method: 'shore', scope: 1.05, distanceM: 70 }, undefined)!
    const least = minimumSinker(settling) as { kgFor: (grip: number, kind: HoldKind) => number }
    const { gripOf, reserve } = learnedHolding(catalogue, shore, [])
    for (const shape of ['bomb', 'gripWire'] as const) {
      const wanted = requiredSinkerAt(learnedHolding(catalogue, shore, []))(settling)(shape) as {
        neededKg: number
        wantedKg: number
      }
      expect(wanted.neededKg).toBeCloseTo(least.kgFor(gripOf(shape), holdKindOf(shape)), 9)
      expect(wanted.wantedKg / wanted.neededKg).toBeCloseTo(reserve, 9)
    }
  })

  test('where none holds it is a sentence, whatever the shape', () => {
    const wild = settledOn(ledger, { ...water, depthM: 1500, streamMperS: 4, scope: 1.05 }, undefined)!
    expect(requiredSinkerAt(learnedHolding(catalogue, MARK, []))(wild)('pear')).toEqual({
      trouble: expect.stringContaining('kg'),
    })
  })

  test('a weight holds with the reserve, in still water only, or not at all', () => {
    const wanted = { neededKg: 0.2, wantedKg: 0.3 }
    expect([0.3, 0.299, 0.2, 0.199].map((kg) => holdingOf(kg, wanted))).toEqual([
      'holds',
      'stillWaterOnly',
      'stillWaterOnly',
      'no',
    ])
    expect(holdingOf(5, { trouble: 'too strong' })).toBe('no')
  })

  test('a sinker of the box stands in from the trace place; without one from the trace counts', () => {
    expect(settledOn(ledger, water, { shape: 'gripWire', massKg: 0.175 })!.weight).toMatchObject({
      id: 'sinker',
      shape: 'gripWire',
      massKg: 0.175,
    })
    const own = ledger.trace.pieces.find(({ id }) => id === 'sinker') as { massKg: number }
    expect(settledOn(ledger, water, undefined)!.weight.massKg).toBe(own.massKg)
  })
})

describe('the box', () => {
  const owned: Owned[] = (['pear', 'bomb', 'gripWire', 'bomb'] as const).map((shape, i) => ({ shape, massKg: 0.1 + i / 10 }))
  const shape = (ledger.trace.pieces.find(({ id }) => id === 'sinker') as { shape: string }).shape

  test('has each shape once', () => expect(shapesOf(owned)).toEqual(['pear', 'bomb', 'gripWire']))

  test('from a boat all go along but wires; cast, from the trace shape and wires', () => {
    for (const method of ['anchor', 'drift'] as const) expect(defaultShapes(owned, ledger, method)).toEqual(['pear', 'bomb'])
    for (const method of ['shore', 'uptide'] as const)
      expect(defaultShapes(owned, ledger, method)).toEqual(
        shapesOf(owned).filter((each) => each === shape || each === 'gripWire'),
      )
  })
})

test('what is on is the last change at or before an instant', () => {
  const changes = [0, 100, 200].map((timeMs) => ({ timeMs, from: undefined, to: { shape: 'pear' as const, massKg: timeMs + 1 } }))
  expect([0, 99, 100, 500].map((timeMs) => changeAt(changes, timeMs)?.to?.massKg)).toEqual([1, 1, 101, 201])
  expect(changeAt(changes, -1)).toBeUndefined()
})

test('some hours begin with what is on, and have each change in them once', () => {
  const changes = [0, 100, 200].map((timeMs) => ({ timeMs, from: undefined, to: { shape: 'pear' as const, massKg: timeMs + 1 } }))
  const within = (from: number, to: number) =>
    planChangesWithin(changes, from, to).map(({ timeMs, to: on }) => [timeMs, on?.massKg])
  expect(within(50, 150)).toEqual([
    [50, 1],
    [100, 101],
  ])
  expect(within(100, 200)).toEqual([[100, 101]])
  expect(within(-50, 50)).toEqual([[0, 1]])
})

import { describe, expect, test } from 'vitest'
import { draftOf } from '../../../tests/fixtures/drafts.ts'
import { braidOutfit } from '../../../tests/fixtures/outfits.ts'
import { catalogue } from '../../../tests/fixtures/setups.ts'
import { HOUR_MS, MARK, tideOfDay } from '../../../tests/fixtures/tides.ts'
import { defaultConditions } from '../documents/conditions.ts'
import { hasTide, type Mark } from '../documents/mark.ts'
import { heightAtM, TIDE_HOURS, tideHourAt } from '../physics/tide/tideSpan.ts'
import { springWater } from '../setup/springWater.ts'
import { assumedStream, strongestOf } from './assumedStream.ts'
import { atMark, streamAt } from './atMark.ts'
import { type PlanInput, planDay } from './planDay.ts'
import { tideAtMark, tideByTable } from './tideAtMark.ts'

const port = tideOfDay('2026-11-24')
const rowsBetween = (fromMs: number, toMs: number) =>
  port.turns
    .filter(({ timeMs }) => timeMs >= fromMs && timeMs < toMs)
    .map(({ timeMs, heightM }) => ({ at: new Date(timeMs).toISOString(), heightM }))
const day = { fromMs: port.startMs, toMs: port.endMs }
const { portId: _port, ...without } = MARK
const typed: Mark = { ...without, heights: rowsBetween(port.startMs, port.endMs) }
const unknown: Mark = { ...without, streamFrom: 'words', stream: assumedStream(0.9, false) }

describe('a tide by a table of its own', () => {
  const tide = tideByTable(typed, day)!

  test('has the heights of the table, half-way between them their mean, and its high waters at hour 0', () => {
    const rows = typed.heights!.map(({ at, heightM }) => ({ timeMs: Date.parse(at), heightM }))
    expect(rows.length).toBeGreaterThanOrEqual(3)
    for (const [i, row] of rows.slice(1).entries()) {
      expect(heightAtM(tide, (rows[i]!.timeMs + row.timeMs) / 2)).toBeCloseTo((rows[i]!.heightM + row.heightM) / 2, 1)
      expect(heightAtM(tide, row.timeMs)).toBeCloseTo(row.heightM, 2)
      if (row.heightM > rows[i]!.heightM) expect(tideHourAt(tide, row.timeMs).hour).toBeCloseTo(0, 9)
    }
  })

  test('reaches over its whole day, the tides beside it repeated', () => {
    const first = Date.parse(typed.heights![0]!.at)
    for (let timeMs = day.fromMs; timeMs <= day.toMs; timeMs += HOUR_MS) expect(heightAtM(tide, timeMs)).toBeTypeOf('number')
    expect(tide.turns.some(({ timeMs }) => timeMs === first - TIDE_HOURS * HOUR_MS)).toBe(true)
  })

  test('of a day counts as springs; of a month it has its own springs and neaps', () => {
    expect(tide.neapRangeM).toBeCloseTo(tide.springRangeM / 2, 9)
    const month = tideByTable(
      { ...typed, heights: rowsBetween(port.startMs - 15 * 24 * HOUR_MS, port.endMs + 15 * 24 * HOUR_MS) },
      day,
    )!
    expect(month.springRangeM).toBeGreaterThan(tide.springRangeM)
    expect(month.neapRangeM).toBeLessThan(0.8 * tide.springRangeM)
    // The same tide by the port and by its own table runs alike.
    const there = tideAtMark(MARK, port)
    for (let timeMs = day.fromMs; timeMs < day.toMs; timeMs += HOUR_MS)
      expect(tideHourAt(month, timeMs).hour).toBeCloseTo(tideHourAt(there, timeMs).hour, 6)
  })

  test('says nothing of a day that it has no two tides of', () => {
    expect(tideByTable(typed, { fromMs: day.toMs, toMs: day.toMs + 24 * HOUR_MS })).toBeUndefined()
    expect(tideByTable(unknown, day)).toBeUndefined()
  })
})

describe('an assumed current', () => {
  test('without a tide is the strongest at any hour, and runs nowhere in particular', () => {
    expect(hasTide(unknown)).toBe(false)
    for (const hour of [0, 3, 7, 11, 19])
      expect(streamAt(unknown, undefined, port.startMs + hour * HOUR_MS)).toEqual({ rateMperS: 0.9, directionDeg: null })
    expect(springWater(unknown)).toMatchObject({ streamMperS: 0.9 })
    expect(springWater(unknown).neapMperS).toBeUndefined()
  })

  test('with a tide is slack at high water, strongest three hours from it, and half at neaps', () => {
    const stream = assumedStream(0.9, true)
    expect(strongestOf(stream)).toBe(0.9)
    expect(stream.filter(({ springMperS }) => springMperS === 0.9).map(({ hour }) => hour)).toEqual([-3, 3])
    expect(stream.find(({ hour }) => hour === 0)!.springMperS).toBe(0)
    for (const { springMperS, neapMperS } of stream) expect(neapMperS).toBeCloseTo(springMperS / 2, 12)
    const tide = tideByTable(typed, day)!
    const { directionDeg } = streamAt({ stream, streamFrom: 'words' }, tide, port.startMs + 9 * HOUR_MS)
    expect(directionDeg).toBeNull()
    expect(streamAt({ stream, streamFrom: 'table' }, tide, port.startMs + 9 * HOUR_MS).directionDeg).not.toBeNull()
  })
})

test('a day without a tide asks for one sinker all day, the one for the strongest current', () => {
  const outfit = braidOutfit(50)
  const ledger = { ...draftOf('runningLedger', outfit, { ...defaultConditions(), castStyle: 'none' }), outfit, catalogue }
  const owned = [0.115, 0.23, 0.45, 0.68, 0.9].map((massKg) => ({ shape: 'pear' as const, massKg }))
  const input: PlanInput = { setup: ledger, mark: unknown, holds: [], tide: undefined, winds: [], ...day, owned, way: 'fewest' }
  const plan = planDay(input)
  expect(plan.rows).toHaveLength(48)
  expect(plan.changes).toHaveLength(1)
  expect(new Set(plan.rows.map(({ wanted }) => JSON.stringify(wanted))).size).toBe(1)
  expect(atMark(unknown, undefined, [], day.fromMs)).toMatchObject({ depthM: MARK.depthM, heightM: 0 })
  const weaker = planDay({ ...input, mark: { ...unknown, stream: assumedStream(0.3, false) } })
  expect(weaker.rows[0]!.take!.massKg).toBeLessThan(plan.rows[0]!.take!.massKg)
})

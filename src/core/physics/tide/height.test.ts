import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { HARMONICS, HOUR_MS } from '../../../../tests/fixtures/tides.ts'
import { calculate } from '../../calculations/registry.ts'
import { type Harmonics, heightsThrough, meanRangesM, tideHeightM, turnsThrough } from './height.ts'
import { heightsBetween, turnsOfTable } from './heightTable.ts'

const alone = (name: string, amplitudeM: number, phaseDeg: number): Harmonics => ({
  meanLevelM: 3,
  constituents: [{ name, amplitudeM, phaseDeg }],
})
const timeArb = fc.double({ min: Date.UTC(1950, 0, 2), max: Date.UTC(2100, 11, 30), noNaN: true }).map(Math.round)

describe('the height of the tide', () => {
  test('the sun’s own tide, S2, is a plain cosine of the clock: 30° an hour from midnight, no nodal correction', () => {
    fc.assert(
      fc.property(timeArb, fc.double({ min: 0, max: 360, noNaN: true }), (timeMs, phaseDeg) => {
        const hours = (timeMs % (24 * HOUR_MS)) / HOUR_MS
        const expected = 3 + 0.6 * Math.cos(((30 * hours - phaseDeg) * Math.PI) / 180)
        expect(tideHeightM(alone('S2', 0.6, phaseDeg), timeMs)).toBeCloseTo(expected, 3)
      }),
    )
  })

  test('the moon’s, M2, comes every 12.42 hours, its height within the 4 % of the nodal cycle', () => {
    const from = Date.UTC(2026, 0, 1)
    const highs = turnsThrough(alone('M2', 1.5, 190), from, from + 200 * 24 * HOUR_MS).filter(({ kind }) => kind === 'high')
    const periodH = (highs.at(-1)!.timeMs - highs[0]!.timeMs) / (highs.length - 1) / HOUR_MS
    expect(periodH).toBeCloseTo(12.4206, 3)
    for (const { heightM } of highs) expect(Math.abs((heightM - 3) / 1.5 - 1)).toBeLessThan(0.04)
  })

  test('is the mean level and what each constituent adds, and grows with their amplitudes', () => {
    fc.assert(
      fc.property(timeArb, fc.double({ min: 0.1, max: 3, noNaN: true }), (timeMs, times) => {
        const { meanLevelM, constituents } = HARMONICS
        const sum = constituents.reduce((total, each) => total + tideHeightM({ meanLevelM: 0, constituents: [each] }, timeMs), 0)
        expect(tideHeightM(HARMONICS, timeMs)).toBeCloseTo(meanLevelM + sum, 9)
        const larger = constituents.map((each) => ({ ...each, amplitudeM: each.amplitudeM * times }))
        expect(tideHeightM({ meanLevelM, constituents: larger }, timeMs)).toBeCloseTo(meanLevelM + times * sum, 9)
      }),
      { numRuns: 50 },
    )
  })

  test('high and low waters alternate, and nothing between them is higher or lower', () => {
    const from = Date.UTC(2026, 10, 23)
    const to = from + 3 * 24 * HOUR_MS
    const turns = turnsThrough(HARMONICS, from, to)
    expect(turns.length).toBeGreaterThan(10)
    for (const [i, turn] of turns.entries()) if (i > 0) expect(turn.kind).not.toBe(turns[i - 1]!.kind)
    const heights = heightsThrough(HARMONICS, turns[0]!.timeMs, turns.at(-1)!.timeMs, 300)
    for (const { timeMs, heightM } of heights) {
      const after = turns.findIndex((turn) => turn.timeMs >= timeMs)
      const pair = [turns[Math.max(0, after - 1)]!.heightM, turns[after]?.heightM ?? heightM]
      expect(heightM).toBeGreaterThanOrEqual(Math.min(...pair) - 1e-3)
      expect(heightM).toBeLessThanOrEqual(Math.max(...pair) + 1e-3)
    }
    expect(heights[1]!.timeMs - heights[0]!.timeMs).toBe(300_000)
  })

  test('mean ranges are twice M2 and S2 together, and apart', () => {
    expect(meanRangesM(HARMONICS)).toEqual({ springRangeM: 4.4, neapRangeM: 2 })
  })

  test('as a calculation: the same height; unknown constituents, and years it is not predicted for, are refused', () => {
    const time = '2026-11-23T12:00:00Z'
    expect(calculate('tide.height', { ...HARMONICS, time })).toEqual({
      ok: true,
      output: { heightM: tideHeightM(HARMONICS, Date.parse(time)) },
    })
    expect(calculate('tide.height', { ...alone('XX9', 1, 0), time })).toMatchObject({ ok: false })
    expect(calculate('tide.height', { ...HARMONICS, time: 'noon' })).toMatchObject({ ok: false })
    for (const year of [1949, 2102])
      expect(() => calculate('tide.height', { ...HARMONICS, time: `${year}-06-01T00:00:00Z` })).toThrow(
        expect.objectContaining({ code: 'out-of-range' }),
      )
  })
})

describe('a printed table', () => {
  const rows = [0, 6, 12.5, 19].map((hour, i) => ({ timeMs: hour * HOUR_MS, heightM: i % 2 === 0 ? 4.5 : 1.1 }))

  test('days that do not follow each other are runs of their own; a tide by itself is neither high nor low', () => {
    const later = rows.map((row) => ({ ...row, timeMs: row.timeMs + 100 * HOUR_MS }))
    const read = turnsOfTable([...rows, ...later])
    expect('runs' in read && read.runs.map((run) => run.length)).toEqual([4, 4])
    expect(turnsOfTable([...rows, later[0]!])).toEqual({ notTurning: 4 })
  })

  test('its rows turn, high and low; one that does not is named', () => {
    expect(turnsOfTable(rows)).toMatchObject({ runs: [[{ kind: 'high' }, { kind: 'low' }, { kind: 'high' }, { kind: 'low' }]] })
    expect(turnsOfTable([...rows.slice(0, 2), { timeMs: 9 * HOUR_MS, heightM: 3 }, ...rows.slice(2)])).toEqual({ notTurning: 2 })
  })

  test('between turns a cosine: at the turns their heights, half-way the mean, and no further than it reaches', () => {
    const heights = heightsBetween(rows, 0, 12 * HOUR_MS, 1800)
    expect(heights[0]!.heightM).toBeCloseTo(4.5, 12)
    expect(heights[6]!.heightM).toBeCloseTo(2.8, 12)
    expect(heights[12]!.heightM).toBeCloseTo(1.1, 12)
    expect(heights).toHaveLength(25)
    expect(() => heightsBetween(rows, 0, 20 * HOUR_MS, 1800)).toThrow(/does not reach/)
    expect(() => heightsBetween([], 0, HOUR_MS, 1800)).toThrow(/does not reach/)
  })
})

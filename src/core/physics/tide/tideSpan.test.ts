import { describe, expect, test } from 'vitest'
import { HARMONICS, HOUR_MS, tideOfDay } from '../../../../tests/fixtures/tides.ts'
import { tideHeightM } from './height.ts'
import { heightAtM, springsAndNeaps, tideHourAt } from './tideSpan.ts'

const tide = tideOfDay('2026-11-23')

describe('a span of the tide', () => {
  test('between its heights it is within a centimetre of the prediction', () => {
    for (let minute = 0; minute < 24 * 60; minute += 7) {
      const timeMs = tide.startMs + minute * 60_000
      expect(heightAtM(tide, timeMs)).toBeCloseTo(tideHeightM(HARMONICS, timeMs), 2)
    }
    expect(() => heightAtM(tide, tide.endMs + 2 * HOUR_MS)).toThrow(/unknown/)
    expect(() => heightAtM(tide, tide.startMs - 2 * HOUR_MS)).toThrow(/unknown/)
  })

  test('the tide’s hour is nothing at high water and grows evenly to half a tide, whatever its length', () => {
    const highs = tide.turns.filter(({ kind }) => kind === 'high')
    for (const [i, high] of highs.slice(2, -2).entries()) {
      const next = highs[i + 3]!
      expect(tideHourAt(tide, high.timeMs).hour).toBeCloseTo(0, 9)
      const middle = (high.timeMs + next.timeMs) / 2
      expect(tideHourAt(tide, middle).hour).toBeCloseTo(6.2103, 6)
      expect(tideHourAt(tide, middle + 1000).hour).toBeCloseTo(-6.21, 2)
      expect(Math.abs(tideHourAt(tide, high.timeMs + 0.77 * (next.timeMs - high.timeMs)).hour)).toBeLessThan(6.22)
    }
    expect(() => tideHourAt(tide, highs[0]!.timeMs - HOUR_MS)).toThrow(/unknown/)
  })

  test('the range at high water is over the mean of the low waters beside it', () => {
    const i = tide.turns.findIndex(({ kind }, at) => kind === 'high' && at > 3)
    const [before, high, after] = tide.turns.slice(i - 1, i + 2)
    expect(tideHourAt(tide, high!.timeMs).rangeM).toBeCloseTo(high!.heightM - (before!.heightM + after!.heightM) / 2, 9)
  })

  test('springs and neaps take turns about every week, springs the larger', () => {
    const found = springsAndNeaps(tide.turns)
    expect(found.length).toBeGreaterThanOrEqual(4)
    for (const [i, each] of found.entries()) {
      const before = found[i - 1]
      if (!before) continue
      expect(each.kind).not.toBe(before.kind)
      const days = (each.timeMs - before.timeMs) / 24 / HOUR_MS
      expect(days).toBeGreaterThan(5)
      expect(days).toBeLessThan(10)
      expect(each.rangeM > before.rangeM).toBe(each.kind === 'springs')
    }
  })
})

import { describe, expect, test } from 'vitest'
import { HOUR_MS } from '../../../tests/fixtures/tides.ts'
import { layOutTideChart } from './tideChart.ts'

const options = { width: 1000, height: 250, pad: { left: 40, right: 60, top: 20, bottom: 70 }, fromMs: 0, toMs: 24 * HOUR_MS }
const hours = Array.from({ length: 25 }, (_, i) => i * HOUR_MS)
const heights = hours.map((timeMs, i) => ({ timeMs, heightM: 2.5 + 2 * Math.cos((2 * Math.PI * i) / 12.42) }))
const rates = hours.map((timeMs, i) => ({ timeMs, rateMperS: Math.abs(Math.sin((2 * Math.PI * i) / 12.42)) }))
const KN = 1852 / 3600
const draw = (from = heights, run = rates, unitM = 1) => layOutTideChart(from, run, options, unitM, KN)

describe('the chart of tide and stream', () => {
  test('time runs from pad to pad, and a place across is read back as its time, kept within the day', () => {
    const { xOf, timeAt } = draw()
    expect([xOf(0), xOf(24 * HOUR_MS)]).toEqual([40, 940])
    for (const hour of [0, 3.5, 12, 23.9]) expect(timeAt(xOf(hour * HOUR_MS))).toBeCloseTo(hour * HOUR_MS, 3)
    expect([timeAt(-50), timeAt(5000)]).toEqual([0, 24 * HOUR_MS])
  })

  test('everything stands between top and bottom, no stream and datum on the ground line', () => {
    const { heightY, rateY, tide, stream } = draw()
    expect(rateY(0)).toBe(180)
    expect(heightY(0)).toBe(180)
    for (const { heightM } of heights) expect(heightY(heightM)).toBeGreaterThanOrEqual(20)
    for (const { rateMperS } of rates) expect(rateY(rateMperS)).toBeGreaterThanOrEqual(20)
    expect(tide.startsWith('M40,')).toBe(true)
    expect(`${tide}${stream}`).not.toContain('NaN')
  })

  test('a tide under datum lowers the ground; a whisper of a stream stays low', () => {
    const { heightY } = draw(heights.map((each) => ({ ...each, heightM: each.heightM - 3 })))
    expect(heightY(0)).toBeLessThan(180)
    const { rateY } = draw(
      heights,
      rates.map((each) => ({ ...each, rateMperS: 0.02 * each.rateMperS })),
    )
    expect(rateY(0.02)).toBeGreaterThan(160)
  })

  test('ticks are round in the units shown', () => {
    const { heightTicksM, rateTicksMperS } = draw(heights, rates, 0.3048)
    for (const tick of heightTicksM) expect(tick / 0.3048).toBeCloseTo(Math.round(tick / 0.3048), 9)
    for (const tick of rateTicksMperS) expect((10 * tick) / KN).toBeCloseTo(Math.round((10 * tick) / KN), 9)
    expect(heightTicksM.length).toBeGreaterThan(2)
  })

  test('nothing known is nothing drawn, not an error', () => {
    const { tide, stream } = draw([], [])
    expect([tide, stream]).toEqual(['', ''])
  })
})

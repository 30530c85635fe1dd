import { describe, expect, test } from 'vitest'
import { markSchema } from '../../src/core/documents/mark.ts'
import { isConstituent } from '../../src/core/physics/tide/height.ts'
import { springsAndNeaps } from '../../src/core/physics/tide/tideSpan.ts'
import { HOUR_MS } from '../../src/core/time/durations.ts'
import { DEMO_MARKS } from '../../src/server/demo/marks.ts'
import { standInTides } from '../../src/server/tides/standInTides.ts'
import { standInWeather } from '../../src/server/weather/standInWeather.ts'

const NOV = Date.UTC(2026, 10, 1)

describe('the invented ports', () => {
  test.each(['port-hesk', 'tarrow'])(
    '%s: two tides a day, springs of its mean range near enough, in every decade',
    async (id) => {
      for (const year of [1950, 1987, 2026, 2063, 2100]) {
        const from = Date.UTC(year, 5, 1)
        const tide = (await standInTides.tide(id, from, from + 15 * 24 * HOUR_MS))!
        const highs = tide.turns.filter(
          ({ kind, timeMs }) => kind === 'high' && timeMs >= from && timeMs < from + 14.77 * 24 * HOUR_MS,
        )
        expect(highs.length).toBeGreaterThanOrEqual(28)
        expect(highs.length).toBeLessThanOrEqual(29)
        for (const { kind, rangeM } of springsAndNeaps(tide.turns)) {
          const mean = kind === 'springs' ? tide.springRangeM : tide.neapRangeM
          expect(rangeM / mean, `${id} ${year} ${kind}`).toBeGreaterThan(0.6)
          expect(rangeM / mean, `${id} ${year} ${kind}`).toBeLessThan(1.5)
        }
      }
    },
  )

  test('know the constituents that are asked of any port', () => {
    for (const name of ['M2', 'S2', 'N2', 'K1', 'O1', 'M4']) expect(isConstituent(name)).toBe(true)
    expect(isConstituent('toString')).toBe(false)
  })

  test('a port that is not there is undefined', async () => {
    expect(await standInTides.tide('nowhere', NOV, NOV + HOUR_MS)).toBeUndefined()
  })
})

test('the invented wind turns and drops and rises over a month, and never jumps', async () => {
  const wind = await standInWeather.wind({ latitudeDeg: 58, longitudeDeg: -9 }, NOV, NOV + 30 * 24 * HOUR_MS)
  const speeds = wind.map(({ speedMperS }) => speedMperS)
  expect(Math.min(...speeds)).toBeLessThan(2)
  expect(Math.max(...speeds)).toBeGreaterThan(8)
  const part = (each: (typeof wind)[number], of: (angle: number) => number) =>
    each.speedMperS * of((each.fromDeg * Math.PI) / 180)
  for (const [i, each] of wind.entries()) {
    const before = wind[i - 1]
    if (before)
      expect(
        Math.hypot(part(each, Math.cos) - part(before, Math.cos), part(each, Math.sin) - part(before, Math.sin)),
      ).toBeLessThan(2.5)
  }
})

test('the marks of the demonstration hold together, and Kettle Narrows runs 2.6 kn at springs', () => {
  const marks = DEMO_MARKS.map((mark) => markSchema.parse(mark))
  const narrows = marks.find(({ name }) => name === 'Kettle Narrows')!
  expect(Math.max(...narrows.stream.map(({ springMperS }) => springMperS)) / (1852 / 3600)).toBeCloseTo(2.6, 2)
  for (const { stream } of marks) expect(stream.map(({ hour }) => hour)).toEqual([-6, -5, -4, -3, -2, -1, 0, 1, 2, 3, 4, 5, 6])
})

import { getMoonTimes, getTimes } from 'suncalc'
import { describe, expect, test } from 'vitest'
import { HOUR_MS } from '../../../../tests/fixtures/tides.ts'
import { phaseName, skyThrough } from './sky.ts'

const PLACE = { latitudeDeg: 58.5, longitudeDeg: -9.2 }
const dayOf = (date: string) => ({ fromMs: Date.parse(date), toMs: Date.parse(date) + 24 * HOUR_MS })
const hoursOf = (spans: { fromMs: number; toMs: number }[]) =>
  spans.reduce((sum, { fromMs, toMs }) => sum + toMs - fromMs, 0) / HOUR_MS
const within = (a: number | undefined, b: Date | null | undefined, minutes: number) =>
  expect(Math.abs((a ?? 0) - (b?.getTime() ?? Number.NaN)) / 60_000).toBeLessThan(minutes)

describe('the sky of a day', () => {
  test.each(['2026-01-10', '2026-03-20', '2026-06-10', '2026-11-23'])('two ways: risings and settings on %s', (date) => {
    const { events } = skyThrough(PLACE, dayOf(date))
    const at = (kind: string) => events.find((event) => event.kind === kind)?.timeMs
    const sun = getTimes(new Date(`${date}T12:00:00Z`), PLACE.latitudeDeg, PLACE.longitudeDeg)
    for (const kind of ['dawn', 'sunrise', 'sunset', 'dusk'] as const) within(at(kind), sun[kind], 2)
    const moon = getMoonTimes(new Date(date), PLACE.latitudeDeg, PLACE.longitudeDeg)
    if (moon.rise) within(at('moonrise'), moon.rise, 3)
    if (moon.set) within(at('moonset'), moon.set, 3)
  })

  test('dark hours are night without the moon: most of it at new moon, little at full in winter', () => {
    // New moon on 9 November 2026, full on 24 November.
    for (const [date, least, most] of [
      ['2026-11-09', 0.9, 1],
      ['2026-11-24', 0, 0.1],
    ] as const) {
      const { night, dark } = skyThrough(PLACE, dayOf(date))
      for (const span of dark) expect(night.some(({ fromMs, toMs }) => fromMs <= span.fromMs && span.toMs <= toMs)).toBe(true)
      expect(hoursOf(dark) / hoursOf(night)).toBeGreaterThanOrEqual(least)
      expect(hoursOf(dark) / hoursOf(night)).toBeLessThanOrEqual(most)
    }
    expect(phaseName(skyThrough(PLACE, dayOf('2026-11-24')).moon.phase)).toBe('full moon')
    expect(phaseName(skyThrough(PLACE, dayOf('2026-11-09')).moon.phase)).toBe('new moon')
  })

  test('where the sun does not set there is no night, and where it does not rise no day', () => {
    const north = { latitudeDeg: 78, longitudeDeg: 15 }
    expect(skyThrough(north, dayOf('2026-06-20')).night).toEqual([])
    expect(hoursOf(skyThrough(north, dayOf('2026-12-20')).night)).toBeCloseTo(24, 9)
    expect(skyThrough(north, dayOf('2026-12-20')).events.filter(({ kind }) => kind.startsWith('sun'))).toEqual([])
  })
})

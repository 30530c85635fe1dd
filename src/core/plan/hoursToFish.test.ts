import { describe, expect, test } from 'vitest'
import { HOUR_MS, MARK, tideOfDay } from '../../../tests/fixtures/tides.ts'
import { heightAtM } from '../physics/tide/tideSpan.ts'
import { dayAtMark } from './dayAtMark.ts'
import { hoursToFish } from './hoursToFish.ts'

const span = tideOfDay('2026-11-24')
const day = dayAtMark({ ...MARK, timeZone: 'UTC' }, span, span)!
const LENGTH_MS = 4 * HOUR_MS
const found = hoursToFish(day, LENGTH_MS, span, span.startMs + 12 * HOUR_MS)
const of = (why: string) => found.find((each) => each.why === why)!

describe('hours to fish', () => {
  test('are as long as asked, on the quarter, in the day and in its order', () => {
    expect(found.length).toBeGreaterThanOrEqual(3)
    for (const { fromMs, toMs } of found) {
      expect(toMs - fromMs).toBe(LENGTH_MS)
      expect(fromMs % (15 * 60_000)).toBe(0)
      expect(fromMs).toBeGreaterThanOrEqual(span.startMs)
      expect(toMs).toBeLessThanOrEqual(span.endMs)
    }
    expect(found.map(({ fromMs }) => fromMs)).toEqual(found.map(({ fromMs }) => fromMs).toSorted((a, b) => a - b))
  })

  test('on the rising tide end at high water, those on the falling one begin there; slack is in the middle of its own', () => {
    const rise = ({ fromMs, toMs }: { fromMs: number; toMs: number }) => heightAtM(span, toMs) - heightAtM(span, fromMs)
    expect(rise(of('rising'))).toBeGreaterThan(1)
    expect(rise(of('falling'))).toBeLessThan(-1)
    const { atMs, fromMs, toMs } = of('slack')
    expect(Math.abs((fromMs + toMs) / 2 - atMs)).toBeLessThanOrEqual(8 * 60_000)
  })

  test('of two high waters are round the one that is nearer', () => {
    const early = hoursToFish(day, LENGTH_MS, span, span.startMs)
    const late = hoursToFish(day, LENGTH_MS, span, span.endMs)
    const falls = (of: typeof early) => of.find(({ why }) => why === 'falling')!.fromMs
    expect(falls(early)).toBeLessThan(falls(late))
  })

  test('longer than the day are none; what is not known of the water proposes nothing', () => {
    expect(hoursToFish(day, 25 * HOUR_MS, span, span.startMs)).toEqual([])
    expect(hoursToFish({ tide: undefined, slacks: [], sky: undefined }, LENGTH_MS, span, span.startMs)).toEqual([])
  })
})

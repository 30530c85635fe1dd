import { expect, test } from 'vitest'
import type { TideSpan } from '../physics/tide/tideSpan.ts'
import { HOUR_MS } from '../time/durations.ts'
import { glanceAt } from './glance.ts'

/** A tide of twelve hours: 1 to 5 m, high water at 6 and 18. */
const heightM = (timeMs: number) => 3 - 2 * Math.cos((timeMs / (6 * HOUR_MS)) * Math.PI)
const tide: TideSpan = {
  heights: Array.from({ length: 241 }, (_, i) => ({ timeMs: i * 360_000, heightM: heightM(i * 360_000) })),
  turns: [0, 6, 12, 18, 24].map((hour) => ({
    timeMs: hour * HOUR_MS,
    heightM: heightM(hour * HOUR_MS),
    kind: hour % 12 === 0 ? ('low' as const) : ('high' as const),
  })),
  springRangeM: 5,
  neapRangeM: 2,
}
const slack = (hour: number) => ({ timeMs: hour * HOUR_MS, rateMperS: 0, directionDeg: null })
const DAY_END = 24 * HOUR_MS
const span = (from: number, to: number) => ({ fromMs: from * HOUR_MS, toMs: to * HOUR_MS })
const water = {
  tide,
  slacks: [slack(6), slack(12)],
  sky: { events: [], night: [span(0, 7), span(17, 24)], dark: [span(20, 24)], moon: { phase: 0, litShare: 0, waxing: true } },
}

test('what is next follows the hour: tide, slack, night and the dark without a moon', () => {
  const early = glanceAt(water, 3 * HOUR_MS, DAY_END)
  expect(early.tide?.heightM).toBeCloseTo(3, 6)
  expect(early.tide?.isRising).toBe(true)
  expect(early.nextTurn?.timeMs).toBe(6 * HOUR_MS)
  expect(early.slackMs).toBe(6 * HOUR_MS)
  expect(early.night).toEqual({ toMs: 7 * HOUR_MS })
  const late = glanceAt(water, 9 * HOUR_MS, DAY_END)
  expect(late.tide?.isRising).toBe(false)
  expect(late.slackMs).toBe(12 * HOUR_MS)
  // Both go on past what is known of the sky.
  expect([late.night, late.dark]).toEqual([{ fromMs: 17 * HOUR_MS }, { fromMs: 20 * HOUR_MS }])
  expect(glanceAt(water, 13 * HOUR_MS, DAY_END).slackMs).toBeUndefined()
})

test('what is unknown stays out: no tide, no place, another day', () => {
  expect(glanceAt({ tide: undefined, slacks: [], sky: undefined }, 0, DAY_END)).toEqual({
    tide: undefined,
    nextTurn: undefined,
    slackMs: undefined,
    night: undefined,
    dark: undefined,
  })
  expect(glanceAt(water, 30 * HOUR_MS, DAY_END).tide).toBeUndefined()
})

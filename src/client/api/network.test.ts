import { expect, test } from 'vitest'
import { networkState, noteAnswer } from './network.ts'

const NOW = Date.parse('2026-11-30T19:00:00Z')
const headers = (values: Record<string, string>) => new Headers(values)
const date = (ms: number) => new Date(ms).toUTCString()

test('an answer of the server says that it is there, and what the clock of this device differs by', () => {
  noteAnswer(headers({ Date: date(NOW - 1_500) }), NOW)
  expect(networkState()).toEqual({ keptSince: undefined, clockAheadMs: 0 })
  noteAnswer(headers({ Date: date(NOW - 3_600_000 - 1_500) }), NOW)
  expect(networkState().clockAheadMs).toBe(3_600_000)
  noteAnswer(headers({ Date: date(NOW + 3_600_000) }), NOW)
  expect(networkState().clockAheadMs).toBe(-3_600_000)
})

test('a kept answer says since when, the oldest of several, and nothing of the clock', () => {
  noteAnswer(headers({ Date: date(NOW) }), NOW)
  const [early, late] = [date(NOW - 7_200_000), date(NOW - 60_000)]
  for (const since of [late, early, late]) noteAnswer(headers({ Date: since, 'Wide-Reach-Kept-Since': since }), NOW)
  expect(networkState()).toEqual({ keptSince: early, clockAheadMs: 0 })
  noteAnswer(headers({ Date: date(NOW) }), NOW)
  expect(networkState().keptSince).toBeUndefined()
})

import { expect, test } from 'vitest'
import { HOUR_MS, MINUTE_MS } from '../time/durations.ts'
import { alarmsOf, dueBetween } from './alarms.ts'
import { wayBackClosesMs } from './wayBack.ts'

/** A tide that rises by 1 m an hour from 0. */
const tide = { heights: [0, 1, 2, 3, 4].map((hour) => ({ timeMs: hour * HOUR_MS, heightM: hour })) }

test('the way back closes when the tide stands as high as the mark says', () => {
  const closes = (wayBackM: number | undefined, from = 0, to = 4) =>
    wayBackClosesMs({ wayBackM }, tide, from * HOUR_MS, to * HOUR_MS)
  expect(closes(2.5)).toBe(2.5 * HOUR_MS)
  expect(closes(2)).toBe(2 * HOUR_MS)
  // Closed already when one comes: at once.
  expect(closes(1, 2)).toBe(2 * HOUR_MS)
  expect(closes(3.5, 0, 3)).toBeUndefined()
  expect(closes(9)).toBeUndefined()
  expect(closes(undefined)).toBeUndefined()
  expect(wayBackClosesMs({ wayBackM: 1 }, undefined, 0, HOUR_MS)).toBeUndefined()
})

test('what is to come is in order of time, the way back told in time to take it; each comes due once', () => {
  const alarms = alarmsOf({
    wayBackMs: 2 * HOUR_MS,
    sinkerMs: HOUR_MS,
    castMs: 10 * MINUTE_MS,
    baitMinutes: 20,
    slackMs: undefined,
    endMs: 3 * HOUR_MS,
  })
  expect(alarms.map(({ kind, timeMs }) => `${kind} ${timeMs / MINUTE_MS}`)).toEqual([
    'rebait 30',
    'sinker 60',
    'wayBack 90',
    'end 180',
  ])
  const looks = Array.from({ length: 200 }, (_, i) => i * MINUTE_MS)
  expect(
    looks
      .slice(1)
      .flatMap((now, i) => dueBetween(alarms, looks[i]!, now))
      .map(({ kind }) => kind),
  ).toEqual(['rebait', 'sinker', 'wayBack', 'end'])
})

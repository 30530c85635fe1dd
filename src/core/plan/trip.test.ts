import { expect, test } from 'vitest'
import type { TripEvent } from '../documents/observation.ts'
import type { Happening } from '../documents/tripEvent.ts'
import { baitsFor, rodNow, tripCautions, tripSpan, visitsOf } from './trip.ts'

test('hours past midnight end the next day; a night when the clocks change has an hour more', () => {
  const span = (date: string, from: string, to: string) => {
    const { fromMs, toMs } = tripSpan({ date, from, to }, 'Europe/London')
    return (toMs - fromMs) / 3_600_000
  }
  expect(span('2026-11-30', '18:00', '23:00')).toBe(5)
  expect(span('2026-11-30', '20:00', '02:00')).toBe(6)
  expect(span('2026-10-24', '20:00', '04:00')).toBe(9)
  expect(span('2026-12-31', '22:00', '22:00')).toBe(24)
})

test('marks without an hour share the time evenly; an hour that cannot be counts as none', () => {
  const [a, b, c] = ['a', 'b', 'c'].map((id) => ({ id }))
  const hours = (marks: { id: string; from?: string }[], from = '20:00', to = '02:00') =>
    visitsOf({ date: '2026-11-30', from, to, marks }, 'UTC').map(({ markId, fromMs, toMs }) =>
      [markId, ...[fromMs, toMs].map((ms) => new Date(ms).toISOString().slice(11, 16))].join(' '),
    )
  expect(hours([a!, b!, c!])).toEqual(['a 20:00 22:00', 'b 22:00 00:00', 'c 00:00 02:00'])
  expect(hours([a!, { ...b!, from: '01:00' }, c!])).toEqual(['a 20:00 01:00', 'b 01:00 01:30', 'c 01:30 02:00'])
  expect(hours([a!, b!, { ...c!, from: '00:00' }])).toEqual(['a 20:00 22:00', 'b 22:00 00:00', 'c 00:00 02:00'])
  expect(hours([a!, { ...b!, from: '04:00' }])).toEqual(['a 20:00 23:00', 'b 23:00 02:00'])
  // Not before the mark ahead of it.
  expect(hours([a!, { ...b!, from: '01:00' }, { ...c!, from: '00:00' }])).toEqual([
    'a 20:00 01:00',
    'b 01:00 01:30',
    'c 01:30 02:00',
  ])
  expect(hours([])).toEqual([])
})

test('baits: each hook is baited anew as often as the hours ask for, and a quarter more', () => {
  expect(baitsFor(2, 6, 20)).toBe(45)
  expect(baitsFor(1, 1, 60)).toBe(2)
  expect(baitsFor(0, 6)).toBe(0)
})

test('what is on a rod follows its own events: changes, a lost sinker, the last cast', () => {
  const at = (minute: number, what: Happening, rod = 'a'): TripEvent => ({
    formatVersion: 1,
    kind: 'event',
    id: crypto.randomUUID(),
    at: new Date(minute * 60_000).toISOString(),
    tripId: crypto.randomUUID(),
    rod,
    what,
  })
  const rod = { id: 'a', outfitId: crypto.randomUUID(), sinkerKg: 0.15 }
  const events = [
    at(1, { type: 'cast' }),
    at(2, { type: 'changed', part: 'sinker', to: '175 g', massKg: 0.175 }, 'b'),
    at(3, { type: 'changed', part: 'bait', to: 'peeler crab' }),
    at(4, { type: 'snag', lost: 'nothing' }),
    at(5, { type: 'cast' }),
  ]
  expect(rodNow(rod, events)).toMatchObject({
    sinkerKg: 0.15,
    bait: 'peeler crab',
    castMs: 300_000,
    counts: { cast: 2, snag: 1 },
  })
  expect(rodNow(rod, [...events, at(6, { type: 'snag', lost: 'sinker' })]).sinkerKg).toBeUndefined()
  const changed = at(7, { type: 'changed', part: 'sinker', to: '125 g', massKg: 0.125 })
  expect(rodNow(rod, [...events, at(6, { type: 'snag', lost: 'sinker' }), changed]).sinkerKg).toBe(0.125)
})

test('rock asks for the way back and a life jacket, a boat for the jacket only; alone is said of one and of none named', () => {
  expect(tripCautions(['rock'], 1)).toEqual(['wayBack', 'lifeJacket', 'alone', 'localRules'])
  expect(tripCautions(['boat'], 2)).toEqual(['lifeJacket', 'localRules'])
  expect(tripCautions(['beach'], 2)).toEqual(['wayBack', 'localRules'])
  expect(tripCautions([undefined], 0)).toEqual(['alone', 'localRules'])
})

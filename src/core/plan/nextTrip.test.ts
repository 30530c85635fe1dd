import { expect, test } from 'vitest'
import type { Trip } from '../documents/trip.ts'
import { lastTrip, nextTrip, usualMark } from './nextTrip.ts'

const trip = (id: string, date: string, more: Partial<Trip> = {}): { id: string; content: Trip } => ({
  id,
  content: {
    formatVersion: 1,
    name: id,
    date,
    from: '18:00',
    to: '23:00',
    marks: [],
    people: [],
    rods: [],
    packing: [],
    ...more,
  },
})
const at = (trips: ReturnType<typeof trip>[], time: string) => nextTrip(trips, () => 'UTC', Date.parse(time))?.id
const started = { startedAt: '2026-11-30T18:00:00Z' }

test('the trip under way, else the first that is not over', () => {
  const [past, today, later] = [trip('past', '2026-11-20'), trip('today', '2026-11-30'), trip('later', '2026-12-05')]
  expect(at([later, today, past], '2026-11-30T12:00:00Z')).toBe('today')
  expect(at([later, today, past], '2026-11-30T22:59:00Z')).toBe('today')
  expect(at([later, today, past], '2026-11-30T23:30:00Z')).toBe('later')
  expect(at([past], '2026-11-30T12:00:00Z')).toBeUndefined()
  expect(at([], '2026-11-30T12:00:00Z')).toBeUndefined()
})

test('one that was started goes on for some hours past its own, unless it was ended', () => {
  const [first, begun] = [trip('first', '2026-11-30', { from: '02:00', to: '23:59' }), trip('begun', '2026-11-30', started)]
  expect(at([first, begun], '2026-11-30T20:00:00Z')).toBe('begun')
  expect(at([begun], '2026-12-01T04:00:00Z')).toBe('begun')
  expect(at([begun], '2026-12-01T06:00:00Z')).toBeUndefined()
  expect(
    at([trip('over', '2026-11-30', { ...started, endedAt: '2026-11-30T20:00:00Z' })], '2026-11-30T20:30:00Z'),
  ).toBeUndefined()
})

test('without a trip to come the mark of the last one is looked at, else one with a trace, else any', () => {
  const [reef, beach, pier] = ['reef', 'beach', 'pier'].map((id) => ({ id }))
  const marks = [reef!, beach!, pier!]
  const on = (date: string, mark: string) => trip(date, date, { marks: [{ id: mark }] })
  expect(usualMark(marks, [on('2026-11-02', 'pier'), on('2026-11-09', 'beach')], ['reef'])).toBe(beach)
  expect(usualMark(marks, [on('2026-11-02', 'gone')], [null, 'pier'])).toBe(pier)
  expect(usualMark(marks, [], [])).toBe(reef)
  expect(usualMark([], [], ['reef'])).toBeUndefined()
})

test('the last trip is the latest of those that ended', () => {
  const over = (date: string) => trip(date, date, { ...started, endedAt: '2026-11-30T20:00:00Z' })
  expect(lastTrip([over('2026-11-02'), over('2026-11-09'), trip('open', '2026-11-20', started)])?.id).toBe('2026-11-09')
  expect(lastTrip([trip('open', '2026-11-20')])).toBeUndefined()
})

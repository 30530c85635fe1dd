import { expect, test } from 'vitest'
import { clockIn, dateIn, dayAfter, isTimeZone, localDay, minutesAhead } from './localDay.ts'

const HOUR = 3_600_000
const ZONE = 'Europe/London'

test.each([
  ['2026-11-23', 24],
  ['2026-03-29', 23],
  ['2026-10-25', 25],
])('the day %s has %i hours, and begins at midnight on the wall', (date, hours) => {
  const { startMs, endMs } = localDay(date, ZONE)
  expect((endMs - startMs) / HOUR).toBe(hours)
  expect(clockIn(ZONE, startMs)).toBe('00:00')
  expect(clockIn(ZONE, endMs)).toBe('00:00')
  expect(dateIn(ZONE, startMs)).toBe(date)
  expect(dateIn(ZONE, endMs - 1)).toBe(date)
  expect(dateIn(ZONE, endMs)).toBe(dayAfter(date, 1))
})

test('the clock goes over the hour that is left out, and twice through the one that comes twice', () => {
  const spring = localDay('2026-03-29', ZONE).startMs
  expect([0, 1, 2].map((hours) => clockIn(ZONE, spring + hours * HOUR))).toEqual(['00:00', '02:00', '03:00'])
  const autumn = localDay('2026-10-25', ZONE).startMs
  expect([0, 1, 2, 3].map((hours) => clockIn(ZONE, autumn + hours * HOUR))).toEqual(['00:00', '01:00', '01:00', '02:00'])
  expect([0, 3].map((hours) => minutesAhead(ZONE, autumn + hours * HOUR))).toEqual([60, 0])
})

test('zones of half hours and beyond the date line have their own days', () => {
  expect(new Date(localDay('2026-06-01', 'Asia/Kolkata').startMs).toISOString()).toBe('2026-05-31T18:30:00.000Z')
  expect(new Date(localDay('2026-06-01', 'Pacific/Kiritimati').startMs).toISOString()).toBe('2026-05-31T10:00:00.000Z')
})

test.each(['2026-02-30', '26-01-01', '2026-13-01', 'today', '', '1949-12-31', '2101-01-01'])('%s is refused', (date) => {
  expect(() => localDay(date, ZONE)).toThrow(expect.objectContaining({ code: 'out-of-range' }))
})

test('the first and the last year are in', () => {
  expect(localDay('1950-01-01', ZONE).date).toBe('1950-01-01')
  expect(localDay('2100-12-31', ZONE).endMs).toBe(Date.UTC(2101, 0, 1))
})

test('a zone is known by its name', () => {
  expect([ZONE, 'UTC', 'Orran/Sound', ''].map(isTimeZone)).toEqual([true, true, false, false])
})

test('times are shown to the nearest minute', () => {
  expect(clockIn('UTC', Date.UTC(2026, 0, 1, 6, 39, 31))).toBe('06:40')
})

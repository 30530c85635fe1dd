import { TZDateMini } from '@date-fns/tz'
import { CoreError } from '../errors.ts'
import { FIRST_YEAR, LAST_YEAR } from './years.ts'

/** A day in some zone: 24 hours, or 23 or 25 where its clocks change. */
export type LocalDay = { date: string; timeZone: string; startMs: number; endMs: number }

/**
 * A calendar day of a time zone.
 * @param date `2026-11-24`.
 * @throws CoreError 'out-of-range' for what is not a day, or lies outside 1950 to 2100.
 */
export function localDay(date: string, timeZone: string): LocalDay {
  const [, year = 0, month = 0, day = 0] = /^(\d{4})-(\d{2})-(\d{2})$/.exec(date)?.map(Number) ?? []
  const start = new TZDateMini(year, month - 1, day, timeZone)
  if (!(start.getFullYear() === year && start.getMonth() === month - 1 && start.getDate() === day))
    throw new CoreError('out-of-range', `“${date}” is not a day`, { value: date })
  if (!(year >= FIRST_YEAR && year <= LAST_YEAR))
    throw new CoreError('out-of-range', `A day from ${FIRST_YEAR} to ${LAST_YEAR}, please`, { value: date })
  return { date, timeZone, startMs: start.getTime(), endMs: new TZDateMini(year, month - 1, day + 1, timeZone).getTime() }
}

/**
 * The instant of a clock time, as `06:40` or `0640`, on a day of a zone.
 * @throws CoreError 'out-of-range' for what is no time or no day.
 */
export function instantAt(date: string, clock: string, timeZone: string): number {
  const [, hour, minute] = /^(\d{1,2})[:.]?(\d{2})$/.exec(clock.trim())?.map(Number) ?? []
  if (hour === undefined || minute === undefined || hour > 23 || minute > 59)
    throw new CoreError('out-of-range', `“${clock}” is not a time, such as 06:40`, { value: clock })
  localDay(date, timeZone)
  const [year = 0, month = 1, day = 1] = date.split('-').map(Number)
  return new TZDateMini(year, month - 1, day, hour, minute, timeZone).getTime()
}

/** The day of a zone that an instant falls on. */
export function dateIn(timeZone: string, timeMs: number): string {
  const at = new TZDateMini(timeMs, timeZone)
  return `${at.getFullYear()}-${two(at.getMonth() + 1)}-${two(at.getDate())}`
}

/** The day so many days on. */
export function dayAfter(date: string, days: number): string {
  const [year = 0, month = 1, day = 1] = date.split('-').map(Number)
  return new Date(Date.UTC(year, month - 1, day + days)).toISOString().slice(0, 10)
}

/** Clock time on the wall of a zone, 24 hours: `06:40`. */
export function clockIn(timeZone: string, timeMs: number): string {
  const at = new TZDateMini(Math.round(timeMs / 60_000) * 60_000, timeZone)
  return `${two(at.getHours())}:${two(at.getMinutes())}`
}

/** Minutes that a zone's clocks are ahead of universal time at an instant. */
export function minutesAhead(timeZone: string, timeMs: number): number {
  return -new TZDateMini(timeMs, timeZone).getTimezoneOffset()
}

/** Whether a text is a calendar day of a zone that this application reckons with. */
export function isDay(date: string, timeZone: string): boolean {
  try {
    localDay(date, timeZone)
    return true
  } catch (error) {
    if (error instanceof CoreError) return false
    throw error
  }
}

/** Whether a name is a time zone that this machine knows. */
export function isTimeZone(name: string): boolean {
  try {
    new Intl.DateTimeFormat('en', { timeZone: name })
    return true
  } catch {
    return false
  }
}

const two = (n: number) => String(n).padStart(2, '0')

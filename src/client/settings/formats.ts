import dayjs from 'dayjs'
import { HOUR_MS } from '../../core/time/durations.ts'
import { clockIn } from '../../core/time/localDay.ts'
import type { DecimalSign } from '../../core/units/parseQuantity.ts'

/** How numbers, times and days are written. */
export type Formats = { decimalSign: DecimalSign; clock: '24' | '12'; dayOrder: 'day' | 'month' | 'year' }

export const FORMAT_CHOICES: { [Key in keyof Formats]: readonly Formats[Key][] } = {
  decimalSign: ['.', ','],
  clock: ['24', '12'],
  dayOrder: ['day', 'month', 'year'],
}

const DATE_PATTERNS: Record<Formats['dayOrder'], string> = { day: 'D MMM YYYY', month: 'MMM D, YYYY', year: 'YYYY-MM-DD' }

/** Of what was kept, what is still offered. */
export const formatsOf = (kept: Record<string, unknown> = {}): Partial<Formats> =>
  Object.fromEntries(
    Object.entries(FORMAT_CHOICES)
      .filter(([key, choices]) => (choices as readonly unknown[]).includes(kept[key]))
      .map(([key]) => [key, kept[key]]),
  )

/** A number with the reader's decimal sign. */
export const withSign = (plain: string, { decimalSign }: Formats): string =>
  decimalSign === ',' ? plain.replace('.', ',') : plain

/** Clock time on the wall of a zone: `06:40`, or `6:40 am`. */
export function clockWords(timeZone: string, timeMs: number, { clock }: Pick<Formats, 'clock'>): string {
  const wall = clockIn(timeZone, timeMs)
  if (clock === '24') return wall
  const hour = Number(wall.slice(0, 2))
  return `${hour % 12 === 0 ? 12 : hour % 12}${wall.slice(2)}\u00a0${hour < 12 ? 'am' : 'pm'}`
}

/** A full hour of a day, 0 to 24: the last is its end. */
export const hourWords = (hour: number, { clock }: Formats): string =>
  clock === '24' ? `${String(hour).padStart(2, '0')}:00` : hour === 24 ? 'midnight' : clockWords('UTC', hour * HOUR_MS, { clock })

/** A day of this browser's zone: `24 Nov 2026`, `Nov 24, 2026` or `2026-11-24`; a dash for none, such as a field that is being typed. */
export const dateWords = (day: Date, { dayOrder }: Formats): string =>
  dayjs(day).isValid() ? dayjs(day).format(DATE_PATTERNS[dayOrder]) : '–'

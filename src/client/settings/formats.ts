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

/** The order of a day is that of a language that writes it so. */
const DATE_LANGUAGES: Record<Formats['dayOrder'], string> = { day: 'en-GB', month: 'en-US', year: 'sv-SE' }

/** As the browser's own language writes them. */
export const BROWSER_FORMATS: Formats = browserFormats()

function browserFormats(): Formats {
  const sign = new Intl.NumberFormat().formatToParts(1.5).find(({ type }) => type === 'decimal')?.value
  // One for both: the first of a page loads the language's own rules, 10 to 20 ms each.
  const dates = new Intl.DateTimeFormat(undefined, { year: 'numeric', month: 'numeric', day: 'numeric', hour: 'numeric' })
  const first = dates.formatToParts(0).find(({ type }) => type === 'day' || type === 'month' || type === 'year')
  return {
    decimalSign: sign === ',' ? ',' : '.',
    clock: dates.resolvedOptions().hour12 ? '12' : '24',
    dayOrder: FORMAT_CHOICES.dayOrder.find((part) => part === first?.type) ?? 'day',
  }
}

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

/** A day of this browser's zone: `24 Nov 2026`, `Nov 24, 2026` or `2026-11-24`. */
export const dateWords = (day: Date, { dayOrder }: Formats): string =>
  day.toLocaleDateString(
    DATE_LANGUAGES[dayOrder],
    dayOrder === 'year' ? undefined : { day: 'numeric', month: 'short', year: 'numeric' },
  )

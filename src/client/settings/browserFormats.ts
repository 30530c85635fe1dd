import { fromStorage } from './browserStorage.ts'
import { FORMAT_CHOICES, type Formats, formatsOf } from './formats.ts'
import { PREFIX } from './useKept.ts'

const KEPT = `${PREFIX}browser-formats`

/** As the browser's own language writes them. */
export const BROWSER_FORMATS: Formats = fromStorage(keptFormats) ?? browserFormats()

/** Stored by an earlier start: loading the formats of a language takes a tenth of a second on a phone. */
function keptFormats(): Formats {
  const { language, formats } = JSON.parse(localStorage.getItem(KEPT) ?? '{}') as {
    language?: string
    formats?: Record<string, unknown>
  }
  const kept = formatsOf(formats)
  if (language === navigator.language && isWhole(kept)) return kept
  const read = browserFormats()
  localStorage.setItem(KEPT, JSON.stringify({ language: navigator.language, formats: read }))
  return read
}

function isWhole(formats: Partial<Formats>): formats is Formats {
  return Object.keys(FORMAT_CHOICES).every((key) => key in formats)
}

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

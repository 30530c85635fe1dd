import type { DerivationStep } from '../../core/analysis/derivation.ts'
import { MOMENT_CALCULATIONS } from '../../core/calculations/momentCalculations.ts'
import type { Show } from '../settings/show.ts'
import { ORIGIN_WORDS } from './inputWords.ts'

/** One calculation as it is read out: its formula, what went in, what came out, what it rests on. */
export type StepWords = { title: string; formula: string[]; given: string[]; gives: string[]; source: string; valid: string }

export function stepWords(
  { calculation, input, output, from }: DerivationStep,
  show: Show,
  nameOf: (id: string) => string,
): StepWords {
  const { title, formula, source, valid } = MOMENT_CALCULATIONS[calculation]
  const rows = (fields: object, withOrigin: boolean) =>
    Object.entries(fields).flatMap(([field, value]) => {
      const origin = withOrigin ? `, ${ORIGIN_WORDS[from[field] ?? 'document']}` : ''
      if (Array.isArray(value)) {
        const number = (i: number) => (value.length > 1 ? String(i + 1) : '')
        return value.map((row, i) => `${rowWords(row, number(i), show, nameOf)}${origin}`)
      }
      if (typeof value === 'object' && value !== null) return [`${wordsOf(field)}: ${rowWords(value, '', show, nameOf)}`]
      return [`${wordsOf(field)}: ${valueWords(field, value, show)}${origin}`]
    })
  return { title, formula: formula.split(';  '), given: rows(input, true), gives: rows(output, false), source, valid }
}

/** The whole derivation as plain text, to be copied. */
export function derivationText(steps: readonly StepWords[]): string {
  return steps
    .map(({ title, formula, given, gives, source, valid }) =>
      [
        title,
        ...formula.map((line) => `  ${line}`),
        'given',
        ...given.map((line) => `  ${line}`),
        'gives',
        ...gives.map((line) => `  ${line}`),
        `Source: ${source}. Valid: ${valid}.`,
      ].join('\n'),
    )
    .join('\n\n')
}

type Format = (value: number, si: number, show: Show) => string

/** The units that a field’s name may end in, the longer before those they end in, and how each is read out. */
const UNITS: Record<string, Format> = {
  KgperM3: (_value, si) => `${si} kg/m³`,
  NperM: (_value, si) => `${si} N/m`,
  MperS: (value, si, show) => `${show.computed('speed', value)} (${si} m/s)`,
  M2: (value) => (value < 0.01 ? `${Number((1e4 * value).toPrecision(3))} cm²` : `${value.toPrecision(3)} m²`),
  Kg: (value, _si, show) => show.computed('mass', value),
  Deg: (_value, si) => `${si}°`,
  Rad: (value) => `${((value * 180) / Math.PI).toFixed(0)}°`,
  Pa: (_value, si) => `${si} Pa`,
  N: (value, si, show) => `${show.computed('strength', value)} (${si} N)`,
  M: (value, _si, show) => show.computed('length', value),
  S: (_value, si) => `${si} s`,
}
const UNIT = new RegExp(`(?:${Object.keys(UNITS).join('|')})$`)

/** `spoolFullRadiusM` as words: the unit goes, the rest is spelled out. */
const wordsOf = (field: string): string =>
  field
    .replace(UNIT, '')
    .replace(/[A-Z]/g, (letter) => ` ${letter.toLowerCase()}`)
    .trim()

function valueWords(field: string, value: unknown, show: Show): string {
  if (typeof value !== 'number') return String(value)
  if (/(?:diameter|radius).*M$/i.test(field)) return `${(value * 1000).toPrecision(4)} mm`
  if (field === 'survival' || field === 'probability') return show.percent(value, 1)
  const si = Number(value.toPrecision(4))
  const [unit] = UNIT.exec(field) ?? []
  return unit === undefined ? String(si) : UNITS[unit]!(value, si, show)
}

/** One row of a list: a line, a joint, a layer, a link; its number, where it has no name. */
function rowWords(row: Record<string, unknown>, number: string, show: Show, nameOf: (id: string) => string): string {
  const { id, type: _type, ...fields } = row
  const rest = Object.entries(fields)
    .filter(([, value]) => value !== undefined && value !== 'self')
    .map(([field, value]) => `${wordsOf(field)} ${valueWords(field, value, show)}`)
  return [typeof id === 'string' ? nameOf(id) : number, rest.join(', ')].filter(Boolean).join(': ')
}

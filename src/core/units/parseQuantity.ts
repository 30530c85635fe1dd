import { factorToSi, peDiameterM, QUANTITIES, QUANTITY_NAMES, type Quantity } from './quantities.ts'
import { isTooLong } from './typed.ts'

/** What stands between the whole and its decimals. */
export type DecimalSign = '.' | ','

export type Parsed = { ok: true; si: number; unit: string; bare: boolean } | { ok: false; message: string }

/** What people write for a unit, in lower case, and the unit's own name. */
// biome-ignore format: a table reads better in columns
const SPELLINGS: Record<string, string> = {
  n: 'N', newton: 'N', newtons: 'N',
  lb: 'lb', lbs: 'lb', pound: 'lb', pounds: 'lb', lbf: 'lb', '#': 'lb',
  kg: 'kg', kgs: 'kg', kilo: 'kg', kilos: 'kg', kgf: 'kg',
  g: 'g', gr: 'g', gram: 'g', grams: 'g', gramme: 'g', grammes: 'g',
  oz: 'oz', ounce: 'oz', ounces: 'oz',
  m: 'm', metre: 'm', metres: 'm', meter: 'm', meters: 'm',
  cm: 'cm', mm: 'mm', km: 'km',
  ft: 'ft', foot: 'ft', feet: 'ft', "'": 'ft', '′': 'ft',
  in: 'in', inch: 'in', inches: 'in', '"': 'in', '″': 'in', "''": 'in',
  yd: 'yd', yds: 'yd', yard: 'yd', yards: 'yd',
  fm: 'fm', fathom: 'fm', fathoms: 'fm', ftm: 'fm',
  st: 'st', stone: 'st', stones: 'st',
  kn: 'kn', kt: 'kn', kts: 'kn', knot: 'kn', knots: 'kn',
  'm/s': 'm/s', 'km/h': 'km/h', kmh: 'km/h', kph: 'km/h', mph: 'mph',
}

/** Whether a word is a unit of any quantity. */
export const isUnit = (word: string): boolean => Object.hasOwn(SPELLINGS, word.toLowerCase())

const NUMBER = String.raw`\d+\s+\d+\/\d+|\d+\/\d+|\d*[.,]\d+|\d+\.?`
const TOKEN = new RegExp(String.raw`(${NUMBER})\s*([a-zA-Zµ/#]+|''|['"′″])?`, 'gy')

/**
 * Reads a quantity as people say it: `30lb`, `4 ft 6`, `1 1/2 oz`, `PE 1.5`. A bare number takes `assumedUnit`.
 * Both decimal signs are read; `decimalSign` is the one that is surely meant before three figures, a point if absent.
 * Anything ambiguous or of another quantity is an error whose message says what was understood.
 * @returns the value in SI and the unit it was written in (the first one, where there are two).
 */
export function parseQuantity(quantity: Quantity, text: string, assumedUnit: string, decimalSign?: DecimalSign): Parsed {
  if (isTooLong(text)) return fail(`This is too long for a ${QUANTITY_NAMES[quantity]}. Type for example ${EXAMPLES[quantity]}.`)
  const typed = plainFractions(text).trim().replaceAll('−', '-')
  if (typed === '') return fail(`Type a ${QUANTITY_NAMES[quantity]}, such as ${EXAMPLES[quantity]}.`)
  if (quantity === 'diameter') {
    if (typed.startsWith('#'))
      return fail(
        `“${typed}” could be a PE number or a wire number. Write PE ${typed.slice(1).trim()}, or choose the wire number.`,
      )
    const pe = /^pe\s*(\d*\.?\d+)$/i.exec(typed) ?? /^(\d*\.?\d+)\s*pe$/i.exec(typed)
    if (pe) return { ok: true, si: peDiameterM(Number(pe[1])), unit: 'PE', bare: false }
  }
  if (/^\d+\/0$/.test(typed)) return fail(`“${typed}” is a hook size, not a ${QUANTITY_NAMES[quantity]}.`)

  const negative = typed.startsWith('-')
  const body = negative ? typed.slice(1).trim() : typed
  const tokens = tokenise(body, decimalSign)
  if (typeof tokens === 'string') return fail(tokens)
  if (tokens.length > 2) return fail(`“${typed}” has more than two numbers.`)

  let si = 0
  let lastUnit: string | undefined
  for (const [index, token] of tokens.entries()) {
    const unit =
      token.unit === undefined ? impliedUnit(tokens[0]?.unit && lastUnit, assumedUnit, index) : readUnit(quantity, token.unit)
    if (typeof unit !== 'string') return fail(unit.message)
    const factor = factorToSi(quantity, unit)
    if (factor === undefined) return fail(wrongQuantity(quantity, unit))
    if (index > 0 && !isSmallerPair(lastUnit, unit)) return fail(`“${typed}” joins ${lastUnit} and ${unit}; write one of them.`)
    si += token.value * factor
    lastUnit ??= unit
  }
  if (!Number.isFinite(si)) return fail(`“${typed}” is too large.`)
  return {
    ok: true,
    si: negative ? -si : si,
    unit: lastUnit ?? assumedUnit,
    bare: tokens.length === 1 && tokens[0]?.unit === undefined,
  }
}

/** `1½` as `1 1/2`. */
const plainFractions = (text: string): string =>
  text.replace(/[¼-¾⅐-⅞]/g, (one) => ` ${one.normalize('NFKD')}`).replaceAll('⁄', '/')

const EXAMPLES: Record<Quantity, string> = {
  strength: '30 lb',
  mass: '150 g',
  fish: '3 kg',
  length: '1.2 m',
  depth: '12 m or 6 fm',
  diameter: '0.35 mm or PE 1.5',
  speed: '1.2 kn',
}

const fail = (message: string): Parsed => ({ ok: false, message })

type Token = { value: number; unit: string | undefined }

function tokenise(body: string, decimalSign: DecimalSign | undefined): Token[] | string {
  const tokens: Token[] = []
  TOKEN.lastIndex = 0
  let at = 0
  while (at < body.length) {
    TOKEN.lastIndex = at
    const match = TOKEN.exec(body)
    if (!match) return tokens.length === 0 ? `“${body}” does not start with a number.` : `“${body.slice(at)}” is not a number.`
    const value = readNumber(match[1]!, decimalSign)
    if (typeof value === 'string') return value
    tokens.push({ value, unit: match[2] })
    at = TOKEN.lastIndex
    while (body[at] === ' ') at += 1
  }
  return tokens
}

/** Three figures after a mark that is not the reader's decimal sign may be thousands. */
function readNumber(text: string, decimalSign: DecimalSign | undefined): number | string {
  if ((decimalSign === ',' ? /^\d+\.\d{3}$/ : /^\d+,\d{3}$/).test(text))
    return decimalSign === ','
      ? `“${text}” could be ${text.replace('.', ',')} or ${text.replace('.', '')}: write it with a comma or without a mark.`
      : `“${text}” could be ${text.replace(',', '.')} or ${text.replace(',', '')}: write it with a point or without a mark.`
  const mixed = /^(?:(\d+)\s+)?(\d+)\/(\d+)$/.exec(text)
  if (!mixed) return Number(text.replace(',', '.'))
  if (Number(mixed[3]) === 0) return `“${text}” divides by zero. A hook size has no unit.`
  return Number(mixed[1] ?? 0) + Number(mixed[2]) / Number(mixed[3])
}

/** In `4 ft 6` the 6 is inches, in `11 st 4` the 4 is pounds; anywhere else a bare number takes the field's unit. */
function impliedUnit(lastUnit: string | undefined, assumedUnit: string, index: number): string | { message: string } {
  if (index === 0) return assumedUnit
  if (lastUnit === 'ft') return 'in'
  if (lastUnit === 'st') return 'lb'
  return { message: 'There are two numbers. Give each a unit.' }
}

function isSmallerPair(first: string | undefined, second: string): boolean {
  return [
    ['ft', 'in'],
    ['lb', 'oz'],
    ['st', 'lb'],
    ['m', 'cm'],
    ['kg', 'g'],
    ['yd', 'ft'],
  ].some(([a, b]) => a === first && b === second)
}

function readUnit(quantity: Quantity, text: string): string | { message: string } {
  // kN (a force) and kn (a speed) differ only in case, so here the case decides.
  if (text === 'kN') return 'kN'
  if (text === 'KN' || text === 'Kn') return { message: `“${text}” could be knots or kilonewtons: write kn or kN.` }
  const unit = SPELLINGS[text.toLowerCase()]
  if (unit) return unit
  const allowed = Object.keys(QUANTITIES[quantity].units).join(', ')
  return { message: `“${text}” is not a unit of ${QUANTITY_NAMES[quantity]}: use ${allowed}.` }
}

function wrongQuantity(wanted: Quantity, unit: string): string {
  const home = (Object.keys(QUANTITIES) as Quantity[]).find((quantity) => factorToSi(quantity, unit) !== undefined)
  const known = home ? `“${unit}” is a ${QUANTITY_NAMES[home]}` : `“${unit}” is not a value`
  return `${known}; a ${QUANTITY_NAMES[wanted]} is needed, such as ${EXAMPLES[wanted]}.`
}

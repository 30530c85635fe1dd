import type { Catalogue } from '../catalogue/catalogue.ts'
import type { Material } from '../catalogue/ids.ts'
import { parseHookSize } from '../units/hookSize.ts'
import { isUnit, parseQuantity } from '../units/parseQuantity.ts'
import { QUANTITIES, type Quantity } from '../units/quantities.ts'
import type { NewPart } from './newParts.ts'
import { GENERIC, MATERIAL_SYNONYMS, RIGGING_WORDS } from './synonyms.ts'

/** What one detail of a part sets, how far down its line it puts it, or how much of it lies before what it runs through. */
export type Detail = { set?: object; placeM?: number; throughM?: number }

/** A length in millimetres up to this is a line’s diameter, m. */
const MAX_LINE_M = 0.005
/** Strands and turns a metre of a line that is said to be twisted. Nominal, ours. */
const TWISTED = { strands: 2, twistPerM: 40 }

const NUMBER = /^[\d.,/ ½¼¾⅓⅔]+$/
const FRACTION = /^\d+\/[1-9]\d*$/
const ENDS_IN_FEET = /(ft|foot|feet|')$/
const ENDS_IN_FEET_AND_NUMBER = /(ft|foot|feet|') \d+$/
const INCHES = /^(in|inch|inches|")$/
/** Words that a measure follows: which of several it is. */
const MEASURED = ['nail', 'tail', 'gap', 'depth', 'thick', 'through']
const BEFORE_SIZE = ['size', 'no', 'no.', 'nr', '#']

const COUNTS = ['one', 'two', 'three', 'four', 'five', 'six', 'seven', 'eight', 'nine', 'ten', 'eleven', 'twelve']

/** A hook size as it is said or written in short: two oh, two aught, 2-0. */
const SPOKEN_SIZE = new RegExp(`\\b(${COUNTS.join('|')}|\\d{1,2})(?: (?:oh|aught|ought|nought)|-0)\\b`, 'g')

/** In small letters, without what a name has in brackets, apostrophes, and hyphens between words. */
export const plainName = (name: string) =>
  name
    .replace(/ \(.*\)/, '')
    .toLowerCase()
    .replace(/(?<=[a-z])['’](?=s)/g, '')
    .replaceAll('’', "'")
    .replace(/(?<=[a-z\d])-(?=[a-z])/g, ' ')
    .replace(SPOKEN_SIZE, (_, count: string) => `${COUNTS.indexOf(count) + 1 || count}/0`)

/** Words as details: a number with the unit that follows it is one, `1 1/2 oz` and `4 ft 6` too; a size loses the word before it. */
export function splitDetails(words: readonly string[]): string[] {
  const details: string[] = []
  for (const [i, word] of words.entries()) {
    const next = words[i + 1] ?? ''
    if (BEFORE_SIZE.includes(word) && /^#?\d/.test(next)) continue
    if (word === 'o' && next === 'ring') continue
    const [before = '', ...figures] = details.at(-1)?.split(' ') ?? []
    const isMeasured = MEASURED.includes(before) && (figures.length === 0 || (figures.length === 1 && isUnit(word)))
    if (isMeasured) details.push(`${details.pop()} ${word}`)
    else if (goesOn(details.at(-1) ?? '', word, next)) details.push(`${details.pop()} ${word}`)
    else if (!GENERIC.includes(word)) details.push(word)
  }
  return details
}

/** Whether a word goes on with the measure before it. */
function goesOn(before: string, word: string, next: string): boolean {
  if (before === 'weed') return word === 'guard'
  if (before === 'point') return word === 'up'
  if (/^(strands|twists|turns)$/.test(word)) return /^[\d.]+$/.test(before)
  if (/^wraps?$/.test(word)) return wrapsIn(`${before} wraps`) !== undefined
  if (NUMBER.test(before)) return isUnit(word) || FRACTION.test(word)
  if (ENDS_IN_FEET.test(before)) return /^\d+$/.test(word) && (INCHES.test(next) || !isUnit(next))
  return ENDS_IN_FEET_AND_NUMBER.test(before) && INCHES.test(word)
}

/** How often the line goes around the shank of a hook that rides on it. */
function wrapsIn(text: string): number | undefined {
  const count = /^(\w+) wraps?$/.exec(text)?.[1]
  if (count === undefined) return undefined
  const wraps = COUNTS.indexOf(count) + 1 || Number(count)
  return Number.isInteger(wraps) && wraps >= 1 && wraps <= 10 ? wraps : undefined
}

/** One detail of a part: a strength, length, weight, size, material; or why it is none. */
export function detailed(catalogue: Catalogue, part: NewPart, text: string): Detail | string {
  const quantity = (kind: Quantity) => {
    const parsed = parseQuantity(kind, text, '')
    return parsed.ok && !parsed.bare ? parsed.si : undefined
  }
  const named = <T extends string>(table: Readonly<Record<T, { name: string }>>) =>
    (Object.keys(table) as T[]).find(
      (id) => id.toLowerCase() === text || table[id].name.toLowerCase().replaceAll('-', ' ') === text,
    )
  const measured = (word: string, kind: Quantity) => {
    const said = new RegExp(`^${word} (.+)$`).exec(text)?.[1]
    const parsed = said === undefined ? undefined : parseQuantity(kind, said, '')
    return parsed?.ok && !parsed.bare ? parsed.si : undefined
  }
  const size = text.replace(/^(#|no\.?|size)(?=\d)/, '')
  const unclear = /^[\d.,]+$/.test(text) ? `“${text}” needs a unit` : `“${text}” is not a detail of a ${part.name}`
  switch (part.kind) {
    case 'line': {
      const strengthN = quantity('strength')
      if (strengthN !== undefined) return { set: { strengthN } }
      const diameterM = /mm$/.test(text) ? quantity('diameter') : undefined
      if (diameterM !== undefined && diameterM <= MAX_LINE_M) return { set: { diameterM } }
      const lengthM = quantity('length')
      if (lengthM !== undefined) return { set: { lengthM } }
      const wire = catalogue.wireNumbers.find(({ number }) => text === `#${number}`)
      if (wire) return { set: { material: 'wire', strengthN: wire.strengthLb * QUANTITIES.strength.units.lb } }
      if (text === 'twisted') return { set: TWISTED }
      if (text === 'hollow') return { set: { hollow: true } }
      if (text === 'tested') return { set: { pulled: true } }
      const [, count, of] = /^([\d.]+)(%| strands| twists)$/.exec(text) ?? []
      if (of === '%') return { set: { condition: Number(count) / 100 } }
      if (of !== undefined) return { set: { [of === ' strands' ? 'strands' : 'twistPerM']: Number(count) } }
      const throughM = measured('through', 'length')
      if (throughM !== undefined) return { throughM }
      const material = named(catalogue.materials) ?? (MATERIAL_SYNONYMS[text] as Material | undefined)
      return material ? { set: { material } } : unclear
    }
    case 'hardware': {
      const { sizes } = catalogue.hardware[part.type]
      if (sizes.some((each) => each.size === size)) return { set: { size } }
      if (text === 'unsized') return { set: { size: undefined } }
      const placeM = quantity('length')
      if (placeM !== undefined) return { placeM }
      const strengthN = sizes.length > 0 ? quantity('strength') : undefined
      return strengthN === undefined ? unclear : { set: { strengthN } }
    }
    case 'hook': {
      if (text === '20') return '“20” could be 2/0 or the small size 20: write 2/0 or #20'
      const parsed = parseHookSize(size)
      if (parsed.ok) return { set: { size: parsed.size.label } }
      const pattern = named(catalogue.hooks.patterns)
      if (pattern) return { set: { pattern } }
      if (text === 'barbless') return { set: { barbless: true } }
      if (text === 'offset') return { set: { offset: true } }
      if (text === 'opened') return { set: { openedEye: true } }
      if (text === 'weed guard' || text === 'weedless') return { set: { weedGuard: true } }
      const wraps = wrapsIn(text)
      if (wraps !== undefined) return { set: { wraps } }
      const headKg = quantity('mass')
      if (headKg !== undefined) return { set: { headKg } }
      const gapeM = measured('gap', 'diameter')
      if (gapeM !== undefined) return { set: { gapeM } }
      const wireM = measured('thick', 'diameter')
      if (wireM !== undefined) return { set: { wireM } }
      if (text === 'swinging') return { set: { headSwings: true } }
      const placeM = quantity('length')
      return placeM === undefined ? unclear : { placeM }
    }
    case 'sinker': {
      const metal = named(catalogue.sinkerMetals)
      if (metal) return { set: { metal } }
      const shape = named(catalogue.sinkers)
      if (shape) return { set: { shape } }
      return massOrPlace(quantity, unclear)
    }
    case 'bait':
    case 'lure': {
      if (text === 'floating') return { set: { floats: true } }
      if (part.kind === 'bait' && ['alive', 'live', 'dead'].includes(text)) return { set: { alive: text !== 'dead' } }
      if (part.kind === 'bait' && text === 'trimmed') return { set: { trimmed: true } }
      const nailKg = measured('nail', 'mass')
      if (nailKg !== undefined) return { set: { nailKg } }
      const tailM = measured('tail', 'length')
      if (tailM !== undefined) return { set: { tailM } }
      const depthM = measured('depth', 'length')
      if (depthM !== undefined) return { set: { depthM } }
      if (part.kind === 'lure' && text === 'spinning') return { set: { spins: true } }
      const strengthN = part.kind === 'lure' ? quantity('strength') : undefined
      if (strengthN !== undefined) return { set: { strengthN } }
      const rigging = RIGGING_WORDS[text]
      if (rigging) return { set: { rigging } }
      const lengthM = quantity('length')
      if (lengthM !== undefined) return { set: { lengthM } }
      const massKg = quantity('mass')
      return massKg === undefined ? unclear : { set: { massKg } }
    }
    case 'float':
    case 'light':
      return massOrPlace(quantity, unclear)
    default:
      return unclear
  }
}

function massOrPlace(quantity: (kind: Quantity) => number | undefined, unclear: string): Detail | string {
  const massKg = quantity('mass')
  if (massKg !== undefined) return { set: { massKg } }
  const placeM = quantity('length')
  return placeM === undefined ? unclear : { placeM }
}

import type { Catalogue } from '../catalogue/catalogue.ts'
import { parseHookSize } from '../units/hookSize.ts'
import { isUnit, parseQuantity } from '../units/parseQuantity.ts'
import type { Quantity } from '../units/quantities.ts'
import type { NewPart } from './newParts.ts'

/** What one detail of a part sets, or how far down its line it puts it. */
export type Detail = { set?: object; placeM?: number }

/** Strands and turns a metre of a line that is said to be twisted. Nominal, ours. */
const TWISTED = { strands: 2, twistPerM: 40 }

/** Words as details: a number with the unit that follows it is one. */
export function splitDetails(words: readonly string[]): string[] {
  const details: string[] = []
  for (const word of words) {
    const before = details.at(-1)
    if (before !== undefined && /^[\d.,/½¼¾⅓⅔]+$/.test(before) && isUnit(word)) details[details.length - 1] = `${before} ${word}`
    else details.push(word)
  }
  return details
}

/** One detail of a part: a strength, length, weight, size, material; or why it is none. */
export function detailed(catalogue: Catalogue, part: NewPart, text: string): Detail | string {
  const quantity = (kind: Quantity) => {
    const parsed = parseQuantity(kind, text, '')
    return parsed.ok && !parsed.bare ? parsed.si : undefined
  }
  const named = <T extends string>(table: Readonly<Record<T, { name: string }>>) =>
    (Object.keys(table) as T[]).find((id) => id.toLowerCase() === text || table[id].name.toLowerCase() === text)
  const unclear = /^[\d.,]+$/.test(text) ? `“${text}” needs a unit` : `“${text}” is not a detail of a ${part.name}`
  switch (part.kind) {
    case 'line': {
      const strengthN = quantity('strength')
      if (strengthN !== undefined) return { set: { strengthN } }
      const lengthM = quantity('length')
      if (lengthM !== undefined) return { set: { lengthM } }
      if (text === 'twisted') return { set: TWISTED }
      if (text === 'hollow') return { set: { hollow: true } }
      const material = named(catalogue.materials)
      return material ? { set: { material } } : unclear
    }
    case 'hardware': {
      const { sizes } = catalogue.hardware[part.type]
      if (sizes.some(({ size }) => size === text)) return { set: { size: text } }
      const placeM = quantity('length')
      if (placeM !== undefined) return { placeM }
      const strengthN = sizes.length > 0 ? quantity('strength') : undefined
      return strengthN === undefined ? unclear : { set: { strengthN } }
    }
    case 'hook': {
      const size = parseHookSize(text)
      if (size.ok) return { set: { size: size.size.label } }
      const headKg = quantity('mass')
      if (headKg !== undefined) return { set: { headKg } }
      if (text === 'swinging' && part.set && 'headKg' in part.set) return { set: { headSwings: true } }
      const placeM = quantity('length')
      return placeM === undefined ? unclear : { placeM }
    }
    case 'sinker': {
      const metal = named(catalogue.sinkerMetals)
      if (metal) return { set: { metal } }
      return massOrPlace(quantity, unclear)
    }
    case 'bait':
    case 'lure': {
      if (text === 'floating') return { set: { floats: true } }
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

import type { Quantity } from '../units/quantities.ts'

/** A figure in a sentence, to be shown in whatever unit the reader uses. */
export type Figure = { quantity: Quantity; si: number }
/** A sentence with its figures left in SI: who shows it chooses the units. */
export type Phrase = readonly (string | Figure)[]

export const strength = (si: number): Figure => ({ quantity: 'strength', si })
export const length = (si: number): Figure => ({ quantity: 'length', si })
export const mass = (si: number): Figure => ({ quantity: 'mass', si })
export const speed = (si: number): Figure => ({ quantity: 'speed', si })
export const diameter = (si: number): Figure => ({ quantity: 'diameter', si })

/** Builds a phrase: numbers without a unit are written as they are. */
export function say(texts: TemplateStringsArray, ...values: (string | number | Figure)[]): Phrase {
  return texts
    .flatMap((text, i) => {
      const value = values[i]
      return value === undefined ? [text] : [text, typeof value === 'number' ? String(value) : value]
    })
    .filter((part) => part !== '')
}

/** A phrase as text, each figure by the given hand. */
export function phraseText(phrase: Phrase, show: (figure: Figure) => string): string {
  return phrase.map((part) => (typeof part === 'string' ? part : show(part))).join('')
}

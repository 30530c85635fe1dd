import type { Quantity } from './quantities.ts'

/** A figure in a sentence, to be shown in the reader's unit and decimal sign. `decimals` are those of a figure without a unit. */
export type PhraseFigure = { quantity: Quantity; si: number } | { quantity: 'number'; si: number; decimals: number }
/** A sentence with its figures left in SI: who shows it chooses the units. */
export type Phrase = readonly (string | PhraseFigure)[]

export const strength = (si: number): PhraseFigure => ({ quantity: 'strength', si })
export const length = (si: number): PhraseFigure => ({ quantity: 'length', si })
export const depth = (si: number): PhraseFigure => ({ quantity: 'depth', si })
export const mass = (si: number): PhraseFigure => ({ quantity: 'mass', si })
export const speed = (si: number): PhraseFigure => ({ quantity: 'speed', si })
export const diameter = (si: number): PhraseFigure => ({ quantity: 'diameter', si })

/** A figure without a unit, as ratios are. */
export const figure = (si: number, decimals: number): PhraseFigure => ({ quantity: 'number', si, decimals })

/** Builds a phrase: numbers without a unit are written as they are, with the reader's decimal sign. */
export function say(texts: TemplateStringsArray, ...values: (string | number | PhraseFigure)[]): Phrase {
  return texts
    .flatMap((text, i) => {
      const value = values[i]
      return value === undefined ? [text] : [text, typeof value === 'number' ? asItIs(value) : value]
    })
    .filter((part) => part !== '')
}

/** A number with its own decimals; a whole one needs no sign. */
function asItIs(value: number): string | PhraseFigure {
  const decimals = String(value).split('.')[1]?.length
  return decimals === undefined ? String(value) : figure(value, decimals)
}

/** Sentences one after another, each beginning with a capital. */
export const joinedPhrase = (phrases: readonly Phrase[]): Phrase =>
  phrases.flatMap(([first = '', ...rest], i) => [
    ...(i > 0 ? [' '] : []),
    typeof first === 'string' ? capital(first) : first,
    ...rest,
  ])

const capital = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1)

/** A phrase as text, each figure by the given hand. */
export function phraseText(phrase: Phrase, show: (figure: PhraseFigure) => string): string {
  return phrase.map((part) => (typeof part === 'string' ? part : show(part))).join('')
}

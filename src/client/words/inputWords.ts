import type { Input } from '../../core/moments/moment.ts'
import { isQuantity } from '../../core/units/quantities.ts'
import type { Show } from '../settings/show.ts'

/** Where an input came from, in a word. */
export const ORIGIN_WORDS: Record<Input['origin'], string> = {
  document: 'set',
  nominal: 'nominal',
  own: 'my test',
  computed: 'computed',
  rule: 'rule',
}

/** An input’s value in the units shown, as it was entered or to the decimals that a figure is worth; a word by what it stands for. */
export function inputValueWords({ value, quantity, origin }: Input, show: Show, words: Readonly<Record<string, string>>): string {
  if (typeof value === 'string') return words[value] ?? value
  if (isQuantity(quantity)) return origin === 'document' ? show.entered(quantity, value) : show.computed(quantity, value)
  switch (quantity) {
    case 'gearSize':
      return `${show.number(value * 1000, 1)} mm`
    case 'area':
      return `${show.number(value * 1e4, 1)} cm²`
    case 'duration':
      return `${value.toFixed(0)} s`
    case 'angle':
      return `${((value * 180) / Math.PI).toFixed(0)}°`
    case 'share':
      return show.percent(value, 1)
    case 'count':
      return show.number(value, 1)
    default:
      return show.number(value, 2)
  }
}

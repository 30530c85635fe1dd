import type { Input } from '../../core/moments/moment.ts'
import { isQuantity } from '../../core/units/quantities.ts'
import type { Show } from '../settings/show.ts'
import { percent } from './percent.ts'

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
      return `${(value * 1000).toFixed(1)} mm`
    case 'area':
      return `${(value * 1e4).toFixed(1)} cm²`
    case 'duration':
      return `${value.toFixed(0)} s`
    case 'angle':
      return `${((value * 180) / Math.PI).toFixed(0)}°`
    case 'share':
      return percent(value, 1)
    case 'count':
      return value.toFixed(1)
    default:
      return value.toFixed(2)
  }
}

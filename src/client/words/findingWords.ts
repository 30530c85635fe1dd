import { type Phrase, phraseText } from '../../core/units/phrase.ts'
import type { Show } from '../settings/show.ts'

/** A finding's sentence with its figures in the units shown, beginning with a capital. */
export function phraseWords(phrase: Phrase, show: Show): string {
  const text = phraseText(phrase, ({ quantity, si }) => show.computed(quantity, si))
  return text.charAt(0).toUpperCase() + text.slice(1)
}

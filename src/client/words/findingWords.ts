import { capital } from '../../core/units/capital.ts'
import { type Phrase, phraseText } from '../../core/units/phrase.ts'
import type { Show } from '../settings/show.ts'

/** A finding's sentence with its figures in the units shown, beginning with a capital. */
export function phraseWords(phrase: Phrase, show: Show): string {
  return capital(
    phraseText(phrase, (figure) =>
      figure.quantity === 'number' ? show.number(figure.si, figure.decimals) : show.computed(figure.quantity, figure.si),
    ),
  )
}

import { hasTide, type Mark } from '../../core/documents/mark.ts'
import { strongestOf } from '../../core/plan/assumedStream.ts'
import type { Show } from '../settings/show.ts'

/** What of a mark’s water is assumed and not measured, in sentences; none where all of it is known. */
export function assumedWords(mark: Mark, show: Show): string[] {
  const upTo = `up to ${show.computed('speed', strongestOf(mark.stream))}`
  const isKnown = hasTide(mark)
  return [
    ...(isKnown ? [] : ['The tide is unknown: the current counts as its strongest at every hour.']),
    ...(mark.streamFrom === 'words' ? [`The current is what you said it feels like, ${upTo}.`] : []),
    ...(mark.streamFrom === 'drift' ? [`The current is from one float, ${upTo}.`] : []),
    ...(isKnown && mark.portId === undefined
      ? ['The tides before and after those of your table are repeated. A table of under two weeks counts as springs.']
      : []),
  ]
}

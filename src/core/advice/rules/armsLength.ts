import { say } from '../../units/phrase.ts'
import type { Rule } from '../finding.ts'

const GUESSES = /\b(?:arm|hand|rod)[’']?s?[’']?[\s-]*(?:length|span)s?\b/i

/** A length by the body is no measure: an arm's length is 0.7 m to one and 1.8 m to another. */
export const armsLength: Rule = {
  id: 'arms-length',
  check: ({ setup: { trace } }) => {
    const guess = GUESSES.exec(trace.notes ?? '')?.[0]
    return guess
      ? [
          {
            severity: 'note',
            why: say`The notes say “${guess}”. Measure it once: it can be 0.7 m or 1.8 m.`,
            figure: 1,
            remedies: [],
          },
        ]
      : []
  },
}

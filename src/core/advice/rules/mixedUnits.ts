import { say } from '../../units/phrase.ts'
import type { Rule } from '../finding.ts'

const PAIRS: readonly [RegExp, RegExp, string][] = [
  [/\d\s*(lb|lbs|pounds?)\b/i, /\d\s*(kg|kilos?)\b/i, 'pounds beside kilograms'],
  [/\d\s*(oz|ounces?)\b/i, /\d\s*(g|grams?)\b/i, 'ounces beside grams'],
  [/\d\s*(ft|feet|foot|fathoms?|yd|yards?|in|inch|inches)\b/i, /\d\s*(m|metres?|cm)\b/i, 'feet beside metres'],
]

/** Units mixed in one trace's notes are how mistakes are copied on. */
export const mixedUnits: Rule = {
  id: 'mixed-units',
  check: ({ setup: { trace } }) =>
    PAIRS.flatMap(([one, other, words]) =>
      trace.notes && one.test(trace.notes) && other.test(trace.notes)
        ? [
            {
              subject: words,
              severity: 'note' as const,
              why: say`The notes have ${words}. Use one unit to avoid mistakes.`,
              figure: 1,
              remedies: [],
            },
          ]
        : [],
    ),
}

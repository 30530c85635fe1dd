import { hungFrom, isLine, parentId } from '../../documents/pieces.ts'
import { OUTFIT } from '../../documents/vocabulary.ts'
import { removePart } from '../../edit/removePart.ts'
import { say } from '../../units/phrase.ts'
import type { Rule } from '../finding.ts'
import { byEdit, called } from '../remedies.ts'

/** A doubled end at the sinker is believed to double the strength; the single strand above it still carries it all. */
export const doubledLoop: Rule = {
  id: 'doubled-loop',
  check: ({ setup }) =>
    setup.trace.pieces.flatMap((double) => {
      const { trace } = setup
      if (!isLine(double) || double.role !== 'double' || parentId(double.attach) === OUTFIT) return []
      const atSinker = hungFrom(trace, double.id).some(({ role }) => role === 'sinker')
      if (!atSinker) return []
      return [
        {
          subject: double.id,
          severity: 'note',
          why: say`${called(trace, double.id)} before the sinker does not make the single line above it stronger. Its knot makes it weaker.`,
          figure: 1,
          remedies: [byEdit('tie the sinker to the single strand', () => removePart(setup, double.id, { below: false }))],
        },
      ]
    }),
}

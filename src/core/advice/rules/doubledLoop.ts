import { removePart } from '../../trace/redraw/removePart.ts'
import { isLine, OUTFIT, parentId } from '../../trace/schema.ts'
import type { Rule } from '../finding.ts'
import { say } from '../phrase.ts'
import { called, redrawn } from '../remedies.ts'

/** A doubled end at the sinker is believed to double the strength; the single strand above it still carries it all. */
export const doubledLoop: Rule = {
  id: 'doubled-loop',
  check: ({ workings: { trace, outfit } }) =>
    trace.pieces.flatMap((double) => {
      if (!isLine(double) || double.role !== 'double' || parentId(double.attach) === OUTFIT) return []
      const atSinker = trace.pieces.some((piece) => piece.role === 'sinker' && parentId(piece.attach) === double.id)
      if (!atSinker) return []
      return [
        {
          subject: double.id,
          severity: 'note',
          why: say`${called(trace, double.id)} before the sinker does not strengthen the single strand above it; its own knot makes that weaker.`,
          figure: 1,
          remedies: [
            redrawn('tie the sinker to the single strand', () => removePart(trace, outfit, double.id, { below: false })),
          ],
        },
      ]
    }),
}

import { addPart } from '../../edit/addPart.ts'
import { ridesOn, upperStop } from '../../edit/along.ts'
import { say } from '../../units/phrase.ts'
import type { Rule } from '../finding.ts'
import { byEdit, called } from '../remedies.ts'

/** A weight that slides free of its lure falls into cracks of rough ground while the lure hangs outside. */
export const weightPartsFromLure: Rule = {
  id: 'weight-parts-from-lure',
  check: ({ setup }) => {
    const { trace, conditions } = setup
    if (conditions.water?.bed !== 'rock' || !trace.pieces.some(({ role }) => role === 'lure')) return []
    return trace.pieces.flatMap((sinker) => {
      const line = ridesOn(sinker)
      if (sinker.role !== 'sinker' || sinker.attach.how !== 'sliding' || line === undefined) return []
      if (upperStop(trace, sinker) !== undefined) return []
      const { atM } = sinker.attach
      return [
        {
          subject: sinker.id,
          severity: 'caution' as const,
          why: say`${called(trace, sinker.id)} slides free of the lure. In rough ground it falls into cracks and snags.`,
          figure: 1,
          remedies: [
            byEdit('peg it with a rubber stop', () =>
              addPart(setup, { at: 'along', line, downM: Math.max(0, atM - 0.02) }, 'rubberStop'),
            ),
          ],
        },
      ]
    })
  },
}

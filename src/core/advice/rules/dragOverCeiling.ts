import { withinHalfPoundsN } from '../../units/halfPounds.ts'
import { say, strength } from '../../units/phrase.ts'
import type { Rule } from '../finding.ts'

/** The drag set is more than the chain is allowed. */
export const dragOverCeiling: Rule = {
  id: 'drag-over-ceiling',
  check: ({ moments: { run }, setup: { conditions } }) => {
    if (!run || run.deciding.byDrag === 'holds') return []
    const safeN = withinHalfPoundsN(0.9 * run.figure.value)
    return [
      {
        severity: run.deciding.byDrag === 'fails' ? 'fault' : 'caution',
        why: say`The drag is set to ${strength(conditions.dragN)}; the chain holds ${strength(run.figure.value)} with this line out.`,
        figure: 1 / run.margin,
        remedies:
          safeN > 0
            ? [
                {
                  label: 'set the drag below what the chain holds',
                  make: () => ({ conditions: { ...conditions, dragN: safeN } }),
                },
              ]
            : [],
      },
    ]
  },
}

import { givenDrag } from '../../setup/drag.ts'
import { say } from '../../units/phrase.ts'
import type { Rule } from '../finding.ts'

/** The drag set is more than the reel can hold. */
export const dragOverReel: Rule = {
  id: 'drag-over-reel',
  check: ({ setup: { conditions, outfit } }) => {
    const share = conditions.dragN / outfit.reel.highestDragN
    if (share <= 1) return []
    return [
      {
        severity: 'caution',
        why: say`The drag set is ${(share * 100).toFixed(0)} % of the highest drag of the reel.`,
        figure: share,
        remedies: [
          {
            label: 'set the drag to the highest of the reel',
            make: () => ({ conditions: { ...conditions, ...givenDrag(outfit.reel.highestDragN) } }),
          },
        ],
      },
    ]
  },
}

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
        why: say`The drag set is ${(share * 100).toFixed(0)} % of the most the reel can hold.`,
        figure: share,
        remedies: [
          {
            label: 'set the drag to what the reel holds',
            make: () => ({ conditions: { ...conditions, dragN: outfit.reel.highestDragN } }),
          },
        ],
      },
    ]
  },
}

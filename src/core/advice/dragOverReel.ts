import type { Rule } from './advice.ts'

/** The drag set is more than the reel can hold. */
export const dragOverReel: Rule = ({ conditions, outfit }) => {
  const share = conditions.dragN / outfit.reel.highestDragN
  if (share <= 1) return undefined
  return {
    id: 'drag-over-reel',
    severity: 'caution',
    why: `The drag set is ${(share * 100).toFixed(0)} % of the most the reel can hold.`,
  }
}

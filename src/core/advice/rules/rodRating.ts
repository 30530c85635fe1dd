import { mainLine } from '../../setup/outfitLines.ts'
import type { Rule } from '../finding.ts'
import { say, strength } from '../phrase.ts'

/** Line above the rod's rating, or at the top of it. */
export const rodRating: Rule = {
  id: 'rod-rating',
  check: ({ setup: { outfit } }) => {
    const share = mainLine(outfit).strengthN / outfit.rod.ratingHighN
    if (share < 0.98) return []
    return [
      {
        severity: share > 1.02 ? 'caution' : 'note',
        why: say`The main line is ${strength(mainLine(outfit).strengthN)}, ${share > 1.02 ? 'above' : 'at the top of'} the rod’s rating of ${strength(outfit.rod.ratingLowN)} to ${strength(outfit.rod.ratingHighN)}.`,
        figure: share,
        remedies: [],
      },
    ]
  },
}

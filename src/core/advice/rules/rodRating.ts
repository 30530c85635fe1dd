import { mainLine } from '../../outfits/outfitLines.ts'
import { say, strength } from '../../units/phrase.ts'
import type { Rule } from '../finding.ts'

/** Share of the rating’s lower end under which the line is too light for the rod. Ours. */
const MIN_OF_RATING = 0.75

/** Line above the rod’s rating, at the top of it, or well under it. */
export const rodRating: Rule = {
  id: 'rod-rating',
  check: ({ setup: { outfit } }) => {
    const share = mainLine(outfit).strengthN / outfit.rod.ratingHighN
    const under = mainLine(outfit).strengthN / outfit.rod.ratingLowN
    if (under < MIN_OF_RATING)
      return [
        {
          severity: 'note',
          why: say`The main line is ${strength(mainLine(outfit).strengthN)}, under the rod’s rating of ${strength(outfit.rod.ratingLowN)} to ${strength(outfit.rod.ratingHighN)}. The line breaks before the rod bends.`,
          figure: 1 / under,
          remedies: [],
        },
      ]
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

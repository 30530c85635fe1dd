import { CoreError } from '../../errors.ts'
import { towOf } from '../../setup/moving/tow.ts'
import { apartOf, legsOf, TANGLES_UNDER_M, trolledAt } from '../../setup/moving/trolled.ts'
import { length, say } from '../../units/phrase.ts'
import type { Rule } from '../finding.ts'
import { called } from '../remedies.ts'

/** Two legs of a trace that is towed swim into each other. */
export const legsMeet: Rule = {
  id: 'legs-meet',
  check: ({ setup }) => {
    const { moving } = setup.conditions
    if (moving?.way !== 'trolled') return []
    try {
      const legs = legsOf(setup.trace, trolledAt(towOf(setup), moving).places)
      if (!legs) return []
      const { apartM } = apartOf(...legs)
      if (apartM >= TANGLES_UNDER_M.legs) return []
      const [first, second] = legs.map(({ id }) => called(setup.trace, id))
      return [
        {
          subject: legs[1].id,
          severity: 'caution',
          why: say`${first!} and ${second!} swim ${length(apartM)} from each other: they tangle. Another weight or a longer leg parts them.`,
          figure: TANGLES_UNDER_M.legs / Math.max(apartM, 1e-3),
          remedies: [],
        },
      ]
    } catch (error) {
      if (error instanceof CoreError) return []
      throw error
    }
  },
}

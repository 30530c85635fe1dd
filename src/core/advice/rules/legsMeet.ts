import { CoreError } from '../../errors.ts'
import { towOf } from '../../setup/moving/tow.ts'
import { legsOnCourse, TANGLES_UNDER_M } from '../../setup/moving/trolled.ts'
import { length, say } from '../../units/phrase.ts'
import type { Rule } from '../finding.ts'
import { called } from '../remedies.ts'

/** Two legs of a trace that is towed swim into each other, straight on or in a turn. */
export const legsMeet: Rule = {
  id: 'legs-meet',
  check: ({ setup }) => {
    const { moving } = setup.conditions
    if (moving?.way !== 'trolled') return []
    try {
      const [nearest] = legsOnCourse(setup.trace, towOf(setup), moving).toSorted((a, b) => a.apartM - b.apartM)
      if (!nearest || nearest.apartM >= TANGLES_UNDER_M.legs) return []
      const { on, one, other, apartM } = nearest
      const [first, second] = [one, other].map(({ id }) => called(setup.trace, id))
      return [
        {
          subject: other.id,
          severity: 'caution',
          why: say`${first!} and ${second!} swim ${length(apartM)} apart${on === 'straight' ? '' : ' in a turn'}. They will tangle. Use another weight or a longer leg.`,
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

import { labelAtLeastN } from '../../catalogue/labels.ts'
import { withClip } from '../../edit/changes.ts'
import { CAST_OVER_PEAK } from '../../moments/thresholds.ts'
import { figure, say } from '../../units/phrase.ts'
import { gentlerCast } from '../castRemedies.ts'
import type { Rule } from '../finding.ts'
import { called } from '../remedies.ts'

/** A weak link that the cast breaks, and no clip carries past. */
export const weakLinkTooThinToCast: Rule = {
  id: 'weak-link-too-thin-to-cast',
  explains: ['cast'],
  check: (judged) => {
    const {
      moments: { cast },
      setup,
    } = judged
    if (!cast?.weakLink || cast.weakLink.bridged || cast.weakLink.overPeak >= CAST_OVER_PEAK.holds) return []
    const { overPeak, id } = cast.weakLink
    return [
      {
        subject: id,
        severity: overPeak < CAST_OVER_PEAK.watch ? 'fault' : 'caution',
        why: say`${called(setup.trace, id)} holds only ${figure(overPeak, 1)} times the peak of the cast. A sinker that breaks off can kill.`,
        figure: CAST_OVER_PEAK.holds / overPeak,
        remedies: [
          {
            label: 'add a release clip that carries the cast',
            make: () => ({ trace: withClip(setup.trace, cast.carrier, labelAtLeastN(4 * cast.peakN)) }),
          },
          ...gentlerCast(judged),
        ],
      },
    ]
  },
}

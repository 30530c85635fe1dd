import { labelAtLeastN } from '../../gear/labels.ts'
import { withClip } from '../../trace/edit.ts'
import type { Rule } from '../finding.ts'
import { say } from '../phrase.ts'
import { called } from '../remedies.ts'
import { gentlerCast } from './castTooHard.ts'

/** A weak link that the cast breaks, and no clip carries past. */
export const weakLinkTooThinToCast: Rule = {
  id: 'weak-link-too-thin-to-cast',
  check: (judged) => {
    const { cast, workings } = judged
    if (!cast?.weakLink || cast.weakLink.bridged || cast.weakLink.overPeak >= 3) return []
    const { overPeak, id } = cast.weakLink
    return [
      {
        subject: id,
        severity: overPeak < 2 ? 'fault' : 'caution',
        why: say`${called(workings.trace, id)} bears only ${overPeak.toFixed(1)} times the peak of the cast: a lead that breaks off can kill.`,
        figure: 3 / overPeak,
        remedies: [
          {
            label: 'add a release clip that carries the cast',
            make: () => ({ trace: withClip(workings.trace, cast.end, labelAtLeastN(4 * cast.peakN)) }),
          },
          ...gentlerCast(judged),
        ],
      },
    ]
  },
}

import { labelAtMostN } from '../../catalogue/labels.ts'
import { lineById } from '../../documents/pieces.ts'
import { withClip } from '../../edit/changes.ts'
import { say } from '../../units/phrase.ts'
import { type Rule, SEVERITY_OF } from '../finding.ts'
import { called, restrung } from '../remedies.ts'

/** Share of the weakest of the rest that a weak link is stepped down to. */
const WELL_UNDER = 0.6

/** A weak link that does not go first is none. */
export const weakLinkNotWeaker: Rule = {
  id: 'weak-link-not-weaker',
  explains: ['snag'],
  check: (judged) => {
    const { trace } = judged.setup
    const line = lineById(trace, trace.weakLink)
    const path = judged.moments.snag?.paths.find(({ wanted, verdict }) => wanted === 'weakLink' && verdict !== 'holds')
    if (!line || !path?.weakLinkShare) return []
    const label = labelAtMostN((line.strengthN * WELL_UNDER) / path.weakLinkShare)
    const thinner = restrung(judged, line, label, `use a lighter line for ${called(trace, line.id)}, so it breaks first`)
    return [
      {
        subject: line.id,
        severity: SEVERITY_OF[path.verdict],
        why: say`${called(trace, line.id)} should break on a snag, but has ${Math.round(path.weakLinkShare * 100)} % of the weakest link above it. It breaks first in ${Math.round(path.chance * 100)} of 100 snags.`,
        figure: 1 - path.chance,
        remedies: [
          thinner,
          {
            label: `${thinner.label}, with a release clip for the cast`,
            make: () => {
              const thinned = thinner.make()?.trace
              return thinned && { trace: withClip(thinned, path.end) }
            },
          },
        ],
      },
    ]
  },
}

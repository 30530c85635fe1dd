import { judgePrepared } from '../../moments/judge.ts'
import { SAFE_SURVIVAL } from '../../moments/thresholds.ts'
import { givenDrag, UNDER_CEILING } from '../../setup/drag.ts'
import { withinHalfPoundsN } from '../../units/halfPounds.ts'
import { say, strength } from '../../units/phrase.ts'
import { type Rule, SEVERITY_OF } from '../finding.ts'
import { easedDragN, partsOfLink } from '../remedies.ts'

/** A drag that is shown as the same figure as the highest safe one. */
const isAtCeiling = (over: number): boolean => over > 1 && over < 1.02

/** The drag set is more than the chain is allowed, or leaves too large a chance that something breaks. */
export const dragOverCeiling: Rule = {
  id: 'drag-over-ceiling',
  explains: ['run', 'hand'],
  check: (judged) => {
    const {
      moments: { run },
      setup,
    } = judged
    if (!run || run.deciding.byDrag === 'holds') return []
    const { drag, survival, byDrag } = run.deciding
    const { conditions } = setup
    const holds = (dragN: number) =>
      judgePrepared({ ...setup, conditions: { ...conditions, dragN } }, ['run']).moments.run?.deciding.byDrag === 'holds'
    const overCeiling = drag.ceilingN < conditions.dragN
    return [
      {
        about: partsOfLink(judged, run.deciding.weakest),
        severity: SEVERITY_OF[byDrag],
        why: isAtCeiling(conditions.dragN / drag.ceilingN)
          ? say`The drag is set to ${strength(conditions.dragN)}, and the chain holds no more than that with this line out.`
          : overCeiling
            ? say`The drag is set to ${strength(conditions.dragN)}; the chain holds ${strength(drag.ceilingN)} with this line out.`
            : say`With the drag at ${strength(conditions.dragN)} a run pulls up to ${strength(drag.peakN)}. The chain breaks ${Math.ceil((1 - survival) * 100)} times in 100; up to ${Math.round((1 - SAFE_SURVIVAL) * 100)} are safe.`,
        figure: overCeiling ? conditions.dragN / drag.ceilingN : SAFE_SURVIVAL / survival,
        remedies: [
          {
            label: 'set the drag lower',
            make: () => {
              const dragN = withinHalfPoundsN(UNDER_CEILING * easedDragN(conditions.dragN, holds))
              return dragN > 0 ? { conditions: { ...conditions, ...givenDrag(dragN) } } : undefined
            },
          },
        ],
      },
    ]
  },
}

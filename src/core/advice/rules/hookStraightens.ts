import { hookDimensions, straighteningLoadN } from '../../catalogue/hooks.ts'
import { worseVerdict } from '../../moments/moment.ts'
import { withA } from '../../setup/names.ts'
import { say, strength } from '../../units/phrase.ts'
import { type Rule, SEVERITY_OF } from '../finding.ts'
import { called, ownPiece, withHooks } from '../remedies.ts'

/** A hook opens under the drag as set, or holds too little over it. */
export const hookStraightens: Rule = {
  id: 'hook-straightens',
  explains: ['take', 'run'],
  check: (judged) => {
    const {
      moments: { run, take },
      setup,
    } = judged
    const { catalogue } = setup
    const { hooks = [] } = take ?? {}
    return (run?.paths ?? []).flatMap(({ end, links, weakest, drag, byDrag }) => {
      const hook = ownPiece(judged, end)
      if (hook?.role !== 'hook') return []
      const baited = hooks.find((each) => each.hook.id === end)
      const margin = baited?.graded.find(({ cause }) => cause === 'straightenMargin')
      const opensFirst = weakest.id === hook.id ? byDrag : 'holds'
      const verdict = worseVerdict(margin?.verdict ?? 'holds', opensFirst)
      if (verdict === 'holds') return []
      const opensN = links.find(({ id }) => id === hook.id)?.strengthN
      if (opensN === undefined) return []
      const neededN = Math.max(
        opensFirst === 'holds' ? 0 : (setup.conditions.dragN * weakest.strengthN) / drag.ceilingN,
        margin && margin.verdict !== 'holds' ? opensN / margin.margin : 0,
      )
      const size = catalogue.hooks.sizes.find((each) => {
        const dimensions = hookDimensions(catalogue, hook.pattern, each)
        return dimensions !== undefined && straighteningLoadN(dimensions.wireM, dimensions.gapeM) > neededN
      })
      return [
        {
          subject: hook.id,
          severity: SEVERITY_OF[verdict],
          why: say`${called(setup.trace, hook.id)} opens at ${strength(opensN)}. With this drag it should hold ${strength(neededN)}.`,
          figure: neededN / opensN,
          remedies: size
            ? [
                {
                  label: `use ${withA(size)}`,
                  make: () => ({ trace: withHooks(setup.trace, [hook.id], { size }) }),
                },
              ]
            : [],
        },
      ]
    })
  },
}

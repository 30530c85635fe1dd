import { hookDimensions, straighteningLoadN } from '../../catalogue/hooks.ts'
import { withA } from '../../setup/names.ts'
import { say, strength } from '../../units/phrase.ts'
import type { Rule } from '../finding.ts'
import { called, ownPiece, withHooks } from '../remedies.ts'

/** The hook straightens before anything breaks, under the drag as set. */
export const hookStraightens: Rule = {
  id: 'hook-straightens',
  check: (judged) => {
    const {
      moments: { run },
      setup,
    } = judged
    const { catalogue } = setup
    return (run?.paths ?? []).flatMap(({ end, weakest, verdict, drag }) => {
      const hook = ownPiece(judged, end)
      if (hook?.role !== 'hook' || weakest.id !== hook.id || verdict === 'holds') return []
      const neededN = (setup.conditions.dragN * weakest.strengthN) / drag.ceilingN
      const size = catalogue.hooks.sizes.find((each) => {
        const dimensions = hookDimensions(catalogue, hook.pattern, each)
        return dimensions !== undefined && straighteningLoadN(dimensions.wireM, dimensions.gapeM) > neededN
      })
      return [
        {
          subject: hook.id,
          severity: 'caution' as const,
          why: say`${called(setup.trace, hook.id)} opens at ${strength(weakest.strengthN)}, before anything else breaks.`,
          figure: neededN / weakest.strengthN,
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

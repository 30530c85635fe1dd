import { HOOK_SIZES, hookDimensions, straighteningLoadN } from '../../gear/hooks.ts'
import { withPiece } from '../../trace/edit.ts'
import type { HookPiece } from '../../trace/schema.ts'
import type { Rule } from '../finding.ts'
import { say, strength } from '../phrase.ts'
import { called, pieceOf } from '../remedies.ts'

/** The hook straightens before anything breaks, under the drag as set. */
export const hookStraightens: Rule = {
  id: 'hook-straightens',
  check: (judged) => {
    const { run, workings } = judged
    return (run?.paths ?? []).flatMap(({ end, weakest, verdict }) => {
      const hook = pieceOf(judged, end)
      if (hook?.role !== 'hook' || weakest.id !== hook.id || verdict === 'holds') return []
      const neededN = (workings.conditions.dragN * weakest.strengthN) / run!.figure.value
      const size = HOOK_SIZES.find((each) => {
        const dimensions = hookDimensions(hook.pattern, each)
        return dimensions !== undefined && straighteningLoadN(dimensions.wireM, dimensions.gapeM) > neededN
      })
      return [
        {
          subject: hook.id,
          severity: 'caution' as const,
          why: say`${called(workings.trace, hook.id)} straightens at ${strength(weakest.strengthN)}, before anything else gives.`,
          figure: neededN / weakest.strengthN,
          remedies: size
            ? [
                {
                  label: `take a ${size}`,
                  make: () => ({
                    trace: withPiece(workings.trace, hook.id, (old) => {
                      const { gapeM: _gape, wireM: _wire, ...rest } = old as HookPiece
                      return { ...rest, size }
                    }),
                  }),
                },
              ]
            : [],
        },
      ]
    })
  },
}

import { hookDimensions } from '../../catalogue/hooks.ts'
import { coversWell } from '../../moments/take.ts'
import { COVERAGE } from '../../moments/thresholds.ts'
import { hookGang } from '../../physics/hooking/hookGang.ts'
import { say } from '../../units/phrase.ts'
import type { Rule } from '../finding.ts'
import { called, withHooks } from '../remedies.ts'

/** Linked hooks that hold too little of their bait, or reach past it. */
export const hooksOffBait: Rule = {
  id: 'hooks-off-bait',
  explains: ['take'],
  check: ({ setup: { trace, catalogue }, moments: { take } }) =>
    (take?.hooks ?? []).flatMap(({ hook, hooks, gang, body }) => {
      if (!gang || coversWell(gang.coverage)) return []
      const size = catalogue.hooks.sizes.find((each) => {
        const hookPitchM = hookDimensions(catalogue, hook.pattern, each)?.pitchM ?? 0
        const links = { baitLengthM: body.lengthM, linkLengthM: gang.linkM, count: hooks.length }
        return coversWell(hookGang({ ...links, hookPitchM }).coverage)
      })
      return [
        {
          subject: hook.id,
          severity: 'caution' as const,
          why: say`The hooks down to ${called(trace, hook.id)} span ${(100 * gang.coverage).toFixed(0)} % of the bait; ${100 * COVERAGE.least} to ${100 * COVERAGE.most} % hold it best.`,
          figure: Math.max(COVERAGE.least / gang.coverage, gang.coverage / COVERAGE.most),
          remedies: size
            ? [
                {
                  label: `use hooks of ${size}`,
                  make: () => ({
                    trace: withHooks(
                      trace,
                      hooks.map(({ id }) => id),
                      { size },
                    ),
                  }),
                },
              ]
            : [],
        },
      ]
    }),
}

import { LIVE_MASS_SHARE } from '../../catalogue/hookSuggest.ts'
import { hookDimensions } from '../../catalogue/hooks.ts'
import { withA } from '../../setup/names.ts'
import { say } from '../../units/phrase.ts'
import type { Rule } from '../finding.ts'
import { called, withHooks } from '../remedies.ts'

/** A live bait swims only if the hook is light. */
export const hookTiresBait: Rule = {
  id: 'hook-tires-bait',
  check: ({ setup: { trace, catalogue }, moments: { take } }) =>
    (take?.hooks ?? []).flatMap(({ hook, body, fit }) => {
      if (!body.alive || fit.massShare <= LIVE_MASS_SHARE.watch) return []
      const size = catalogue.hooks.sizes.findLast(
        (each) => (hookDimensions(catalogue, hook.pattern, each)?.massKg ?? 1) <= LIVE_MASS_SHARE.holds * body.massKg,
      )
      return [
        {
          subject: hook.id,
          severity: 'note',
          why: say`${called(trace, hook.id)} weighs ${(fit.massShare * 100).toFixed(0)} % of its bait. Over ${100 * LIVE_MASS_SHARE.watch} %.`,
          figure: fit.massShare / LIVE_MASS_SHARE.watch,
          remedies: size
            ? [
                {
                  label: `use ${withA(size)}, if the bait is fished alive`,
                  make: () => ({ trace: withHooks(trace, [hook.id], { size }) }),
                },
              ]
            : [],
        },
      ]
    }),
}

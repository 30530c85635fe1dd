import { LIVE_MASS_SHARE } from '../../catalogue/hookSuggest.ts'
import { hookDimensions } from '../../catalogue/hooks.ts'
import { withA } from '../../setup/names.ts'
import { figure, say } from '../../units/phrase.ts'
import { type Rule, SEVERITY_OF } from '../finding.ts'
import { called, withHooks } from '../remedies.ts'

/** A live bait swims only if the hook is light. */
export const hookTiresBait: Rule = {
  id: 'hook-tires-bait',
  explains: ['take'],
  check: ({ setup: { trace, catalogue }, moments: { take } }) =>
    (take?.hooks ?? []).flatMap(({ hook, body, fit, graded }) => {
      const heavy = graded.find(({ cause }) => cause === 'massShare')
      if (!heavy || heavy.verdict === 'holds') return []
      const size = catalogue.hooks.sizes.findLast(
        (each) => (hookDimensions(catalogue, hook.pattern, each)?.massKg ?? 1) <= LIVE_MASS_SHARE.holds * body.massKg,
      )
      return [
        {
          subject: hook.id,
          severity: SEVERITY_OF[heavy.verdict],
          why: say`${called(trace, hook.id)} weighs ${figure(fit.massShare * 100, 1)} % of its live bait and tires it; up to ${100 * LIVE_MASS_SHARE.holds} % swims well.`,
          figure: fit.massShare / LIVE_MASS_SHARE.holds,
          remedies: size
            ? [
                {
                  label: `use ${withA(size)}`,
                  make: () => ({ trace: withHooks(trace, [hook.id], { size }) }),
                },
              ]
            : [],
        },
      ]
    }),
}

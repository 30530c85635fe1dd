import { hookSuggest } from '../../catalogue/hookSuggest.ts'
import type { HookPiece } from '../../documents/trace.ts'
import { withA } from '../../setup/names.ts'
import { say } from '../../units/phrase.ts'
import { type Remedy, type Rule, SEVERITY_OF } from '../finding.ts'
import { called, withHooks } from '../remedies.ts'

/** The bait fills the gap of its hook: the point does not find the fish. */
export const gapFilled: Rule = {
  id: 'gap-filled',
  explains: ['take'],
  check: ({ setup: { trace, catalogue }, moments: { take } }) =>
    (take?.hooks ?? []).flatMap(({ hook, hooks, fit, graded, wanted }) => {
      const gap = graded.find(({ cause }) => cause === 'freeGape')
      if (!gap || gap.verdict === 'holds') return []
      const sized = (pattern: HookPiece['pattern']): Remedy[] => {
        const [best] = hookSuggest(catalogue, { ...wanted, pattern }).sizes
        if (!best || (best.size === hook.size && pattern === hook.pattern)) return []
        return [
          {
            label: `use ${withA(best.size)}${pattern === hook.pattern ? '' : ` ${catalogue.hooks.patterns[pattern].name}`}`,
            make: () => ({
              trace: withHooks(
                trace,
                hooks.map(({ id }) => id),
                { size: best.size, pattern },
              ),
            }),
          },
        ]
      }
      return [
        {
          subject: hook.id,
          severity: SEVERITY_OF[gap.verdict],
          why:
            fit.freeGape < 0
              ? say`The bait is thicker than the gap of ${called(trace, hook.id)}. The point cannot turn.`
              : say`The bait leaves ${(100 * fit.freeGape).toFixed(0)} % of the gap of ${called(trace, hook.id)} open; the point needs half.`,
          figure: 1 - fit.freeGape,
          remedies: [...sized(hook.pattern), ...(hook.pattern === 'j' ? [] : sized('j'))],
        },
      ]
    }),
}

import { isCircle } from '../../catalogue/hooks.ts'
import { say } from '../../units/phrase.ts'
import type { Rule } from '../finding.ts'
import { called, withHooks } from '../remedies.ts'
import { asWide } from './circleRequired.ts'

/** A hook of the other school than the fish asks for: one that is taken deep for a fish that goes back, a circle for one said to shake it out. */
export const hookKindForFish: Rule = {
  id: 'hook-kind-for-fish',
  explains: ['take'],
  check: (judged) => {
    const { trace, conditions } = judged.setup
    const name = conditions.target?.name ?? 'the fish'
    return (judged.moments.take?.hooks ?? []).flatMap(({ hook, graded }) => {
      if (graded.every(({ cause }) => cause !== 'kind')) return []
      const circle = isCircle(hook.pattern)
      return [
        {
          subject: hook.id,
          severity: 'caution' as const,
          why: circle
            ? say`${name} may throw circle hooks; a J hook that you strike holds it better.`
            : say`${name} is released, and ${called(trace, hook.id)} hooks deep. A circle hook holds in the corner of the jaw.`,
          figure: 1,
          remedies: circle
            ? []
            : [
                {
                  label: 'use a circle hook with the same gap',
                  make: () => ({
                    trace: withHooks(trace, [hook.id], { pattern: 'circle', size: asWide(hook, 'circle', judged) }),
                  }),
                },
              ],
        },
      ]
    })
  },
}

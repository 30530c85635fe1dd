import { isCircle } from '../../catalogue/hooks.ts'
import { hookPieces } from '../../documents/pieces.ts'
import { leastLengthM } from '../../purpose/hookKind.ts'
import { length, say } from '../../units/phrase.ts'
import type { Rule } from '../finding.ts'
import { withHooks } from '../remedies.ts'
import { asWide } from './circleRequired.ts'

/** A usual fish of its kind is under the least size of the rule in force and goes back: hooks that are taken deep hurt it. */
export const underLeastSize: Rule = {
  id: 'under-least-size',
  check: (judged) => {
    const { ruleSet, setup } = judged
    const { target } = setup.conditions
    const leastM = target && leastLengthM(target, ruleSet)
    if (!ruleSet || !target || leastM === undefined || target.typicalLengthM >= leastM) return []
    const deep = hookPieces(setup.trace).filter(({ pattern }) => !isCircle(pattern))
    if (deep.length === 0) return []
    return [
      {
        severity: 'note',
        why: say`A usual ${target.name} of ${length(target.typicalLengthM)} is under the ${length(leastM)} of “${ruleSet.name}”, last checked ${ruleSet.checkedOn}, and must be released. A circle hook harms it least.`,
        figure: leastM / target.typicalLengthM,
        remedies: [
          {
            label: 'use circle hooks with the same gap',
            make: () => ({
              trace: deep.reduce(
                (trace, hook) => withHooks(trace, [hook.id], { pattern: 'circle', size: asWide(hook, 'circle', judged) }),
                setup.trace,
              ),
            }),
          },
        ],
      },
    ]
  },
}

import { withPiece } from '../../trace/edit.ts'
import type { Rule } from '../finding.ts'
import { say } from '../phrase.ts'
import { called } from '../remedies.ts'

/** Hooks that are not circles where circles are required. */
export const circleRequired: Rule = {
  id: 'circle-required',
  check: ({ ruleSet, workings: { trace } }) =>
    trace.pieces.flatMap((hook) =>
      ruleSet?.circleOnly && hook.role === 'hook' && hook.pattern !== 'circle'
        ? [
            {
              subject: hook.id,
              severity: 'caution' as const,
              why: say`“${ruleSet.name}” asks for circle hooks, and ${called(trace, hook.id)} is none. Last checked ${ruleSet.checkedOn}.`,
              figure: 1,
              remedies: [
                {
                  label: 'take a circle of that size',
                  make: () => ({ trace: withPiece(trace, hook.id, (old) => ({ ...old, pattern: 'circle' }) as typeof hook) }),
                },
              ],
            },
          ]
        : [],
    ),
}

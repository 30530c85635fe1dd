import { isCircle } from '../../catalogue/hooks.ts'
import { withFields } from '../../edit/changes.ts'
import { say } from '../../units/phrase.ts'
import type { Rule } from '../finding.ts'
import { called } from '../remedies.ts'

/** A circle with its point bent off its plane: it hooks deeper, and bending has weakened its wire. */
export const bentCircle: Rule = {
  id: 'bent-circle',
  check: ({ setup: { trace } }) =>
    trace.pieces.flatMap((hook) =>
      hook.role === 'hook' && hook.offset && isCircle(hook.pattern)
        ? [
            {
              subject: hook.id,
              severity: 'note' as const,
              why: say`${called(trace, hook.id)} is a circle hook with an offset point. It holds deeper than the jaw and is weaker. Rules for straight circles do not allow it.`,
              figure: 1,
              remedies: [
                {
                  label: 'use a straight circle hook',
                  make: () => ({ trace: withFields(trace, hook.id, { offset: undefined }) }),
                },
              ],
            },
          ]
        : [],
    ),
}

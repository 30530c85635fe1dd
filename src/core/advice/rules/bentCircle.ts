import { isCircle } from '../../catalogue/hooks.ts'
import { withPiece } from '../../edit/changes.ts'
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
              why: say`${called(trace, hook.id)} is a circle with its point bent aside: it holds deeper than the jaw, the bend is weaker than it was, and it is barred where circles must be straight.`,
              figure: 1,
              remedies: [
                {
                  label: 'take a straight circle',
                  make: () => ({ trace: withPiece(trace, hook.id, (old) => ({ ...old, offset: undefined }) as typeof old) }),
                },
              ],
            },
          ]
        : [],
    ),
}

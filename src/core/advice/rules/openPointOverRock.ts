import { isOnHook } from '../../documents/pieces.ts'
import { withPiece } from '../../edit/changes.ts'
import { fishingModeOf } from '../../setup/fishingMode.ts'
import { say } from '../../units/phrase.ts'
import type { Rule } from '../finding.ts'
import { called } from '../remedies.ts'

/** A hook with an open point in a soft lure that is worked or dragged over rock or kelp: a weed guard keeps it free. */
export const openPointOverRock: Rule = {
  id: 'open-point-over-rock',
  check: ({ setup: { trace, conditions } }) => {
    const mode = fishingModeOf(trace)
    if (conditions.water?.bed !== 'rock' || (mode !== 'worked' && mode !== 'drags')) return []
    return trace.pieces.flatMap((hook) => {
      const isInLure = trace.pieces.some(
        (piece) =>
          piece.role === 'lure' && isOnHook(trace, piece) && piece.attach.how === 'joined' && piece.attach.to === hook.id,
      )
      if (hook.role !== 'hook' || !isInLure || hook.weedGuard || WEEDLESS.includes(hook.pattern)) return []
      return [
        {
          subject: hook.id,
          severity: 'note' as const,
          why: say`The point of ${called(trace, hook.id)} is open and is worked over rock or kelp. A weed guard keeps it free.`,
          figure: 1,
          remedies: [
            {
              label: 'use a hook with a weed guard',
              make: () => ({ trace: withPiece(trace, hook.id, (old) => ({ ...old, weedGuard: true }) as typeof hook) }),
            },
          ],
        },
      ]
    })
  },
}

/** Patterns whose point lies in the lure. */
const WEEDLESS: readonly string[] = ['wideGap', 'worm']

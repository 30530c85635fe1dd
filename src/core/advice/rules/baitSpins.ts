import { parentId } from '../../documents/pieces.ts'
import { addPart } from '../../edit/addPart.ts'
import { twistsOf } from '../../setup/settling/twist.ts'
import type { Rule } from '../finding.ts'
import { say } from '../phrase.ts'
import { byEdit, called } from '../remedies.ts'

/** A spinning bait with no swivel on its path twists the line. */
export const baitSpins: Rule = {
  id: 'bait-spins',
  check: ({ setup }) =>
    twistsOf(setup).flatMap(({ hookId, swivel }) => {
      if (swivel) return []
      const { trace } = setup
      const line = setup.tracePath(hookId).findLast((each) => each.kind === 'line')?.line
      return [
        {
          subject: hookId,
          severity: 'note',
          why: say`The bait on ${called(trace, hookId)} spins as it is wound in, and no swivel takes the twist.`,
          figure: 1,
          remedies: line
            ? [
                byEdit('put a ball-bearing swivel at the leader’s head', () =>
                  addPart(setup, { at: 'end', of: parentId(line.attach), takes: line.id }, 'ballBearingSwivel'),
                ),
              ]
            : [],
        },
      ]
    }),
}

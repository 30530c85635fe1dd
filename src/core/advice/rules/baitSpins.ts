import { twistsOf } from '../../settling/twist.ts'
import { addPart } from '../../trace/redraw/addPart.ts'
import { isLine, parentId } from '../../trace/schema.ts'
import type { Rule } from '../finding.ts'
import { say } from '../phrase.ts'
import { called, redrawn } from '../remedies.ts'

/** A spinning bait with no swivel on its path twists the line. */
export const baitSpins: Rule = {
  id: 'bait-spins',
  check: ({ workings: { trace, outfit, tracePath } }) =>
    twistsOf(trace, tracePath).flatMap(({ hookId, swivel }) => {
      if (swivel) return []
      const line = tracePath(hookId).findLast((each) => each.kind === 'line')
      return [
        {
          subject: hookId,
          severity: 'note',
          why: say`The bait on ${called(trace, hookId)} spins as it is wound in, and no swivel takes the twist.`,
          figure: 1,
          remedies:
            line && isLine(trace.pieces.find(({ id }) => id === line.id))
              ? [
                  redrawn('put a ball-bearing swivel at the leader’s head', () =>
                    addPart(
                      trace,
                      outfit,
                      { at: 'end', of: parentId(rootOf(trace, line.id)!.attach), takes: rootOf(trace, line.id)!.id },
                      'ballBearingSwivel',
                    ),
                  ),
                ]
              : [],
        },
      ]
    }),
}

/** The piece whose place a swivel takes: the line itself. */
const rootOf = (trace: { pieces: readonly Parameters<typeof isLine>[0][] }, id: string) =>
  trace.pieces.find((piece) => piece?.id === id)

import { addPart } from '../../trace/redraw/addPart.ts'
import { isLine, parentId } from '../../trace/schema.ts'
import type { Rule } from '../finding.ts'
import { say } from '../phrase.ts'
import { called, redrawn } from '../remedies.ts'

/** Baits that spin as they are wound in. */
const SPINS: readonly string[] = ['cuttlefishStrip', 'halfFish']
const TURNS: readonly string[] = ['swivel', 'rollingSwivel', 'ballBearingSwivel', 'threeWay', 'snapSwivel', 'boom']

/** A spinning bait with no swivel on its path twists the line. */
export const baitSpins: Rule = {
  id: 'bait-spins',
  check: ({ workings: { trace, outfit, ends, tracePath } }) =>
    trace.pieces.flatMap((bait) => {
      if (bait.role !== 'bait' || !SPINS.includes(bait.bait)) return []
      const hook = ends.find(({ id }) => id === parentId(bait.attach))
      if (!hook) return []
      const elements = tracePath(hook.id)
      if (elements.some((each) => each.kind === 'part' && each.piece.role === 'hardware' && TURNS.includes(each.piece.type)))
        return []
      const line = elements.findLast((each) => each.kind === 'line')
      return [
        {
          subject: hook.id,
          severity: 'note',
          why: say`The bait on ${called(trace, hook.id)} spins as it is wound in, and no swivel takes the twist.`,
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

import { turnsIn } from '../../build/cutList.ts'
import { connectionOf } from '../../gear/connections.ts'
import { withJoint } from '../../trace/edit.ts'
import { isLine, isTied, jointOf, parentId } from '../../trace/schema.ts'
import type { Rule } from '../finding.ts'
import { say } from '../phrase.ts'
import { called } from '../remedies.ts'

/** Share of the usual turns under which a wrapped knot is badly tied. */
const TOO_FEW = 0.7

/** A clinch with three wraps on light line, and the like: too few turns for the line's thickness. */
export const fewTurns: Rule = {
  id: 'few-turns',
  check: ({ workings: { trace } }) =>
    trace.pieces.flatMap((piece) => {
      const joint = jointOf(piece)
      const line = isLine(piece) ? piece : trace.pieces.find(({ id }) => id === parentId(piece.attach))
      if (!isTied(joint) || joint.turns === undefined || !isLine(line)) return []
      const usual = turnsIn({ connection: joint.connection }, line)
      if (usual === 0 || joint.turns >= TOO_FEW * usual) return []
      return [
        {
          subject: piece.id,
          severity: 'caution',
          why: say`The ${connectionOf(joint.connection).name} at ${called(trace, piece.id)} has ${joint.turns} turns; ${usual} are usual in this line.`,
          figure: usual / joint.turns,
          remedies: [
            {
              label: `tie it with ${usual} turns`,
              make: () => ({ trace: withJoint(trace, piece.id, ({ turns: _few, ...rest }) => rest) }),
            },
          ],
        },
      ]
    }),
}

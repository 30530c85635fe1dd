import { isLine, isTied, jointOf, lineById, parentId } from '../../documents/pieces.ts'
import { withJoint } from '../../edit/changes.ts'
import { turnsIn } from '../../setup/cutLength.ts'
import type { Rule } from '../finding.ts'
import { say } from '../phrase.ts'
import { called } from '../remedies.ts'

/** Share of the usual turns under which a wrapped knot is badly tied. */
const TOO_FEW = 0.7

/** A clinch with three wraps on light line, and the like: too few turns for the line's thickness. */
export const fewTurns: Rule = {
  id: 'few-turns',
  check: ({ setup: { trace, catalogue } }) =>
    trace.pieces.flatMap((piece) => {
      const joint = jointOf(piece)
      const line = isLine(piece) ? piece : lineById(trace, parentId(piece.attach))
      if (!isTied(joint) || joint.turns === undefined || !line) return []
      const usual = turnsIn(catalogue, { connection: joint.connection }, line)
      if (usual === 0 || joint.turns >= TOO_FEW * usual) return []
      return [
        {
          subject: piece.id,
          severity: 'caution',
          why: say`The ${catalogue.connections[joint.connection].name} at ${called(trace, piece.id)} has ${joint.turns} turns; ${usual} are usual in this line.`,
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

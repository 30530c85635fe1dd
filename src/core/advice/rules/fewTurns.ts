import type { LineSpec } from '../../catalogue/materials.ts'
import type { Joint } from '../../documents/fields.ts'
import { isLine, isTied, jointOf } from '../../documents/pieces.ts'
import { withJoint } from '../../edit/changes.ts'
import { usualTurns } from '../../setup/cutLength.ts'
import { say } from '../../units/phrase.ts'
import type { Judged, Rule } from '../finding.ts'
import { called, lineAbove } from '../remedies.ts'

/** Share of the usual turns under which a wrapped knot is badly tied. */
const TOO_FEW = 0.7

/** A clinch with three wraps on light line, and the like: too few turns for the line’s thickness, in the outfit’s own joints too. */
export const fewTurns: Rule = {
  id: 'few-turns',
  check: (judged) => {
    const { trace, outfit } = judged.setup
    const onTrace = trace.pieces.flatMap((piece) => {
      const joint = jointOf(piece)
      const lines = [lineAbove(judged, piece), isLine(piece) ? piece : undefined]
      return found(judged, joint, lines).map((few) => ({
        ...few,
        subject: piece.id,
        why: say`The ${few.name} at ${called(trace, piece.id)} has ${few.turns} turns; ${few.usual} are usual in this line.`,
        remedies: [
          {
            label: `tie it with ${few.usual} turns`,
            make: () => ({ trace: withJoint(trace, piece.id, ({ turns: _few, ...rest }) => rest) }),
          },
        ],
      }))
    })
    const onReel = outfit.wound.flatMap((line, i) => {
      const under = outfit.wound[i - 1]
      const few = [
        ...found(judged, line.joint, [under, line]),
        ...found(judged, line.doubled?.under, [under]),
        ...found(judged, line.doubled?.over, [line]),
      ]
      return few.map((each) => ({
        ...each,
        subject: line.role,
        why: say`The ${each.name} between the lines on the reel has ${each.turns} turns; ${each.usual} are usual. Change it in the outfit.`,
        remedies: [],
      }))
    })
    return [...onTrace, ...onReel].map(({ name: _name, turns: _turns, usual: _usual, ...finding }) => finding)
  },
}

function found({ setup: { catalogue } }: Judged, joint: Joint | undefined, lines: readonly (LineSpec | undefined)[]) {
  if (!isTied(joint) || joint.turns === undefined || joint.own) return []
  const usual = usualTurns(catalogue, joint.connection, lines)
  if (usual === 0 || joint.turns >= TOO_FEW * usual) return []
  const { name } = catalogue.connections[joint.connection]
  return [{ name, turns: joint.turns, usual, severity: 'caution' as const, figure: usual / joint.turns }]
}

import type { LineSpec } from '../../catalogue/materials.ts'
import type { Joint } from '../../documents/fields.ts'
import { jointOf } from '../../documents/pieces.ts'
import { say } from '../../units/phrase.ts'
import type { Found, Judged, Rule } from '../finding.ts'
import { called, withUsualTurns } from '../remedies.ts'
import { linesAt, type OddTurns, oddTurns } from '../turns.ts'

/** Too few turns for the line’s thickness, or far too many in thick line; in the outfit’s own joints too. */
export const fewTurns: Rule = {
  id: 'few-turns',
  check: (judged) => {
    const { trace, outfit } = judged.setup
    const onTrace = trace.pieces.flatMap((piece) =>
      found(judged, jointOf(piece), linesAt(judged, piece), (name, { turns, usual, isFew }) => ({
        subject: piece.id,
        why: isFew
          ? say`The ${name} at ${called(trace, piece.id)} has ${turns} turns; ${usual} are usual in this line.`
          : say`The ${name} at ${called(trace, piece.id)} has ${turns} turns; ${usual} are usual in line this thick. More may not draw tight.`,
        remedies: [withUsualTurns(trace, piece.id, usual)],
      })),
    )
    const onReel = outfit.wound.flatMap((line, i) => {
      const under = outfit.wound[i - 1]
      const joints: [Joint | undefined, (LineSpec | undefined)[]][] = [
        [line.joint, [under, line]],
        [line.doubled?.under, [under]],
        [line.doubled?.over, [line]],
      ]
      return joints.flatMap(([joint, lines]) =>
        found(judged, joint, lines, (name, { turns, usual }) => ({
          subject: line.role,
          why: say`The ${name} between the lines on the reel has ${turns} turns; ${usual} are usual. Change it in the outfit.`,
          remedies: [],
        })),
      )
    })
    return [...onTrace, ...onReel]
  },
}

type FoundTexts = Pick<Found, 'subject' | 'why' | 'remedies'>

function found(
  judged: Judged,
  joint: Joint | undefined,
  lines: readonly (LineSpec | undefined)[],
  said: (name: string, odd: OddTurns) => FoundTexts,
): Found[] {
  const odd = oddTurns(judged, joint, lines)
  if (!joint || !odd) return []
  const { turns, usual, isFew } = odd
  const { name } = judged.setup.catalogue.connections[joint.connection]
  return [{ ...said(name, odd), severity: isFew ? 'caution' : 'note', figure: isFew ? usual / turns : turns / usual }]
}

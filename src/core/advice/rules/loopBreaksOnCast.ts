import { connectionOf } from '../../gear/connections.ts'
import { jointOf, pieceOfLink } from '../../trace/schema.ts'
import type { Rule } from '../finding.ts'
import { say } from '../phrase.ts'
import { called, pieceOf, retied, stouterKnot } from '../remedies.ts'

/** An end loop is what the cast breaks. */
export const loopBreaksOnCast: Rule = {
  id: 'loop-breaks-on-cast',
  check: (judged) => {
    const { cast, workings } = judged
    if (!cast || cast.verdict === 'holds') return []
    const piece = pieceOf(judged, pieceOfLink(cast.decides))
    const joint = piece && jointOf(piece)
    if (!piece || !joint || cast.decides === piece.id || connectionOf(joint.connection).joins !== 'end-loop') return []
    const better = stouterKnot(judged, piece.id)
    return [
      {
        subject: piece.id,
        severity: cast.verdict === 'fails' ? 'fault' : 'caution',
        why: say`The ${connectionOf(joint.connection).name} at ${called(workings.trace, piece.id)} bears only ${cast.figure.value.toFixed(1)} times the peak of the cast: a loop is weaker than the strand above it.`,
        figure: 3 / cast.figure.value,
        remedies: better ? [retied(judged, piece.id, better)] : [],
      },
    ]
  },
}

import { pieceIdOf } from '../../documents/linkRef.ts'
import { jointOf } from '../../documents/pieces.ts'
import { CAST_OVER_PEAK } from '../../moments/thresholds.ts'
import { say } from '../../units/phrase.ts'
import type { Rule } from '../finding.ts'
import { called, ownPiece, retied, stouterKnot } from '../remedies.ts'

/** An end loop is what the cast breaks. */
export const loopBreaksOnCast: Rule = {
  id: 'loop-breaks-on-cast',
  check: (judged) => {
    const {
      moments: { cast },
      setup,
    } = judged
    if (!cast || cast.verdict === 'holds') return []
    const piece = ownPiece(judged, pieceIdOf(cast.decides))
    const joint = piece && jointOf(piece)
    if (
      !piece ||
      !joint ||
      cast.decides.at !== 'joint' ||
      judged.setup.catalogue.connections[joint.connection].joins !== 'end-loop'
    )
      return []
    const better = stouterKnot(judged, piece)
    return [
      {
        subject: piece.id,
        severity: cast.verdict === 'fails' ? 'fault' : 'caution',
        why: say`The ${judged.setup.catalogue.connections[joint.connection].name} at ${called(setup.trace, piece.id)} holds only ${cast.figure.value.toFixed(1)} times the peak of the cast. A loop is weaker than the line above it.`,
        figure: CAST_OVER_PEAK.holds / cast.figure.value,
        remedies: better ? [retied(judged, piece.id, better)] : [],
      },
    ]
  },
}

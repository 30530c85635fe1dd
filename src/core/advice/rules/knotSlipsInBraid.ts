import { connectionOf } from '../../gear/connections.ts'
import { isTied, jointOf } from '../../trace/schema.ts'
import { materialsBeside } from '../../trace/suits.ts'
import type { Rule } from '../finding.ts'
import { say } from '../phrase.ts'
import { called, retied, stouterKnot } from '../remedies.ts'

/** Under this share of braid a knot slips rather than breaks. */
const SLIPS_UNDER = 0.6

/** A simple knot in braid slips. */
export const knotSlipsInBraid: Rule = {
  id: 'knot-slips-in-braid',
  check: (judged) =>
    judged.workings.trace.pieces.flatMap((piece) => {
      const { trace, outfit } = judged.workings
      const joint = jointOf(piece)
      if (!isTied(joint) || joint.efficiency !== undefined || !materialsBeside(piece, trace, outfit).includes('braid')) return []
      const { name, efficiency } = connectionOf(joint.connection)
      const share = efficiency.braid ?? 0
      if (share >= SLIPS_UNDER) return []
      const better = stouterKnot(judged, piece.id)
      return [
        {
          subject: piece.id,
          severity: 'fault',
          why: say`A ${name} slips in braid: at ${called(trace, piece.id)} it keeps ${Math.round(share * 100)} % of the line.`,
          figure: 1 - share,
          remedies: better ? [retied(judged, piece.id, better)] : [],
        },
      ]
    }),
}

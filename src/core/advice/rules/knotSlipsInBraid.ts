import { efficiencyOf } from '../../catalogue/catalogue.ts'
import { isTied, jointOf } from '../../documents/pieces.ts'
import { materialsBeside } from '../../joints/connectionRules.ts'
import { say } from '../../units/phrase.ts'
import type { Rule } from '../finding.ts'
import { called, retied, stouterKnot } from '../remedies.ts'

/** Under this share of braid a knot slips rather than breaks. */
const SLIPS_UNDER = 0.6

/** A simple knot in braid slips. */
export const knotSlipsInBraid: Rule = {
  id: 'knot-slips-in-braid',
  check: (judged) =>
    judged.setup.trace.pieces.flatMap((piece) => {
      const { trace, catalogue } = judged.setup
      const joint = jointOf(piece)
      if (!isTied(joint) || !materialsBeside(piece, judged.setup).includes('braid')) return []
      const { name } = catalogue.connections[joint.connection]
      const figure = efficiencyOf(catalogue, joint, 'braid')
      const share = figure?.mean ?? 0
      // Who pulled their own knows whether it slips.
      if (share >= SLIPS_UNDER || figure?.origin === 'own') return []
      const better = stouterKnot(judged, piece)
      return [
        {
          subject: piece.id,
          severity: 'fault',
          why: say`A ${name} slips in braid. At ${called(trace, piece.id)} it holds ${Math.round(share * 100)} % of the line.`,
          figure: 1 - share,
          remedies: better ? [retied(judged, piece.id, better)] : [],
        },
      ]
    }),
}

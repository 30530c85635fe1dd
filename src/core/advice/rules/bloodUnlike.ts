import { lineDiameterM } from '../../catalogue/materials.ts'
import { isLine, jointOf } from '../../documents/pieces.ts'
import { diameter, say } from '../../units/phrase.ts'
import type { Rule } from '../finding.ts'
import { called, lineAbove, retied } from '../remedies.ts'

/** Ratio of diameters beyond which the turns of a blood knot no longer grip alike. */
const UNLIKE = 1.35

/** A blood knot between lines of unlike diameters. */
export const bloodUnlike: Rule = {
  id: 'blood-unlike',
  check: (judged) =>
    judged.setup.trace.pieces.flatMap((piece) => {
      const { catalogue } = judged.setup
      const above = lineAbove(judged, piece)
      if (!isLine(piece) || jointOf(piece)?.connection !== 'blood' || !above) return []
      const [a, b] = [lineDiameterM(catalogue, above), lineDiameterM(catalogue, piece)]
      const ratio = Math.max(a, b) / Math.min(a, b)
      if (ratio <= UNLIKE) return []
      const better = [above.material, piece.material].includes('braid') ? 'fg' : 'doubleUni'
      return [
        {
          subject: piece.id,
          severity: 'caution',
          why: say`A blood knot needs lines of similar diameter. At ${called(judged.setup.trace, piece.id)} they are ${diameter(a)} and ${diameter(b)}.`,
          figure: ratio,
          remedies: [retied(judged, piece.id, better)],
        },
      ]
    }),
}

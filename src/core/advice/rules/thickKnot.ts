import { type LineSpec, lineDiameterM } from '../../catalogue/materials.ts'
import { isLine, isTied, jointOf } from '../../documents/pieces.ts'
import { beginsWithA } from '../../setup/names.ts'
import { diameter, say } from '../../units/phrase.ts'
import type { Rule } from '../finding.ts'
import { called, lineAbove, retied } from '../remedies.ts'

/** A knot in line too thick to draw down: its turns stand open. A sleeve holds what a hand cannot close. */
export const thickKnot: Rule = {
  id: 'thick-knot',
  check: (judged) =>
    judged.setup.trace.pieces.flatMap((piece) => {
      const { trace, catalogue } = judged.setup
      const joint = jointOf(piece)
      if (!isTied(joint)) return []
      const { name, closesUpToM } = catalogue.connections[joint.connection]
      if (closesUpToM === undefined) return []
      const above = lineAbove(judged, piece)
      const beside: LineSpec[] = [...(above ? [above] : []), ...(isLine(piece) ? [piece] : [])]
      const stiff = beside.filter(({ material }) => material === 'mono' || material === 'fluoro')
      const thickM = Math.max(0, ...stiff.map((line) => lineDiameterM(catalogue, line)))
      if (thickM <= closesUpToM) return []
      return [
        {
          subject: piece.id,
          severity: 'note',
          why: say`${beginsWithA(name)} rarely tightens in line of ${diameter(thickM)}. At ${called(trace, piece.id)} use a crimped sleeve.`,
          figure: thickM / closesUpToM,
          remedies: [retied(judged, piece.id, 'crimpLoop')],
        },
      ]
    }),
}

import { efficiencyOf, NOTABLE_SLIPS } from '../../catalogue/catalogue.ts'
import { isTied, jointOf } from '../../documents/pieces.ts'
import { materialsBeside } from '../../joints/connectionRules.ts'
import { beginsWithA } from '../../setup/names.ts'
import { say } from '../../units/phrase.ts'
import type { Rule } from '../finding.ts'
import { called, retied, stouterKnot } from '../remedies.ts'

/** Under this share of braid a knot slips rather than breaks. */
const SLIPS_UNDER = 0.6

/** A simple knot in braid slips; so does any knot that slipped in a notable share of the crew’s own tests. */
export const knotSlipsInBraid: Rule = {
  id: 'knot-slips-in-braid',
  check: (judged) =>
    judged.setup.trace.pieces.flatMap((piece) => {
      const { trace, catalogue } = judged.setup
      const joint = jointOf(piece)
      if (!isTied(joint)) return []
      const { name } = catalogue.connections[joint.connection]
      const materials = [...new Set(materialsBeside(piece, judged.setup))]
      const tested = materials.find((material) => {
        const own = efficiencyOf(catalogue, joint, material)
        return own?.slipped !== undefined && own.slipped > 0 && own.slipped >= NOTABLE_SLIPS * own.tests
      })
      const material = tested ?? (materials.includes('braid') ? 'braid' : undefined)
      if (material === undefined) return []
      const figure = efficiencyOf(catalogue, joint, material)
      const share = figure?.mean ?? 0
      // Own tests without slips say that it does not.
      if (tested === undefined && (share >= SLIPS_UNDER || figure?.origin === 'own')) return []
      const better = stouterKnot(judged, piece)
      return [
        {
          subject: piece.id,
          severity: 'fault',
          why:
            tested === undefined
              ? say`${beginsWithA(name)} slips in braid. At ${called(trace, piece.id)} it holds ${Math.round(share * 100)} % of the line.`
              : say`${beginsWithA(name)} slipped in ${figure?.slipped ?? 0} of your ${figure?.tests ?? 0} tests in ${catalogue.materials[tested].name}. At ${called(trace, piece.id)} it works at ${Math.round(share * 100)} % of the line.`,
          figure: 1 - share,
          remedies: better ? [retied(judged, piece.id, better)] : [],
        },
      ]
    }),
}

import { lineDiameterM } from '../../catalogue/materials.ts'
import { jointOf } from '../../documents/pieces.ts'
import { withJoint } from '../../edit/changes.ts'
import { diameter, say } from '../../units/phrase.ts'
import type { Rule } from '../finding.ts'
import { called, lineOfJoint } from '../remedies.ts'

/** Bore of a double-barrel sleeve over the diameter of its line: narrower cuts, wider does not grip. */
const LEAST = 1.05
const MOST = 1.25
const FITS = 1.15

/** A sleeve of the wrong bore. */
export const crimpBore: Rule = {
  id: 'crimp-bore',
  check: (judged) =>
    judged.setup.trace.pieces.flatMap((piece) => {
      const { catalogue } = judged.setup
      const joint = jointOf(piece)
      const line = lineOfJoint(judged, piece)
      if (joint?.connection !== 'crimpLoop' || joint.boreM === undefined || !line) return []
      const d = lineDiameterM(catalogue, line)
      const ratio = joint.boreM / d
      if (ratio >= LEAST && ratio <= MOST) return []
      return [
        {
          subject: piece.id,
          severity: 'caution',
          why: say`The sleeve at ${called(judged.setup.trace, piece.id)} has a bore of ${diameter(joint.boreM)} on line of ${diameter(d)}: ${ratio < LEAST ? 'it cuts the line' : 'it does not grip'}.`,
          figure: ratio < LEAST ? LEAST / ratio : ratio / MOST,
          remedies: [
            {
              label: 'use the sleeve that fits',
              make: () => ({ trace: withJoint(judged.setup.trace, piece.id, (old) => ({ ...old, boreM: FITS * d })) }),
            },
          ],
        },
      ]
    }),
}

import { hardwareFor, hardwareStrengthN } from '../../catalogue/hardware.ts'
import { withPiece } from '../../edit/changes.ts'
import { pathsOf } from '../../moments/judge.ts'
import type { Rule } from '../finding.ts'
import { say } from '../phrase.ts'
import { called } from '../remedies.ts'

/** Times the weakest link beyond which hardware only costs weight, sight and money. */
const OVERSIZE = 5

/** A swivel or snap far stronger than anything on its path. */
export const hardwareOversize: Rule = {
  id: 'hardware-oversize',
  check: (judged) => {
    const { trace, catalogue } = judged.setup
    return trace.pieces.flatMap((piece) => {
      if (piece.role !== 'hardware' || piece.size === undefined || piece.strengthN !== undefined) return []
      const own = hardwareStrengthN(catalogue, piece.type, piece.size)
      const paths = pathsOf(judged).filter(({ links }) => links.some(({ id }) => id === piece.id))
      if (own === undefined || paths.length === 0) return []
      const strongestNeedN = Math.max(...paths.map(({ weakest }) => weakest.strengthN))
      const size = hardwareFor(catalogue, piece.type, 2 * strongestNeedN)
      if (own / strongestNeedN <= OVERSIZE || size === undefined || size === piece.size) return []
      return [
        {
          subject: piece.id,
          severity: 'note',
          why: say`${called(trace, piece.id)} is ${(own / strongestNeedN).toFixed(1)} times as strong as what it hangs on: it costs weight and shows.`,
          figure: own / strongestNeedN,
          remedies: [
            {
              label: `take a ${catalogue.hardware[piece.type].name} of size ${size}`,
              make: () => ({ trace: withPiece(trace, piece.id, (old) => ({ ...old, size }) as typeof piece) }),
            },
          ],
        },
      ]
    })
  },
}

import { hardwareFor, hardwareStrengthN } from '../../catalogue/hardware.ts'
import { hungFrom, isLine, labelledN } from '../../documents/pieces.ts'
import { withFields } from '../../edit/changes.ts'
import { pathsOf } from '../../moments/judge.ts'
import { withA } from '../../setup/names.ts'
import { wideEnough } from '../../setup/stoppedBores.ts'
import { figure, say } from '../../units/phrase.ts'
import type { Rule } from '../finding.ts'
import { called, lineAbove } from '../remedies.ts'

/** Times the weakest link beyond which hardware only costs weight, sight and money. */
const OVERSIZE = 5

/** A swivel or snap far stronger than the lines it joins and than all that pulls on it; what stops a bored sinker is as wide as it must be. */
export const hardwareOversize: Rule = {
  id: 'hardware-oversize',
  check: (judged) => {
    const { trace, catalogue } = judged.setup
    const all = pathsOf(judged)
    return trace.pieces.flatMap((piece) => {
      if (piece.role !== 'hardware' || piece.size === undefined || piece.strengthN !== undefined) return []
      const own = hardwareStrengthN(catalogue, piece.type, piece.size)
      const paths = all.filter(({ links }) => links.some(({ id }) => id === piece.id))
      if (own === undefined || paths.length === 0) return []
      const joins = [lineAbove(judged, piece), ...hungFrom(trace, piece.id).filter(isLine)].map((line) =>
        line ? labelledN(line) : 0,
      )
      const needN = Math.max(...paths.map(({ weakest }) => weakest.strengthN), ...joins)
      const { sizes } = catalogue.hardware[piece.type]
      const placeOf = (size: string | undefined) => sizes.findIndex((row) => row.size === size)
      const wanted = Math.max(
        placeOf(hardwareFor(catalogue, piece.type, 2 * needN)),
        placeOf(
          wideEnough(
            trace.pieces,
            piece.id,
            sizes.map(({ size }) => size),
          ),
        ),
      )
      const size = sizes[wanted]?.size
      if (own / needN <= OVERSIZE || size === undefined || wanted >= placeOf(piece.size)) return []
      return [
        {
          subject: piece.id,
          severity: 'note',
          why: say`${called(trace, piece.id)} is ${figure(own / needN, 1)} times as strong as its line. It adds weight and shows.`,
          figure: own / needN,
          remedies: [
            {
              label: `use ${withA(catalogue.hardware[piece.type].name)} of size ${size}`,
              make: () => ({ trace: withFields(trace, piece.id, { size }) }),
            },
          ],
        },
      ]
    })
  },
}

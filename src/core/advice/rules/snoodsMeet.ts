import { isLine, parentId, pieceById } from '../../documents/pieces.ts'
import type { LinePiece, Piece, Trace } from '../../documents/trace.ts'
import { withLength } from '../../edit/changes.ts'
import type { Rule } from '../finding.ts'
import { length, say } from '../phrase.ts'
import { called } from '../remedies.ts'

/** How far a boom stands off the body, m. Nominal. */
const BOOM_M = 0.05
/** Share of the spacing that each of two neighbours is shortened to: together they cannot meet. */
const CLEAR = 0.45

type Standing = { snood: LinePiece; atM: number; reachM: number; line: string }

/** Snoods that stand off one line, with the reach of each: boom and snood. */
function standing(trace: Trace): Standing[] {
  return trace.pieces.flatMap((piece: Piece): Standing[] => {
    if (!isLine(piece) || piece.role !== 'snood' || piece.attach.how !== 'joined') return []
    const stand = pieceById(trace, parentId(piece.attach))
    if (!stand || (stand.attach.how !== 'fixed' && stand.attach.how !== 'sliding')) return []
    const boomM = stand.role === 'hardware' && stand.type === 'boom' ? BOOM_M : 0
    return [{ snood: piece, atM: stand.attach.atM, reachM: piece.lengthM + boomM, line: stand.attach.on }]
  })
}

/** Neighbouring snoods cannot meet while their reaches together are within the spacing; past it one can reach the other's stand. */
export const snoodsMeet: Rule = {
  id: 'snoods-meet',
  check: ({ setup: { trace } }) => {
    const all = standing(trace).toSorted((a, b) => a.atM - b.atM)
    return all.flatMap((upper, i) => {
      const lower = all.slice(i + 1).find(({ line }) => line === upper.line)
      if (!lower) return []
      const spacingM = lower.atM - upper.atM
      const [sumM, longerM] = [upper.reachM + lower.reachM, Math.max(upper.reachM, lower.reachM)]
      if (sumM <= spacingM) return []
      const fitM = Math.min(...[upper, lower].map(({ reachM, snood }) => CLEAR * spacingM - (reachM - snood.lengthM)))
      return [
        {
          subject: `${upper.snood.id} ${lower.snood.id}`,
          severity: longerM > spacingM ? ('fault' as const) : ('caution' as const),
          why: say`${called(trace, upper.snood.id)} and ${called(trace, lower.snood.id)} reach ${length(sumM)} together at a spacing of ${length(spacingM)}: they ${longerM > spacingM ? 'will tangle' : 'can touch'}.`,
          figure: spacingM > 0 ? sumM / spacingM : sumM * 1000,
          remedies:
            fitM > 0.02
              ? [
                  {
                    label: 'shorten both to under half the spacing',
                    make: () => ({
                      trace: [upper, lower].reduce(
                        (next, { snood }) => withLength(next, snood.id, Math.min(snood.lengthM, Math.floor(fitM * 100) / 100)),
                        trace,
                      ),
                    }),
                  },
                ]
              : [],
        },
      ]
    })
  },
}

import { isLine, parentId, pieceById } from '../../documents/pieces.ts'
import type { LinePiece, Piece, Trace } from '../../documents/trace.ts'
import { upperStop } from '../../edit/along.ts'
import { withLength } from '../../edit/changes.ts'
import { length, say } from '../../units/phrase.ts'
import type { Rule } from '../finding.ts'
import { called } from '../remedies.ts'

/** How far a boom holds its snood off the body, m. Nominal. */
const BOOM_M = 0.05
/** Share of the spacing that each of two neighbours is shortened to: together they cannot meet. */
const CLEAR = 0.45

/** Where it is, and how far what carries it can slide between its stops, m down the line. */
type Standing = { snood: LinePiece; fromM: number; toM: number; reachM: number; line: string }

/** Snoods that stand off one line, with the reach of each (boom and snood) and the slack of what slides. */
function standing(trace: Trace): Standing[] {
  return trace.pieces.flatMap((piece: Piece): Standing[] => {
    if (!isLine(piece) || piece.role !== 'snood' || piece.attach.how !== 'joined') return []
    const stand = pieceById(trace, parentId(piece.attach))
    if (!stand || (stand.attach.how !== 'fixed' && stand.attach.how !== 'sliding')) return []
    const boomM = stand.role === 'hardware' && stand.type === 'boom' ? BOOM_M : 0
    return [{ snood: piece, ...slackOf(trace, stand), reachM: piece.lengthM + boomM, line: stand.attach.on }]
  })
}

function slackOf(trace: Trace, stand: Piece): { fromM: number; toM: number } {
  const { attach } = stand
  if (attach.how !== 'fixed' && attach.how !== 'sliding') return { fromM: 0, toM: 0 }
  if (attach.how === 'fixed') return { fromM: attach.atM, toM: attach.atM }
  const { below } = attach.stops
  // The same stop on both sides of a run of beads: the stop that is fast decides.
  return {
    fromM: fastAtM(trace, upperStop(trace, stand), attach.on, 'above') ?? attach.atM,
    toM: fastAtM(trace, below, attach.on, 'below') ?? attach.atM,
  }
}

/** Where a stop holds: where it is fast, or where the stop that it rests on is. */
function fastAtM(trace: Trace, id: string | undefined, on: string, side: 'above' | 'below'): number | undefined {
  const stop = id === undefined ? undefined : pieceById(trace, id)
  if (stop?.attach.how === 'fixed' && stop.attach.on === on) return stop.attach.atM
  return stop?.attach.how === 'sliding' && stop.attach.on === on ? fastAtM(trace, stop.attach.stops[side], on, side) : undefined
}

/** Neighbouring snoods cannot meet while their reaches together are within the spacing; past it one can reach the other's stand. */
export const snoodsMeet: Rule = {
  id: 'snoods-meet',
  check: ({ setup: { trace } }) => {
    const all = standing(trace).toSorted((a, b) => a.fromM - b.fromM)
    return all.flatMap((upper, i) => {
      const lower = all.slice(i + 1).find(({ line }) => line === upper.line)
      if (!lower) return []
      // At the worst the upper has slid down to its stop and the lower up to its own.
      const spacingM = Math.max(0, lower.fromM - upper.toM)
      const [sumM, longerM] = [upper.reachM + lower.reachM, Math.max(upper.reachM, lower.reachM)]
      if (sumM <= spacingM) return []
      const fitM = Math.min(...[upper, lower].map(({ reachM, snood }) => CLEAR * spacingM - (reachM - snood.lengthM)))
      return [
        {
          subject: `${upper.snood.id} ${lower.snood.id}`,
          severity: longerM > spacingM ? ('fault' as const) : ('caution' as const),
          why: say`${called(trace, upper.snood.id)} and ${called(trace, lower.snood.id)} reach ${length(sumM)} together at a spacing of ${length(spacingM)}. They ${longerM > spacingM ? 'will tangle' : 'can touch'}.`,
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

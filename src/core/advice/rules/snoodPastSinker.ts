import { hungFrom, isLine, lineById, parentId, pieceById } from '../../documents/pieces.ts'
import { withLength } from '../../edit/changes.ts'
import { length, say } from '../../units/phrase.ts'
import type { Rule } from '../finding.ts'
import { called } from '../remedies.ts'

/** Lengths nearer to each other than this are equal, m. */
const ROUNDING_M = 1e-3

/** A snood on a turning swivel that is no shorter than the sinker's tail lies round the sinker. */
export const snoodPastSinker: Rule = {
  id: 'snood-past-sinker',
  check: ({ setup: { trace } }) => {
    return trace.pieces.flatMap((snood) => {
      if (!isLine(snood) || snood.role !== 'snood' || snood.attach.how !== 'joined') return []
      const stand = pieceById(trace, parentId(snood.attach))
      if (stand?.attach.how !== 'sliding' && stand?.attach.how !== 'fixed') return []
      const body = lineById(trace, stand.attach.on)
      if (!body) return []
      const below = trace.pieces.filter(({ attach }) => attach.how === 'joined' && attach.to === body.id)
      const sinks = below.some(
        (piece) => piece.role === 'sinker' || hungFrom(trace, piece.id).some(({ role }) => role === 'sinker'),
      )
      const tailM = body.lengthM - stand.attach.atM
      const clippedDown = trace.pieces.some((piece) => piece.role === 'hardware' && piece.type === 'baitClip')
      if (!sinks || snood.lengthM < tailM - ROUNDING_M || clippedDown) return []
      return [
        {
          subject: snood.id,
          severity: 'caution',
          why: say`${called(trace, snood.id)} is ${length(snood.lengthM)} and the line below its position ${length(tailM)}. It must be shorter, or it wraps around the sinker.`,
          figure: tailM > 0 ? snood.lengthM / tailM : snood.lengthM * 1000,
          remedies:
            tailM > 0.06
              ? [
                  {
                    label: 'shorten it to clear the sinker',
                    make: () => ({ trace: withLength(trace, snood.id, Math.floor(90 * tailM) / 100) }),
                  },
                ]
              : [],
        },
      ]
    })
  },
}

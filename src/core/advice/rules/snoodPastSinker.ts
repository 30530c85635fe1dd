import { withLength } from '../../trace/edit.ts'
import { isLine, parentId } from '../../trace/schema.ts'
import type { Rule } from '../finding.ts'
import { length, say } from '../phrase.ts'
import { called } from '../remedies.ts'

/** A snood on a turning swivel that is longer than the sinker's tail lies round the sinker. */
export const snoodPastSinker: Rule = {
  id: 'snood-past-sinker',
  check: ({ workings: { trace } }) => {
    const byId = new Map(trace.pieces.map((piece) => [piece.id, piece]))
    return trace.pieces.flatMap((snood) => {
      if (!isLine(snood) || snood.role !== 'snood' || snood.attach.how !== 'joined') return []
      const stand = byId.get(parentId(snood.attach))
      if (stand?.attach.how !== 'sliding' && stand?.attach.how !== 'fixed') return []
      const body = byId.get(stand.attach.on)
      if (!isLine(body)) return []
      const below = trace.pieces.filter(({ attach }) => attach.how === 'joined' && attach.to === body.id)
      const sinks = below.some(
        (piece) => piece.role === 'sinker' || trace.pieces.some((s) => s.role === 'sinker' && parentId(s.attach) === piece.id),
      )
      const tailM = body.lengthM - stand.attach.atM
      const clippedDown = trace.pieces.some((piece) => piece.role === 'hardware' && piece.type === 'baitClip')
      if (!sinks || snood.lengthM <= tailM || clippedDown) return []
      return [
        {
          subject: snood.id,
          severity: 'caution',
          why: say`${called(trace, snood.id)} is ${length(snood.lengthM)} and the line below its stand ${length(tailM)}: it lies round the sinker.`,
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

import { boreM, FLOAT_BORE_M } from '../../catalogue/bores.ts'
import { lineDiameterM } from '../../catalogue/materials.ts'
import { isHardware, lineById } from '../../documents/pieces.ts'
import type { Piece } from '../../documents/trace.ts'
import { onLine, ridesOn, upperStop } from '../../edit/along.ts'
import { sliding } from '../../edit/attach.ts'
import { freeLine } from '../../outfits/outfitLines.ts'
import { diameter, say } from '../../units/phrase.ts'
import type { Rule } from '../finding.ts'
import { called, withBead } from '../remedies.ts'

/** How many diameters of its line a stop knot is wide. Nominal. */
const STOP_KNOT_WIDE = 4

const boreOf = (piece: Piece): number | undefined =>
  piece.role === 'float' ? FLOAT_BORE_M : piece.role === 'sinker' ? boreM(piece.shape, piece.massKg) : undefined

/** A stop knot that is narrower than the bore of the float or sinker it should stop, with no bead between. */
export const stopThroughBore: Rule = {
  id: 'stop-through-bore',
  check: ({ setup: { trace, catalogue, outfit } }) =>
    trace.pieces.flatMap((slider) => {
      const bore = boreOf(slider)
      const on = ridesOn(slider)
      if (bore === undefined || on === undefined || slider.attach.how !== 'sliding') return []
      const above = upperStop(trace, slider)
      const { below } = slider.attach.stops
      const along = onLine(trace, on)
      const at = along.findIndex(({ piece }) => piece === slider)
      const width = STOP_KNOT_WIDE * lineDiameterM(catalogue, lineById(trace, on) ?? freeLine(outfit))
      if (width > bore) return []
      return [along[at - 1]?.piece, along[at + 1]?.piece].flatMap((stop) => {
        if (!stop || !isHardware(stop, 'stopKnot') || (stop.id !== above && stop.id !== below)) return []
        const { attach } = stop
        if (attach.how !== 'fixed') return []
        const isAbove = stop.id === above
        return [
          {
            subject: stop.id,
            severity: 'caution' as const,
            why: say`${called(trace, stop.id)} is about ${diameter(width)} wide; the bore of ${called(trace, slider.id)} ${diameter(bore)}. It slips through.`,
            figure: bore / width,
            // Between the stop and the slider in the order of the line, which is that of the document where places are alike.
            remedies: [
              withBead(
                trace,
                slider,
                isAbove ? 'before' : 'after',
                sliding(on, attach.atM, isAbove ? { above: stop.id } : { below: stop.id }),
              ),
            ],
          },
        ]
      })
    }),
}

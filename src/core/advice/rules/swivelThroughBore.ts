import { boreM, swivelWidthM } from '../../catalogue/bores.ts'
import { pieceById } from '../../documents/pieces.ts'
import { beadBetween } from '../../edit/along.ts'
import { withFields } from '../../edit/changes.ts'
import { withA } from '../../setup/names.ts'
import { diameter, say } from '../../units/phrase.ts'
import type { Rule } from '../finding.ts'
import { called } from '../remedies.ts'

/** A swivel narrower than the bore of the sinker it stops is pulled through it, unless a bead lies between. */
export const swivelThroughBore: Rule = {
  id: 'swivel-through-bore',
  check: ({ setup: { trace, catalogue } }) =>
    trace.pieces.flatMap((sinker) => {
      if (sinker.role !== 'sinker' || sinker.attach.how !== 'sliding') return []
      const bore = boreM(sinker.shape, sinker.massKg)
      const { below } = sinker.attach.stops
      const stop = below === undefined ? undefined : pieceById(trace, below)
      if (bore === undefined || stop?.role !== 'hardware' || stop.size === undefined) return []
      const width = swivelWidthM(stop.size)
      if (width === undefined || width > bore || beadBetween(trace, sinker.id)) return []
      const size = catalogue.hardware[stop.type].sizes
        .map((row) => row.size)
        .find((each) => (swivelWidthM(each) ?? 0) > 1.1 * bore)
      return [
        {
          subject: stop.id,
          severity: 'fault',
          why: say`${called(trace, stop.id)} is ${diameter(width)} wide; the bore of ${called(trace, sinker.id)} ${diameter(bore)}. It pulls through.`,
          figure: bore / width,
          remedies: size
            ? [
                {
                  label: `use ${withA(catalogue.hardware[stop.type].name)} of size ${size}`,
                  make: () => ({ trace: withFields(trace, stop.id, { size }) }),
                },
              ]
            : [],
        },
      ]
    }),
}

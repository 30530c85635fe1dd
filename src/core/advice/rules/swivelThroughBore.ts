import { boreM, swivelWidthM } from '../../gear/bores.ts'
import { HARDWARE, hardwareOf } from '../../gear/hardware.ts'
import { withPiece } from '../../trace/edit.ts'
import type { Rule } from '../finding.ts'
import { diameter, say } from '../phrase.ts'
import { called } from '../remedies.ts'

/** A swivel narrower than the bore of the sinker it stops is pulled through it. */
export const swivelThroughBore: Rule = {
  id: 'swivel-through-bore',
  check: ({ workings: { trace } }) =>
    trace.pieces.flatMap((sinker) => {
      if (sinker.role !== 'sinker' || sinker.attach.how !== 'sliding') return []
      const bore = boreM(sinker.shape, sinker.massKg)
      const stop = trace.pieces.find(({ id }) => sinker.attach.how === 'sliding' && id === sinker.attach.stops.below)
      if (bore === undefined || stop?.role !== 'hardware' || stop.size === undefined) return []
      const width = swivelWidthM(stop.size)
      if (width === undefined || width > bore) return []
      const size = HARDWARE[stop.type].sizes.map((row) => row.size).find((each) => (swivelWidthM(each) ?? 0) > 1.1 * bore)
      return [
        {
          subject: stop.id,
          severity: 'fault',
          why: say`${called(trace, stop.id)} is ${diameter(width)} wide and the bore of ${called(trace, sinker.id)} ${diameter(bore)}: it is pulled through.`,
          figure: bore / width,
          remedies: size
            ? [
                {
                  label: `take a ${hardwareOf(stop.type).name} of size ${size}`,
                  make: () => ({ trace: withPiece(trace, stop.id, (old) => ({ ...old, size }) as typeof stop) }),
                },
              ]
            : [],
        },
      ]
    }),
}

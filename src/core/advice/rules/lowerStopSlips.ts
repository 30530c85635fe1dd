import { lineById, pieceById } from '../../documents/pieces.ts'
import { upperStop } from '../../edit/along.ts'
import { fixedOn } from '../../edit/attach.ts'
import { withFields } from '../../edit/changes.ts'
import { say } from '../../units/phrase.ts'
import type { Rule } from '../finding.ts'
import { called } from '../remedies.ts'

/** The lower of two stops takes the cast: tied in other line it slips, where the upper one need not hold. */
export const lowerStopSlips: Rule = {
  id: 'lower-stop-slips',
  check: ({ setup: { trace, conditions } }) =>
    trace.pieces.flatMap((rider) => {
      if (conditions.castStyle === 'none' || rider.attach.how !== 'sliding') return []
      const { below } = rider.attach.stops
      const stop = below === undefined ? undefined : pieceById(trace, below)
      if (upperStop(trace, rider) === undefined || stop?.role !== 'hardware' || stop.type !== 'stopKnot') return []
      if (stop.attach.how !== 'fixed' || stop.attach.joint.connection !== 'fitted') return []
      const { on, atM } = stop.attach
      const line = lineById(trace, on)
      const canKnot = line && (line.material === 'mono' || line.material === 'fluoro')
      return [
        {
          subject: stop.id,
          severity: 'caution',
          why: say`${called(trace, stop.id)} is tied from another line, and the cast loads it through ${called(trace, rider.id)}. It slips.`,
          figure: 1,
          remedies: [
            ...(canKnot
              ? [
                  {
                    label: 'tie it in the line itself',
                    make: () => ({
                      trace: withFields(trace, stop.id, { attach: fixedOn(on, atM, 'stopKnotOwn') }),
                    }),
                  },
                ]
              : []),
            {
              label: 'use a crimp there instead',
              make: () => ({ trace: withFields(trace, stop.id, { type: 'crimp' }) }),
            },
          ],
        },
      ]
    }),
}

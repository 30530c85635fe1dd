import { withPiece } from '../../edit/changes.ts'
import { mass, say } from '../../units/phrase.ts'
import type { Rule } from '../finding.ts'

/** The cast weight is above what the rod casts, or so small that the rod barely bends. */
export const rodCastWeight: Rule = {
  id: 'rod-cast-weight',
  check: ({ moments: { cast }, setup: { trace, outfit } }) => {
    if (!cast) return []
    const { castLowKg: least, castHighKg: most } = outfit.rod
    if (least !== undefined && cast.massKg < least)
      return [
        {
          severity: 'note',
          why: say`The cast weight is only ${mass(cast.massKg)}; the rod casts from ${mass(least)} and does not load.`,
          figure: least / cast.massKg,
          remedies: [],
        },
      ]
    if (most === undefined || cast.massKg <= most) return []
    const sinker = trace.pieces.find(({ id, role }) => id === cast.carrier && role === 'sinker')
    const left = sinker?.role === 'sinker' ? sinker.massKg - (cast.massKg - most) : 0
    return [
      {
        severity: 'caution',
        why: say`The cast weight is ${mass(cast.massKg)}; the rod casts up to ${mass(most)}.`,
        figure: cast.massKg / most,
        remedies:
          left > 0.005
            ? [
                {
                  label: 'use the heaviest sinker the rod casts',
                  make: () => ({
                    trace: withPiece(
                      trace,
                      cast.carrier,
                      (old) => ({ ...old, massKg: Math.floor(left * 1000) / 1000 }) as typeof old,
                    ),
                  }),
                },
              ]
            : [],
      },
    ]
  },
}

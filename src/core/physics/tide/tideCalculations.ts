import { z } from 'zod'
import { define, nonNegative, positive } from '../calculation.ts'
import { isConstituent, tideHeightM } from './height.ts'
import { tideStream } from './stream.ts'

/** The calculations of tides. Apart from the others, because their library is large and no moment needs it. */
export const TIDE_CALCULATIONS = {
  'tide.height': define({
    title: 'Height of the tide at an instant',
    formula: 'heightM = meanLevelM + Σ f amplitudeM cos(V0 + u − phaseDeg)',
    source: 'IHO list of tidal constituents, nodal corrections f and u of its annex',
    valid: 'the astronomical tide from 1950 to 2100; no surge; phases are lags behind Greenwich, time is universal',
    input: z.strictObject({
      meanLevelM: z.number().min(-50).max(50),
      constituents: z
        .array(
          z.strictObject({
            name: z.string().refine(isConstituent, 'is not a known constituent, such as M2'),
            amplitudeM: nonNegative.max(20),
            phaseDeg: z.number().min(-360).max(360),
          }),
        )
        .min(1)
        .max(200),
      time: z.iso.datetime({ offset: true }),
    }),
    output: z.object({ heightM: z.number() }),
    run: ({ time, ...harmonics }) => ({ heightM: tideHeightM(harmonics, Date.parse(time)) }),
  }),
  'tide.stream': define({
    title: 'Rate and direction of the current at an hour from high water',
    formula:
      'rate = neap + (range − neapRange)/(springRange − neapRange) × (spring − neap), floored at 0;  between hours east and north each by a monotone cubic',
    source: 'Current tables of tidal atlases; F. N. Fritsch, R. E. Carlson, Monotone Piecewise Cubic Interpolation (1980)',
    valid: 'from 6.5 hours before high water to 6.5 after',
    input: z.strictObject({
      hourFromHighWater: z.number().min(-1_000).max(1_000),
      tidalRangeM: nonNegative.max(40),
      neapRangeM: nonNegative.max(40),
      springRangeM: positive.max(40),
      table: z
        .array(
          z.strictObject({
            hour: z.number().min(-6).max(6),
            springMperS: nonNegative.max(20),
            neapMperS: nonNegative.max(20),
            directionDeg: z.number().min(0).max(360),
          }),
        )
        .min(1)
        .max(200),
    }),
    output: z.object({ rateMperS: nonNegative, directionDeg: z.number().nullable() }),
    run: tideStream,
  }),
}

import { scaleLinear } from 'd3-scale'
import { area, curveMonotoneX, line } from 'd3-shape'
import type { HeightPoint } from '../physics/tide/height.ts'
import { roundTicks } from './roundTicks.ts'

type Rate = { timeMs: number; rateMperS: number }
export type TideChartOptions = {
  width: number
  height: number
  pad: { left: number; right: number; top: number; bottom: number }
  fromMs: number
  toMs: number
}
export type TimeLayout = {
  xOf: (timeMs: number) => number
  /** The instant at a place across, kept within the day. */
  timeAt: (x: number) => number
}
export type TideChartLayout = TimeLayout & {
  /** Paths in SVG's own words: the height as a filled tide, and the stream as a line. */
  tide: string
  stream: string
  heightY: (heightM: number) => number
  rateY: (rateMperS: number) => number
  heightTicksM: number[]
  rateTicksMperS: number[]
}

/** Least height of the rate's axis, so that a whisper of a stream does not look like a race, m/s. */
const MIN_RATE = 0.4

/** The axis of time that a chart and what is slid over it share. */
export function layOutTime({
  width,
  pad,
  fromMs,
  toMs,
}: Pick<TideChartOptions, 'width' | 'fromMs' | 'toMs' | 'pad'>): TimeLayout {
  const xOf = scaleLinear([fromMs, toMs], [pad.left, width - pad.right])
  return { xOf, timeAt: (x) => Math.min(toMs, Math.max(fromMs, xOf.invert(x))) }
}

/**
 * Height of the tide and rate of the stream over one axis of time, each on a scale of its own from its lowest up.
 * @param unitMperS the unit of the rate's axis, m/s; `unitM` that of the height's, m: ticks fall on round numbers of both.
 */
export function layOutTideChart(
  heights: readonly HeightPoint[],
  rates: readonly Rate[],
  options: TideChartOptions,
  unitM: number,
  unitMperS: number,
): TideChartLayout {
  const levels = heights.map(({ heightM }) => heightM)
  const lowestM = Math.min(0, ...levels)
  const highestM = Math.max(lowestM + 1, ...levels)
  const fastest = Math.max(MIN_RATE, ...rates.map(({ rateMperS }) => rateMperS))
  const { height, pad } = options
  const time = layOutTime(options)
  const { xOf } = time
  const [bottom, top] = [height - pad.bottom, pad.top]
  const heightY = scaleLinear([lowestM, highestM * 1.08], [bottom, top])
  const rateY = scaleLinear([0, fastest * 1.08], [bottom, top])
  const tide = area<HeightPoint>(
    ({ timeMs }) => xOf(timeMs),
    () => bottom,
    ({ heightM }) => heightY(heightM),
  ).curve(curveMonotoneX)
  const stream = line<Rate>(
    ({ timeMs }) => xOf(timeMs),
    ({ rateMperS }) => rateY(rateMperS),
  ).curve(curveMonotoneX)
  return {
    tide: tide([...heights]) ?? '',
    stream: stream([...rates]) ?? '',
    ...time,
    heightY,
    rateY,
    heightTicksM: roundTicks(lowestM, highestM, unitM, 4),
    rateTicksMperS: roundTicks(0, fastest, unitMperS, 4),
  }
}

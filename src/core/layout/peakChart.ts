import { scaleLinear } from 'd3-scale'
import type { PeakPoint } from '../moments/peakByLineOut.ts'
import { roundTicks } from './roundTicks.ts'

export type PeakChartOptions = {
  width: number
  height: number
  padLeft: number
  padBottom: number
  padTop: number
  padRight: number
}
export type PeakChartLayout = {
  /** Paths in SVG's own words: the peak, and the stair of what is allowed. */
  peak: string
  allowed: string
  xOf: (lineOutM: number) => number
  yOf: (forceN: number) => number
  ticksM: number[]
  ticksN: number[]
}

/**
 * Peak load and allowed load against line out, as paths.
 * @param tickUnitN the unit of the force axis, N; `tickUnitM` that of line out, m: ticks fall on round numbers of both.
 */
export function layOutPeakChart(
  points: readonly PeakPoint[],
  options: PeakChartOptions,
  tickUnitN: number,
  tickUnitM: number,
): PeakChartLayout {
  const mostM = points.at(-1)?.lineOutM ?? 1
  const mostAllowedN = Math.max(...points.map(({ allowedN }) => allowedN))
  // A nearly bare spool sends the peak up without end; what matters is where it passes what is allowed.
  const topN = 1.15 * Math.max(mostAllowedN, Math.min(Math.max(...points.map(({ peakN }) => peakN)), 1.6 * mostAllowedN))
  const xOf = scaleLinear([0, mostM], [options.padLeft, options.width - options.padRight])
  const yOf = scaleLinear([0, topN], [options.height - options.padBottom, options.padTop]).clamp(true)
  const at = (x: number, y: number) => `${x.toFixed(1)} ${y.toFixed(1)}`
  return {
    peak: points.map(({ lineOutM, peakN }, i) => `${i === 0 ? 'M' : 'L'}${at(xOf(lineOutM), yOf(peakN))}`).join(''),
    allowed: points
      .map(({ lineOutM, allowedN }, i) =>
        i === 0 ? `M${at(xOf(lineOutM), yOf(allowedN))}` : `H${xOf(lineOutM).toFixed(1)}V${yOf(allowedN).toFixed(1)}`,
      )
      .join(''),
    xOf,
    yOf,
    ticksM: roundTicks(0, mostM, tickUnitM, 4),
    ticksN: roundTicks(0, topN, tickUnitN, 4),
  }
}

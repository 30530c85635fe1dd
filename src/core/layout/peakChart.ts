import { scaleLinear } from 'd3-scale'
import type { PeakPoint } from '../moments/peakByLineOut.ts'
import type { RushPoint } from '../moments/rush.ts'
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
  /** Paths in SVG's own words: the peak, that of a rush by how the rod is held, and the stair of what is allowed. */
  peak: string
  bent: string
  pointed: string
  allowed: string
  xOf: (lineOutM: number) => number
  yOf: (forceN: number) => number
  ticksM: number[]
  ticksN: number[]
}

/**
 * Peak load, that of a sudden rush, and allowed load against line out, as paths.
 * @param tickUnitN the unit of the force axis, N; `tickUnitM` that of line out, m: ticks fall on round numbers of both.
 */
export function layOutPeakChart(
  points: readonly PeakPoint[],
  rush: readonly RushPoint[],
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
  const path = (row: readonly { lineOutM: number; forceN: number }[]) =>
    row.map(({ lineOutM, forceN }, i) => `${i === 0 ? 'M' : 'L'}${at(xOf(lineOutM), yOf(forceN))}`).join('')
  return {
    peak: path(points.map(({ lineOutM, peakN }) => ({ lineOutM, forceN: peakN }))),
    bent: path(rush.map(({ lineOutM, bentN }) => ({ lineOutM, forceN: bentN }))),
    pointed: path(rush.map(({ lineOutM, pointedN }) => ({ lineOutM, forceN: pointedN }))),
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

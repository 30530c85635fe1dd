import { scaleLinear, scaleLog } from 'd3-scale'
import { curveMonotoneX, line } from 'd3-shape'
import { roundTicks } from './roundTicks.ts'

export type CurvePoint = { x: number; y: number }
/** What is drawn of curves: their ends, whether y goes down, as a depth does, and whether x goes by decades; it is over 0 then. */
export type CurveSpan = { x: readonly [number, number]; y: readonly [number, number]; down?: boolean; decades?: boolean }
export type CurveBox = { width: number; height: number; left: number; right: number; top: number; bottom: number }
export type CurveChartLayout = {
  xOf: (x: number) => number
  yOf: (y: number) => number
  ticksX: number[]
  ticksY: number[]
  /** A path in SVG’s own words; what lies outside stops at the edge. */
  path: (points: readonly CurvePoint[]) => string
  /** The same, closed along the bottom: a bed. */
  ground: (points: readonly CurvePoint[]) => string
}

/**
 * A plot of curves over a box, its ticks on round numbers of the units shown.
 * @param units of x and of y in SI.
 */
export function layOutCurves(span: CurveSpan, box: CurveBox, units: { x: number; y: number }): CurveChartLayout {
  const [top, bottom] = [box.top, box.height - box.bottom]
  const acrossOf = span.decades ? scaleLog : scaleLinear
  const xOf = acrossOf([...span.x], [box.left, box.width - box.right]).clamp(true)
  const yOf = scaleLinear([...span.y], span.down ? [top, bottom] : [bottom, top]).clamp(true)
  const smooth = line<CurvePoint>()
    .x(({ x }) => Number(xOf(x).toFixed(1)))
    .y(({ y }) => Number(yOf(y).toFixed(1)))
    .curve(curveMonotoneX)
  const path = (points: readonly CurvePoint[]) => smooth(points) ?? ''
  return {
    xOf,
    yOf,
    ticksX: span.decades ? decadeTicks(span.x, units.x) : roundTicks(span.x[0], span.x[1], units.x, box.width < 420 ? 4 : 6),
    ticksY: roundTicks(span.y[0], span.y[1], units.y, 4),
    path,
    ground: (points) => {
      const [first, last] = [points[0], points.at(-1)]
      return first && last ? `${path(points)}V${bottom}H${xOf(first.x).toFixed(1)}Z` : ''
    },
  }
}

/** 1, 2 and 5 of every decade of the unit shown. */
function decadeTicks([from, to]: CurveSpan['x'], unit: number): number[] {
  const decades = Array.from(
    { length: Math.floor(Math.log10(to / unit)) - Math.floor(Math.log10(from / unit)) + 1 },
    (_, i) => 10 ** (Math.floor(Math.log10(from / unit)) + i),
  )
  return decades.flatMap((decade) => [1, 2, 5].map((times) => times * decade * unit)).filter((x) => x >= from && x <= to)
}

/**
 * A curve through points, at one place: between two of them it rises or falls as they do and never overshoots. The ends hold beyond it.
 * Only the four points around a place count, so only those are asked for.
 * @param xs rising; at least one. @param y of each of them by its number.
 * Source: F. N. Fritsch, R. E. Carlson, Monotone Piecewise Cubic Interpolation (1980), with the weighted harmonic mean of
 * F. N. Fritsch, J. Butland (1984) for the slopes and their three-point slopes at the ends.
 */
export function monotoneCubic(xs: readonly number[], y: (i: number) => number, x: number): number {
  const last = xs.length - 1
  if (x <= xs[0]! || last === 0) return y(0)
  if (x > xs[last]!) return y(last)
  const above = xs.findIndex((each) => each >= x)
  const i = above - 1
  const width = (at: number) => (at < 0 || at >= last ? undefined : xs[at + 1]! - xs[at]!)
  const rise = (at: number) => (at < 0 || at >= last ? undefined : (y(at + 1) - y(at)) / (xs[at + 1]! - xs[at]!))
  const [h, here] = [width(i)!, rise(i)!]
  const [before, after] = [rise(i - 1), rise(above)]
  const [wBefore, wAfter] = [width(i - 1), width(above)]
  const m0 = h * (before === undefined ? endSlope(h, wAfter, here, after) : slopeBetween(wBefore!, h, before, here))
  const m1 = h * (after === undefined ? endSlope(h, wBefore, here, before) : slopeBetween(h, wAfter!, here, after))
  const t = (x - xs[i]!) / h
  const [t2, t3] = [t * t, t * t * t]
  return (2 * t3 - 3 * t2 + 1) * y(i) + (t3 - 2 * t2 + t) * m0 + (3 * t2 - 2 * t3) * y(above) + (t3 - t2) * m1
}

/** The slope at a point between two steps, by their widths and rises. */
function slopeBetween(h0: number, h1: number, before: number, after: number): number {
  if (before * after <= 0) return 0
  const [w1, w2] = [2 * h1 + h0, h1 + 2 * h0]
  return (w1 + w2) / (w1 / before + w2 / after)
}

/** The slope of a parabola through an end and the two points by it, held back where the curve would overshoot; of two points, their own. */
function endSlope(h0: number, h1: number | undefined, rise0: number, rise1: number | undefined): number {
  if (h1 === undefined || rise1 === undefined) return rise0
  const slope = ((2 * h0 + h1) * rise0 - h0 * rise1) / (h0 + h1)
  if (Math.sign(slope) !== Math.sign(rise0)) return 0
  return Math.sign(rise0) !== Math.sign(rise1) && Math.abs(slope) > 3 * Math.abs(rise0) ? 3 * rise0 : slope
}

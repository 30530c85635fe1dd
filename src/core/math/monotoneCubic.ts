/**
 * A curve through points that never overshoots them: between two it rises or falls as they do. The ends hold beyond it.
 * @param xs rising; at least one. @param ys as many.
 * Source: F. N. Fritsch, R. E. Carlson, Monotone Piecewise Cubic Interpolation (1980), with the weighted harmonic mean of
 * F. N. Fritsch, J. Butland (1984) for the slopes and their three-point slopes at the ends.
 */
export function monotoneCubic(xs: readonly number[], ys: readonly number[]): (x: number) => number {
  const steps = xs.slice(1).map((x, i) => x - xs[i]!)
  const rises = steps.map((h, i) => (ys[i + 1]! - ys[i]!) / h)
  const slopes = xs.map((_, i) => slopeAt(i, steps, rises))
  return (x) => {
    if (x <= xs[0]! || xs.length === 1) return ys[0]!
    const above = xs.findIndex((each) => each >= x)
    if (above < 0) return ys.at(-1)!
    const i = above - 1
    const h = steps[i]!
    const t = (x - xs[i]!) / h
    const [y0, y1, m0, m1] = [ys[i]!, ys[above]!, slopes[i]! * h, slopes[above]! * h]
    const t2 = t * t
    const t3 = t2 * t
    return (2 * t3 - 3 * t2 + 1) * y0 + (t3 - 2 * t2 + t) * m0 + (3 * t2 - 2 * t3) * y1 + (t3 - t2) * m1
  }
}

function slopeAt(i: number, steps: readonly number[], rises: readonly number[]): number {
  const last = rises.length
  if (last === 0) return 0
  if (last === 1) return rises[0]!
  if (i === 0) return endSlope(steps[0]!, steps[1]!, rises[0]!, rises[1]!)
  if (i === last) return endSlope(steps[last - 1]!, steps[last - 2]!, rises[last - 1]!, rises[last - 2]!)
  const [before, after] = [rises[i - 1]!, rises[i]!]
  if (before * after <= 0) return 0
  const [w1, w2] = [2 * steps[i]! + steps[i - 1]!, steps[i]! + 2 * steps[i - 1]!]
  return (w1 + w2) / (w1 / before + w2 / after)
}

/** The slope of a parabola through an end and the two points by it, held back where the curve would overshoot. */
function endSlope(h0: number, h1: number, rise0: number, rise1: number): number {
  const slope = ((2 * h0 + h1) * rise0 - h0 * rise1) / (h0 + h1)
  if (Math.sign(slope) !== Math.sign(rise0)) return 0
  return Math.sign(rise0) !== Math.sign(rise1) && Math.abs(slope) > 3 * Math.abs(rise0) ? 3 * rise0 : slope
}

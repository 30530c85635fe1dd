/**
 * The highest value of the cubic through two points with their slopes, where it rises at the first and falls at the second: where its
 * slope, a parabola, falls through zero.
 * @param slopeFrom rise over the whole way at the first point, over nought; `slopeTo` at the second, under it.
 */
export function cubicTop(from: number, to: number, slopeFrom: number, slopeTo: number): number {
  const rise = to - from
  const [p, q] = [3 * (slopeFrom + slopeTo - 2 * rise), 2 * (3 * rise - 2 * slopeFrom - slopeTo)]
  const root = Math.sqrt(Math.max(0, q * q - 4 * p * slopeFrom))
  const t = (2 * slopeFrom) / (-q + root)
  return t > 0 && t < 1 ? from + t * (slopeFrom + t * (q / 2 + (t * p) / 3)) : Math.max(from, to)
}

/** Abscissae and weights of the eight-point Gauss–Legendre rule on [−1, 1] (Abramowitz and Stegun, table 25.4). */
const NODES = [0.1834346424956498, 0.525532409916329, 0.7966664774136267, 0.9602898564975363]
const WEIGHTS = [0.362683783378362, 0.3137066458778873, 0.2223810344533745, 0.1012285362903763]

/** Calls `visit(x, weight)` for the eight points of [low, high]; Σ weight·f(x) integrates polynomials up to degree 15 exactly. */
export function forEachGaussPoint(low: number, high: number, visit: (x: number, weight: number) => void): void {
  const middle = (low + high) / 2
  const half = (high - low) / 2
  for (let i = 0; i < 4; i += 1) {
    const weight = WEIGHTS[i]! * half
    visit(middle - half * NODES[i]!, weight)
    visit(middle + half * NODES[i]!, weight)
  }
}

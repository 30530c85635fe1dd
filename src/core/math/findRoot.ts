import { CoreError } from '../errors.ts'

const MAX_STEPS = 200

/**
 * Root of a function that changes sign between two places, by secants that never leave the bracket (the Illinois rule), halving it
 * where the function is endless.
 * @param tolerance width of the bracket, or distance of two guesses, at which the root is found.
 * @throws CoreError 'no-convergence' where it does not change sign, or is not found in 200 steps.
 * Source: M. Dowell, P. Jarratt, A modified regula falsi method (1971).
 */
export function findRoot(f: (x: number) => number, from: number, to: number, tolerance: number): number {
  let [a, b] = [from, to]
  let [fa, fb] = [f(a), f(b)]
  if (fa === 0) return a
  if (fb === 0) return b
  if (!(fa > 0 !== fb > 0)) throw new CoreError('no-convergence', `No change of sign between ${from} and ${to}`, { from, to })
  let kept: 'a' | 'b' | undefined
  for (let i = 0; i < MAX_STEPS; i += 1) {
    const straight = Number.isFinite(fa) && Number.isFinite(fb)
    const secant = straight ? b - (fb * (b - a)) / (fb - fa) : (a + b) / 2
    // Between nearly equal figures, rounding throws the secant out of its bracket.
    const x = Math.min(Math.max(secant, Math.min(a, b)), Math.max(a, b))
    const fx = f(x)
    if (fx === 0 || Math.abs(b - a) <= tolerance) return x
    if (fx > 0 === fb > 0) {
      if (straight && Math.abs(x - b) <= tolerance / 4 && Math.abs(fx) < 1e-9) return x
      ;[b, fb] = [x, fx]
      if (kept === 'a') fa /= 2
      kept = 'a'
    } else {
      if (straight && Math.abs(x - a) <= tolerance / 4 && Math.abs(fx) < 1e-9) return x
      ;[a, fa] = [x, fx]
      if (kept === 'b') fb /= 2
      kept = 'b'
    }
  }
  throw new CoreError('no-convergence', `No root was closed in on between ${from} and ${to}`, { from, to })
}

import { CoreError } from '../errors.ts'
import { findRoot } from './findRoot.ts'

export type Derivative = (t: number, y: readonly number[]) => number[]
export type StepResult = { y: number[]; error: number[] }

const C = [0, 1 / 5, 3 / 10, 4 / 5, 8 / 9, 1, 1]
const A = [
  [],
  [1 / 5],
  [3 / 40, 9 / 40],
  [44 / 45, -56 / 15, 32 / 9],
  [19372 / 6561, -25360 / 2187, 64448 / 6561, -212 / 729],
  [9017 / 3168, -355 / 33, 46732 / 5247, 49 / 176, -5103 / 18656],
  [35 / 384, 0, 500 / 1113, 125 / 192, -2187 / 6784, 11 / 84],
]
/** Fifth-order weights less the fourth-order ones. */
const E = [71 / 57600, 0, -71 / 16695, 71 / 1920, -17253 / 339200, 22 / 525, -1 / 40]

/**
 * One embedded Runge–Kutta step of order 5 with a fourth-order error estimate.
 * Source: J. R. Dormand, P. J. Prince, A family of embedded Runge–Kutta formulae (1980).
 */
export function dormandPrinceStep(f: Derivative, t: number, y: readonly number[], h: number): StepResult {
  const k: number[][] = []
  for (let stage = 0; stage < 7; stage += 1) {
    const row = A[stage]!
    const at = y.map((value, i) => value + h * row.reduce((sum, a, j) => sum + a * k[j]![i]!, 0))
    k.push(f(t + C[stage]! * h, at))
  }
  const combine = (weights: readonly number[], i: number) => weights.reduce((sum, w, stage) => sum + w * (k[stage]?.[i] ?? 0), 0)
  return { y: y.map((value, i) => value + h * combine(A[6]!, i)), error: y.map((_, i) => h * combine(E, i)) }
}

const MOST_STEPS = 4_000

export type EventOptions = { tolerance: number; firstStep: number; longest: number }

/**
 * Integrates y' = f(t, y) from t = 0 until `event(y)` falls through zero, and lands on it: the last step is repeated with
 * the length that meets it, so the crossing is as accurate as the steps, not a linear guess.
 * @throws CoreError 'no-convergence' when the event is not met by `longest`, or within so many steps that they shrink without end.
 */
export function integrateToEvent(
  f: Derivative,
  start: readonly number[],
  event: (y: readonly number[]) => number,
  options: EventOptions,
): { t: number; y: number[] } {
  let t = 0
  let y = [...start]
  let h = options.firstStep
  for (let steps = 0; t < options.longest && steps < MOST_STEPS; steps += 1) {
    const step = dormandPrinceStep(f, t, y, h)
    const ratio = Math.max(...step.error.map((e, i) => Math.abs(e) / (options.tolerance * (1 + Math.abs(step.y[i]!)))))
    if (ratio <= 1) {
      if (event(step.y) < 0) return landOn(f, t, y, h, event)
      t += h
      y = step.y
    }
    h *= Math.min(4, Math.max(0.2, 0.9 * Math.max(ratio, 1e-10) ** -0.2))
  }
  throw new CoreError('no-convergence', `The end was not reached by ${options.longest}`, { longest: options.longest })
}

function landOn(
  f: Derivative,
  t: number,
  y: number[],
  h: number,
  event: (y: readonly number[]) => number,
): { t: number; y: number[] } {
  const met = findRoot((part) => event(part === 0 ? y : dormandPrinceStep(f, t, y, part).y), 0, h, 1e-12 * h)
  return { t: t + met, y: dormandPrinceStep(f, t, y, met).y }
}

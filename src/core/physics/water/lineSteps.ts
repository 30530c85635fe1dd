import { CoreError } from '../../errors.ts'

/** Slope of a line’s state along it. A state is a place, its height last, and the pull there in as many parts. */
export type Slope = (y: Float64Array, out: Float64Array) => void

/** Why a line's integration ended. */
export type LineEnd = 'height' | 'length' | 'slack' | 'lost'

export type StateStop = {
  /** Where the integration ends: at a height, or at a length, whichever comes first. */
  zM?: number | undefined
  sM: number
  /** Error allowed in a step, over the scale of the problem. */
  tolerance: number
  lengthScaleM: number
  forceScaleN: number
  /** Whether a vertical pull that falls to nothing ends it. */
  untilSlack: boolean
  /** After so many steps it ends where it is, `lost`; left out, far more than any line needs. */
  mostSteps?: number
  /** Told each state but the last. */
  onState?: ((s: number, y: Float64Array) => void) | undefined
}

// Dormand–Prince 5(4), the last stage of a step being the first of the next.
const A21 = 1 / 5
const [A31, A32] = [3 / 40, 9 / 40]
const [A41, A42, A43] = [44 / 45, -56 / 15, 32 / 9]
const [A51, A52, A53, A54] = [19372 / 6561, -25360 / 2187, 64448 / 6561, -212 / 729]
const [A61, A62, A63, A64, A65] = [9017 / 3168, -355 / 33, 46732 / 5247, 49 / 176, -5103 / 18656]
const [B1, B3, B4, B5, B6] = [35 / 384, 500 / 1113, 125 / 192, -2187 / 6784, 11 / 84]
const [E1, E3, E4, E5, E6, E7] = [71 / 57600, -71 / 16695, 71 / 1920, -17253 / 339200, 22 / 525, -1 / 40]

const MOST_STEPS = 10_000
/** Newton steps that land on a height. */
const LANDING_STEPS = 30

/**
 * Follows a line along its own slope.
 * @param from where it begins; `y` is changed to the state that it ends at, exactly on the height or the length asked for.
 * @returns how far along that is, and why it is the last.
 * @throws CoreError 'no-convergence' if the steps shrink without end.
 * Source: J. R. Dormand, P. J. Prince, A family of embedded Runge–Kutta formulae (1980).
 */
export function followState(slope: Slope, from: number, y: Float64Array, stop: StateStop): { s: number; end: LineEnd } {
  const half = y.length / 2
  const k = Array.from({ length: 7 }, () => new Float64Array(y.length))
  const next = new Float64Array(y.length)
  const stage = new Float64Array(y.length)
  const { tolerance, lengthScaleM, forceScaleN } = stop
  let s = from
  let h = Math.min(stop.sM - s, lengthScaleM / 50)
  slope(y, k[0]!)
  const { mostSteps = MOST_STEPS } = stop
  for (let steps = 0; steps < mostSteps; steps += 1) {
    h = Math.min(h, stop.sM - s)
    const error = tryStep(slope, y, k, stage, next, h, lengthScaleM, forceScaleN) / tolerance
    if (!(error <= 1)) {
      h *= Math.max(0.2, 0.9 * (Number.isFinite(error) ? error : 1e10) ** -0.2)
      if (!(h > 1e-14 * lengthScaleM)) break
      continue
    }
    if (stop.zM !== undefined && next[half - 1]! >= stop.zM) {
      s += land(slope, y, k, stage, next, h, stop.zM)
      y.set(next)
      return { s, end: 'height' }
    }
    s += h
    y.set(next)
    if (stop.untilSlack && y[y.length - 1]! <= 0) return { s, end: 'slack' }
    k[0]!.set(k[6]!)
    stop.onState?.(s, y)
    if (stop.sM - s <= 1e-12 * lengthScaleM) return { s, end: 'length' }
    h *= Math.min(5, 0.9 * Math.max(error, 1e-6) ** -0.2)
  }
  if (stop.mostSteps !== undefined) return { s, end: 'lost' }
  throw new CoreError('no-convergence', 'The line’s shape could not be followed', { value: s })
}

/** One step of length h from y into `next`; the stages are left in k. Returns the largest error over its scale. */
function tryStep(
  slope: Slope,
  y: Float64Array,
  k: Float64Array[],
  stage: Float64Array,
  next: Float64Array,
  h: number,
  lengthScaleM: number,
  forceScaleN: number,
): number {
  const [k1, k2, k3, k4, k5, k6, k7] = k as [
    Float64Array,
    Float64Array,
    Float64Array,
    Float64Array,
    Float64Array,
    Float64Array,
    Float64Array,
  ]
  const n = y.length
  for (let i = 0; i < n; i += 1) stage[i] = y[i]! + h * A21 * k1[i]!
  slope(stage, k2)
  for (let i = 0; i < n; i += 1) stage[i] = y[i]! + h * (A31! * k1[i]! + A32! * k2[i]!)
  slope(stage, k3)
  for (let i = 0; i < n; i += 1) stage[i] = y[i]! + h * (A41! * k1[i]! + A42! * k2[i]! + A43! * k3[i]!)
  slope(stage, k4)
  for (let i = 0; i < n; i += 1) stage[i] = y[i]! + h * (A51! * k1[i]! + A52! * k2[i]! + A53! * k3[i]! + A54! * k4[i]!)
  slope(stage, k5)
  for (let i = 0; i < n; i += 1)
    stage[i] = y[i]! + h * (A61! * k1[i]! + A62! * k2[i]! + A63! * k3[i]! + A64! * k4[i]! + A65! * k5[i]!)
  slope(stage, k6)
  for (let i = 0; i < n; i += 1) next[i] = y[i]! + h * (B1! * k1[i]! + B3! * k3[i]! + B4! * k4[i]! + B5! * k5[i]! + B6! * k6[i]!)
  slope(next, k7)
  let worst = 0
  for (let i = 0; i < n; i += 1) {
    const error = Math.abs(h * (E1! * k1[i]! + E3! * k3[i]! + E4! * k4[i]! + E5! * k5[i]! + E6! * k6[i]! + E7! * k7[i]!))
    const ratio = error / (2 * i < n ? lengthScaleM : forceScaleN)
    // NaN must not pass for a small error.
    if (!(ratio <= worst)) worst = ratio
  }
  return worst
}

/** Shortens the step until it ends on a height: Newton on its length, whose derivative is the line's own slope there. */
function land(
  slope: Slope,
  y: Float64Array,
  k: Float64Array[],
  stage: Float64Array,
  next: Float64Array,
  h: number,
  zM: number,
): number {
  const z = y.length / 2 - 1
  let length = (h * (zM - y[z]!)) / (next[z]! - y[z]!)
  for (let i = 0; i < LANDING_STEPS; i += 1) {
    tryStep(slope, y, k, stage, next, length, 1, 1)
    const missedM = next[z]! - zM
    if (Math.abs(missedM) <= 1e-13 * Math.max(1, Math.abs(zM))) break
    length = Math.min(h, Math.max(0, length - missedM / Math.max(k[6]![z]!, 1e-6)))
  }
  return length
}

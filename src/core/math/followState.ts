import { CoreError } from '../errors.ts'

/** Slope of a state along its way. A state is as many places as rates: of a line where it is and the pull, of what flies its velocity. */
export type Slope = (y: Float64Array, out: Float64Array) => void

/** Why following it ended: as the last place rose to `upTo`, at `longest`, as the last rate fell to nothing, or after so many steps. */
export type StateEnd = 'reached' | 'longest' | 'spent' | 'lost'

export type StateStop = {
  upTo?: number | undefined
  longest: number
  untilSpent: boolean
  /** After so many steps it ends where it is, `lost`; left out, far more than any way needs. */
  mostSteps?: number
  /** Error allowed in a step, over the scales of the problem. */
  tolerance: number
  scales: { along: number; places: number; rates: number }
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

const MAX_STEPS = 10_000
/** Newton steps that land on `upTo`. */
const LANDING_STEPS = 30
/** From this near, over the scale, a straight piece lands where another step would. */
const STRAIGHT = 1e-8

/** What the steps are worked out in, for states of one length: whoever follows many makes it once. */
export type StepRoom = { k: Stages; next: Float64Array; stage: Float64Array; error: Float64Array }
type Stages = Record<'k1' | 'k2' | 'k3' | 'k4' | 'k5' | 'k6' | 'k7', Float64Array>

export function stepRoom(length: number): StepRoom {
  const row = () => new Float64Array(length)
  return {
    k: { k1: row(), k2: row(), k3: row(), k4: row(), k5: row(), k6: row(), k7: row() },
    next: row(),
    stage: row(),
    error: row(),
  }
}

/**
 * Follows a state along its own slope.
 * @param from where along it begins; `y` is changed to the state that it ends at, on `upTo` or the length asked for.
 * @returns how far along that is, and why it is the last.
 * @throws CoreError 'no-convergence' if the steps shrink without end.
 * Source: J. R. Dormand, P. J. Prince, A family of embedded Runge–Kutta formulae (1980).
 */
export function followState(
  slope: Slope,
  from: number,
  y: Float64Array,
  stop: StateStop,
  room: StepRoom = stepRoom(y.length),
): { s: number; end: StateEnd } {
  const half = y.length / 2
  const { k, next } = room
  const { tolerance, scales, upTo, longest } = stop
  let s = from
  let h = Math.min(longest - s, (tolerance ** 0.2 / 2) * scales.along)
  slope(y, k.k1)
  const { mostSteps = MAX_STEPS } = stop
  for (let steps = 0; steps < mostSteps; steps += 1) {
    h = Math.min(h, longest - s)
    dormandPrinceStep(slope, y, room, h)
    const error = worst(room.error, scales) / tolerance
    if (!(error <= 1)) {
      h *= Math.max(0.2, 0.9 * (Number.isFinite(error) ? error : 1e10) ** -0.2)
      if (!(h > 1e-14 * scales.along)) break
      continue
    }
    if (upTo !== undefined && next[half - 1]! >= upTo) {
      s += land(slope, y, room, h, upTo, scales.places)
      y.set(next)
      return { s, end: 'reached' }
    }
    s += h
    y.set(next)
    if (stop.untilSpent && y[y.length - 1]! <= 0) return { s, end: 'spent' }
    k.k1.set(k.k7)
    stop.onState?.(s, y)
    if (longest - s <= 1e-12 * scales.along) return { s, end: 'longest' }
    h *= Math.min(5, 0.9 * Math.max(error, 1e-6) ** -0.2)
  }
  if (stop.mostSteps !== undefined) return { s, end: 'lost' }
  throw new CoreError('no-convergence', 'A way could not be followed: its steps shrink without end', { value: s })
}

/** One step of length h from y into the room's `next`, with its error beside it; the slope at its end is left in k7. */
export function dormandPrinceStep(slope: Slope, y: Float64Array, room: StepRoom, h: number): void {
  const { next, stage, error } = room
  const { k1, k2, k3, k4, k5, k6, k7 } = room.k
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
  for (let i = 0; i < n; i += 1)
    error[i] = h * (E1! * k1[i]! + E3! * k3[i]! + E4! * k4[i]! + E5! * k5[i]! + E6! * k6[i]! + E7! * k7[i]!)
}

/** The largest error over its scale. */
function worst(error: Float64Array, { places, rates }: StateStop['scales']): number {
  let most = 0
  for (let i = 0; i < error.length; i += 1) {
    const ratio = Math.abs(error[i]!) / (2 * i < error.length ? places : rates)
    // NaN must not pass for a small error.
    if (!(ratio <= most)) most = ratio
  }
  return most
}

/**
 * Shortens the step until its last place is where it is to be. The cubic through both its ends with their slopes says about where; Newton on the
 * length, whose derivative is the slope there, the rest; the last hair is straight.
 */
function land(slope: Slope, y: Float64Array, room: StepRoom, h: number, upTo: number, scale: number): number {
  const { k, next } = room
  const z = y.length / 2 - 1
  let length = h * cubicShare(y[z]!, next[z]!, h * k.k1[z]!, h * k.k7[z]!, upTo)
  for (let i = 0; i < LANDING_STEPS; i += 1) {
    dormandPrinceStep(slope, y, room, length)
    const missed = upTo - next[z]!
    const met = Math.min(h, Math.max(0, length + missed / Math.max(k.k7[z]!, 1e-6)))
    if (Math.abs(missed) <= STRAIGHT * scale) {
      for (let j = 0; j < next.length; j += 1) next[j]! += (met - length) * k.k7[j]!
      return met
    }
    length = met
  }
  return length
}

/** The share of a step at which the cubic through its ends and their slopes is at a value between them. */
function cubicShare(from: number, to: number, slopeFrom: number, slopeTo: number, value: number): number {
  const rise = to - from
  const [b, c] = [3 * rise - 2 * slopeFrom - slopeTo, slopeFrom + slopeTo - 2 * rise]
  let t = (value - from) / rise
  for (let i = 0; i < 3; i += 1) {
    const slope = slopeFrom + t * (2 * b + t * 3 * c)
    if (!(slope > 0)) break
    t = Math.min(1, Math.max(0, t - (from + t * (slopeFrom + t * (b + t * c)) - value) / slope))
  }
  return t
}

import { CoreError } from '../../errors.ts'
import { GRAVITY_M_PER_S2 } from '../../math/constants.ts'
import type { CurrentProfile } from './current.ts'

/** Drag coefficients of line across and along the flow. Sources: H. O. Berteaux, Buoy Engineering (1976); S. F. Hoerner (1965). */
export const NORMAL_COEFFICIENT = 1.2
export const TANGENTIAL_COEFFICIENT = 0.03

/** A length of one line in water. */
export type WaterLine = { diameterM: number; densityKgperM3: number }

export type LineForces = {
  line: WaterLine
  current: CurrentProfile
  waterDensityKgperM3: number
  /** Along-flow coefficient; 0 for the closed forms. */
  tangentialCoefficient?: number
}

/** A point of a line: how far along, where (x down-current, z up), and the pull of what is above on it. */
export type LinePoint = { s: number; x: number; z: number; tx: number; tz: number }

export type LineStop = {
  /** Where the integration ends: at a height, or at a length, whichever comes first. */
  zM?: number
  sM: number
  /** Error allowed in a step, over the scale of the problem. */
  tolerance: number
  lengthScaleM: number
  forceScaleN: number
  /** Whether a vertical pull that falls to nothing ends it. */
  untilSlack: boolean
  onPoint?: (point: LinePoint) => void
}

/** Why a line's integration ended. */
export type LineEnd = 'height' | 'length' | 'slack'

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
 * Equilibrium of a line in a current, from one end on: `d(T t)/ds + f − w ẑ = 0`, `dr/ds = t`, with the fluid's force per length
 * `½ρCn d |Un| Un` across and `½ρCt d |Ut| Ut` along the line, and its submerged weight w.
 * @param start where the line begins, with the pull of the line on what it begins at; the pull must not be zero.
 * @returns the last point, exactly on the height or length asked for, and why it is the last.
 * @throws CoreError 'no-convergence' if the steps shrink without end.
 * Source: H. O. Berteaux, Buoy Engineering (1976); Dormand and Prince (1980) for the steps. Valid: inextensible line without
 * bending stiffness, steady current along x.
 */
export function followLine(forces: LineForces, start: LinePoint, stop: LineStop): { point: LinePoint; end: LineEnd } {
  const slope = slopeOf(forces)
  const k = Array.from({ length: 7 }, () => new Float64Array(4))
  const y = Float64Array.of(start.x, start.z, start.tx, start.tz)
  const next = new Float64Array(4)
  const stage = new Float64Array(4)
  const { tolerance, lengthScaleM, forceScaleN } = stop
  let s = start.s
  let h = Math.min(stop.sM - s, lengthScaleM / 50)
  slope(y, k[0]!)
  for (let steps = 0; steps < MOST_STEPS; steps += 1) {
    h = Math.min(h, stop.sM - s)
    const error = tryStep(slope, y, k, stage, next, h, lengthScaleM, forceScaleN) / tolerance
    if (!(error <= 1)) {
      h *= Math.max(0.2, 0.9 * (Number.isFinite(error) ? error : 1e10) ** -0.2)
      if (!(h > 1e-14 * lengthScaleM)) break
      continue
    }
    if (stop.zM !== undefined && next[1]! >= stop.zM) {
      const landed = land(slope, y, k, stage, next, h, stop.zM)
      return { point: pointAt(s + landed, next), end: 'height' }
    }
    s += h
    if (stop.untilSlack && next[3]! <= 0) return { point: pointAt(s, next), end: 'slack' }
    y.set(next)
    k[0]!.set(k[6]!)
    stop.onPoint?.(pointAt(s, y))
    if (stop.sM - s <= 1e-12 * lengthScaleM) return { point: pointAt(s, y), end: 'length' }
    h *= Math.min(5, 0.9 * Math.max(error, 1e-6) ** -0.2)
  }
  throw new CoreError('no-convergence', 'The line’s shape could not be followed', { value: s })
}

type Slope = (y: Float64Array, out: Float64Array) => void

function slopeOf({ line, current, waterDensityKgperM3: rho, tangentialCoefficient = TANGENTIAL_COEFFICIENT }: LineForces): Slope {
  const normal = 0.5 * rho * NORMAL_COEFFICIENT * line.diameterM
  const tangential = 0.5 * rho * tangentialCoefficient * line.diameterM
  const weight = (line.densityKgperM3 - rho) * GRAVITY_M_PER_S2 * (Math.PI / 4) * line.diameterM ** 2
  return (y, out) => {
    const [tx, tz] = [y[2]!, y[3]!]
    const pull = Math.sqrt(tx * tx + tz * tz)
    const [cx, cz] = [tx / pull, tz / pull]
    const u = current(y[1]!)
    // Across: u cz (cz, −cx); along: u cx (cx, cz).
    const across = normal * Math.abs(u * cz) * u * cz
    const along = tangential * Math.abs(u * cx) * u * cx
    out[0] = cx
    out[1] = cz
    out[2] = -(across * cz + along * cx)
    out[3] = -(-across * cx + along * cz) + weight
  }
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
  for (let i = 0; i < 4; i += 1) stage[i] = y[i]! + h * A21 * k1[i]!
  slope(stage, k2)
  for (let i = 0; i < 4; i += 1) stage[i] = y[i]! + h * (A31! * k1[i]! + A32! * k2[i]!)
  slope(stage, k3)
  for (let i = 0; i < 4; i += 1) stage[i] = y[i]! + h * (A41! * k1[i]! + A42! * k2[i]! + A43! * k3[i]!)
  slope(stage, k4)
  for (let i = 0; i < 4; i += 1) stage[i] = y[i]! + h * (A51! * k1[i]! + A52! * k2[i]! + A53! * k3[i]! + A54! * k4[i]!)
  slope(stage, k5)
  for (let i = 0; i < 4; i += 1)
    stage[i] = y[i]! + h * (A61! * k1[i]! + A62! * k2[i]! + A63! * k3[i]! + A64! * k4[i]! + A65! * k5[i]!)
  slope(stage, k6)
  for (let i = 0; i < 4; i += 1) next[i] = y[i]! + h * (B1! * k1[i]! + B3! * k3[i]! + B4! * k4[i]! + B5! * k5[i]! + B6! * k6[i]!)
  slope(next, k7)
  let worst = 0
  for (let i = 0; i < 4; i += 1) {
    const error = Math.abs(h * (E1! * k1[i]! + E3! * k3[i]! + E4! * k4[i]! + E5! * k5[i]! + E6! * k6[i]! + E7! * k7[i]!))
    const ratio = error / (i < 2 ? lengthScaleM : forceScaleN)
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
  let length = (h * (zM - y[1]!)) / (next[1]! - y[1]!)
  for (let i = 0; i < LANDING_STEPS; i += 1) {
    tryStep(slope, y, k, stage, next, length, 1, 1)
    const missedM = next[1]! - zM
    if (Math.abs(missedM) <= 1e-13 * Math.max(1, Math.abs(zM))) break
    length = Math.min(h, Math.max(0, length - missedM / Math.max(k[6]![1]!, 1e-6)))
  }
  return length
}

const pointAt = (s: number, y: Float64Array): LinePoint => ({ s, x: y[0]!, z: y[1]!, tx: y[2]!, tz: y[3]! })

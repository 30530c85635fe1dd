import { CoreError } from '../../errors.ts'
import { AIR_KG_PER_M3, GRAVITY_M_PER_S2, SEA_WATER_KG_PER_M3 } from '../../math/constants.ts'
import { BED_LAYER_M, powerProfile } from './current.ts'
import { NORMAL_COEFFICIENT, TANGENTIAL_COEFFICIENT } from './lineInWater.ts'
import { followState, type Slope } from './lineSteps.ts'
import { pushN } from './push.ts'
import { checkScope, sinhOverRoot } from './shoreHold.ts'
import { massOfSubmergedKg } from './sphere.ts'

export type ShoreLineInput = {
  lineDiameterM: number
  lineDensityKgperM3: number
  surfaceCurrentMperS: number
  depthM: number
  /** Level distance from rod to sinker, m. */
  spanM: number
  /** Rod tip over the water, m. */
  tipHeightM: number
  /** Line out over the straight way from rod tip to sinker. */
  scope: number
  profileExponent: number
  grip: number
  /** What wires in the bed bear along it, whatever the sinker weighs; 0 without them. */
  breakOutN: number
  sinkerDensityKgperM3: number
  baitDragAreaM2: number
  waterDensityKgperM3?: number | undefined
}
/** What line and bait do to the sinker, along the bed and up; the pull at the rod tip; how far the line bows down-current. */
export type ShoreLine = { pullN: number; liftN: number; rodPullN: number; bowM: number; sinkerMassKg: number }
/** A point of the line: how far along, where (x down-current, y towards the rod, z up), and the pull of what is beyond it, N. */
export type ShorePoint = { s: number; x: number; y: number; z: number; tx: number; ty: number; tz: number }

/** Error allowed in a step, over the slack in the line: what a pull is worth hangs on how well the slack is known. */
const TOLERANCE = 2e-5
/** Step of the Jacobian’s differences: large enough that the steps' own error does not show in them. */
const DIFFERENCE = 1e-4
/** How close the line’s end must come to the rod tip, over the slack. */
const CLOSE = 2e-4
const MOST_STEPS = 30
/** Steps along the line that a sensible pull needs many times less than. */
const MOST_ALONG = 300
/** Pulls, over that of an even current, tried one after the other where the first leads nowhere. */
const STARTS = [1, 0.4, 0.15, 2.5, 0.05]

/**
 * The line from a sinker on the bed to a rod on the shore, across a stream: in the water the line in a current, in three dimensions and
 * with the stream's profile; above it only the line's weight. Three unknowns, the pull at the sinker, three conditions, the rod tip: shot
 * and solved by damped Newton in the pull's logarithm and two angles, with Broyden's updates, from the bow in an even current.
 * The sinker must weigh `max(0, pullN − breakOutN) / grip + liftN` in the water: wires bear pull along the bed, never lift.
 * @throws CoreError 'line-too-short' under a scope of 1.005; 'out-of-range' over 3, or without a current; 'line-on-bed' where the line
 * lies along the bed; 'no-convergence' where no pull brings it to the rod.
 * Source: H. O. Berteaux, Buoy Engineering (1976). Valid: steady stream straight across; the sinker's own drag left out.
 */
export function waterShoreLine(input: ShoreLineInput, onPoint?: (point: ShorePoint) => void): ShoreLine {
  checkScope(input.scope, input.surfaceCurrentMperS)
  const rho = input.waterDensityKgperM3 ?? SEA_WATER_KG_PER_M3
  const shoot = shotOf(input, rho)
  const found = solve(shoot, evenStart(input, rho), CLOSE * (input.scope - 1))
  const { bowM, rodPullN } = shoot(found, onPoint ?? (() => {}))
  const { across, along, up } = pullOf(found)
  const baitN = pushN(input.baitDragAreaM2, profileOf(input)(BED_LAYER_M), rho)
  const pullN = Math.hypot(across + baitN, along)
  if (up < 0)
    throw new CoreError('line-on-bed', 'The line lies along the bed: less line out, or a higher rod', { value: up, pullN })
  const neededN = Math.max(0, pullN - input.breakOutN) / input.grip + up
  return {
    pullN,
    liftN: up,
    rodPullN,
    bowM,
    sinkerMassKg: massOfSubmergedKg(neededN, input.sinkerDensityKgperM3, rho),
  }
}

/** The pull on the sinker: its logarithm, its angle off the way to the rod, down-current, and its angle over the bed. */
type Pull = readonly [logN: number, downCurrent: number, rise: number]

function pullOf([logN, downCurrent, rise]: Pull): { across: number; along: number; up: number } {
  const level = Math.exp(logN) * Math.cos(rise)
  return { across: level * Math.sin(downCurrent), along: level * Math.cos(downCurrent), up: Math.exp(logN) * Math.sin(rise) }
}

const profileOf = ({ surfaceCurrentMperS, depthM, profileExponent }: ShoreLineInput) =>
  powerProfile(surfaceCurrentMperS, depthM, profileExponent)

const chordOf = ({ spanM, depthM, tipHeightM }: ShoreLineInput) => Math.hypot(spanM, depthM + tipHeightM)

type Missed = [number, number, number]
type Shot = { missed: Missed; rodPullN: number; bowM: number }
type Shoot = (pull: Pull, onPoint?: (point: ShorePoint) => void) => Shot

/** Follows the line that a pull at the sinker makes: how far its end misses the rod tip, over the straight way. */
function shotOf(input: ShoreLineInput, rho: number): Shoot {
  const { lineDiameterM: d, lineDensityKgperM3, depthM, spanM, tipHeightM, scope } = input
  const chordM = chordOf(input)
  const lineM = scope * chordM
  const slope = slopeInStream(input, rho)
  const airNperM = (lineDensityKgperM3 - AIR_KG_PER_M3) * GRAVITY_M_PER_S2 * (Math.PI / 4) * d ** 2
  const state = new Float64Array(6)
  return (pull, onPoint) => {
    const { across, along, up } = pullOf(pull)
    state.set([0, 0, 0, across, along, up])
    const bow = new Bow(state)
    const onState = onPoint && ((s: number, y: Float64Array) => bow.pass(s, y, onPoint))
    const stop = {
      sM: lineM,
      tolerance: TOLERANCE * (scope - 1),
      lengthScaleM: chordM,
      forceScaleN: Math.exp(pull[0]),
      untilSlack: false,
      mostSteps: MOST_ALONG,
      onState,
    }
    onPoint?.(pointAt(0, state))
    let { s, end } = followState(slope, 0, state, { ...stop, zM: Math.min(BED_LAYER_M, depthM) })
    // The stream's profile has a kink there.
    if (end === 'height' && depthM > BED_LAYER_M) {
      onState?.(s, state)
      ;({ s, end } = followState(slope, s, state, { ...stop, zM: depthM }))
    }
    onState?.(s, state)
    const rodPullN = throughAir(state, end === 'height' ? lineM - s : 0, airNperM)
    onState?.(lineM, state)
    return {
      missed: [state[0]! / chordM, (state[1]! - spanM) / chordM, (state[2]! - depthM - tipHeightM) / chordM],
      rodPullN,
      bowM: bow.farthestM,
    }
  }
}

function slopeInStream(input: ShoreLineInput, rho: number): Slope {
  const { lineDiameterM: d } = input
  const current = profileOf(input)
  const normal = 0.5 * rho * NORMAL_COEFFICIENT * d
  const tangential = 0.5 * rho * TANGENTIAL_COEFFICIENT * d
  const weight = (input.lineDensityKgperM3 - rho) * GRAVITY_M_PER_S2 * (Math.PI / 4) * d ** 2
  return (y, out) => {
    const [tx, ty, tz] = [y[3]!, y[4]!, y[5]!]
    const pull = Math.sqrt(tx * tx + ty * ty + tz * tz)
    const [cx, cy, cz] = [tx / pull, ty / pull, tz / pull]
    const u = current(y[2]!)
    // The stream along the line is u cx; what is left of it is across.
    const acrossShare = Math.max(0, 1 - cx * cx)
    const across = normal * Math.abs(u) * Math.sqrt(acrossShare) * u
    const along = tangential * Math.abs(u * cx) * u * cx
    out[0] = cx
    out[1] = cy
    out[2] = cz
    out[3] = -(across * acrossShare + along * cx)
    out[4] = across * cx * cy - along * cy
    out[5] = across * cx * cz - along * cz + weight
  }
}

/**
 * Takes a state through so much line in the air, where it hangs as a catenary.
 * @returns the pull at its end, N.
 */
function throughAir(state: Float64Array, lengthM: number, weightNperM: number): number {
  const [tx, ty, tz] = [state[3]!, state[4]!, state[5]!]
  const levelN = Math.hypot(tx, ty)
  const endN = tz + weightNperM * lengthM
  const overM = (levelN / weightNperM) * (Math.asinh(endN / levelN) - Math.asinh(tz / levelN))
  state[0]! += (overM * tx) / levelN
  state[1]! += (overM * ty) / levelN
  state[2]! += (Math.hypot(levelN, endN) - Math.hypot(levelN, tz)) / weightNperM
  state[5] = endN
  return Math.hypot(levelN, endN)
}

/** The furthest a line goes down-current, from its points and its directions there. */
class Bow {
  farthestM = 0
  private x = 0
  private y = 0
  private z = 0
  private slopeX: number

  constructor(start: Float64Array) {
    this.slopeX = slopeX(start)
  }

  pass(s: number, state: Float64Array, onPoint: (point: ShorePoint) => void): void {
    const [x, y, z] = [state[0]!, state[1]!, state[2]!]
    const next = slopeX(state)
    this.farthestM = Math.max(this.farthestM, x)
    if (this.slopeX > 0 && next < 0) {
      // Between the points a cubic through both with their slopes: its top is where its slope, a parabola, falls through zero.
      const h = Math.hypot(x - this.x, y - this.y, z - this.z)
      const [a, b] = [this.slopeX * h, next * h]
      const rise = x - this.x
      const [p, q] = [3 * (a + b - 2 * rise), 2 * (3 * rise - 2 * a - b)]
      const root = Math.sqrt(Math.max(0, q * q - 4 * p * a))
      const t = (2 * a) / (-q + root)
      if (t > 0 && t < 1) this.farthestM = Math.max(this.farthestM, this.x + t * (a + t * (q / 2 + (t * p) / 3)))
    }
    ;[this.x, this.y, this.z, this.slopeX] = [x, y, z, next]
    onPoint(pointAt(s, state))
  }
}

const pointAt = (s: number, state: Float64Array): ShorePoint => {
  const [x, y, z, tx, ty, tz] = state as unknown as [number, number, number, number, number, number]
  return { s, x, y, z, tx, ty, tz }
}

const slopeX = (state: Float64Array) => state[3]! / Math.hypot(state[3]!, state[4]!, state[5]!)

/** About the pull of an even current, as strong as the profile’s mean square: a catenary, its load less for what of it is in the air. */
function evenStart(input: ShoreLineInput, rho: number): Pull {
  const { depthM, tipHeightM } = input
  const x = sinhOverRoot(input.scope)
  const meanSquare = input.surfaceCurrentMperS ** 2 / (1 + 2 * input.profileExponent)
  const q = 0.5 * rho * NORMAL_COEFFICIENT * input.lineDiameterM * meanSquare
  const inWater = depthM / (depthM + tipHeightM)
  const rise = Math.atan2(depthM + tipHeightM, input.spanM)
  return [Math.log((q * inWater * chordOf(input)) / (2 * x)), Math.atan(Math.sinh(x)), rise]
}

function solve(shoot: Shoot, start: Pull, close: number): Pull {
  for (const share of STARTS) {
    const found = newton(shoot, [start[0] + Math.log(share), start[1], start[2]], close)
    if (found) return found
  }
  throw new CoreError('no-convergence', 'No pull brings the line to the rod', { value: Math.exp(start[0]) })
}

const sizeOf = ([a, b, c]: Missed) => Math.hypot(a, b, c)
const plus = (pull: Pull, step: readonly number[], share: number): Pull => [
  pull[0] + share * step[0]!,
  pull[1] + share * step[1]!,
  pull[2] + share * step[2]!,
]

/** Undefined where it gets stuck. */
function newton(shoot: Shoot, start: Pull, close: number): Pull | undefined {
  let pull = start
  let { missed } = shoot(pull)
  let jacobian: number[][] | undefined
  let fresh = false
  for (let i = 0; i < MOST_STEPS && sizeOf(missed) > close; i += 1) {
    if (!jacobian) {
      jacobian = differences(shoot, pull, missed)
      fresh = true
    }
    const step = solved(jacobian, missed)
    const longest = step ? Math.max(Math.abs(step[0]!) / 1.5, Math.abs(step[1]!) / 0.5, Math.abs(step[2]!) / 0.5) : Number.NaN
    if (!step || !Number.isFinite(longest)) return undefined
    let share = Math.min(1, 1 / longest)
    let next = shoot(plus(pull, step, share)).missed
    // A Jacobian that was only updated is not worth many tries.
    while (!(sizeOf(next) < 0.9 * sizeOf(missed)) && share > (fresh ? 1e-3 : 0.3)) {
      share /= 2
      next = shoot(plus(pull, step, share)).missed
    }
    if (!(sizeOf(next) < sizeOf(missed))) {
      if (fresh) return undefined
      jacobian = undefined
      continue
    }
    update(jacobian, step, share, missed, next)
    ;[pull, missed, fresh] = [plus(pull, step, share), next, false]
  }
  return sizeOf(missed) <= close ? pull : undefined
}

/** How each unknown moves each miss: rows are misses. */
function differences(shoot: Shoot, pull: Pull, missed: Missed): number[][] {
  const columns = [0, 1, 2].map((at) => {
    const moved = shoot(
      plus(
        pull,
        [0, 1, 2].map((i) => (i === at ? DIFFERENCE : 0)),
        1,
      ),
    ).missed
    return missed.map((old, i) => (moved[i]! - old) / DIFFERENCE)
  })
  return missed.map((_, row) => columns.map((column) => column[row]!))
}

/** Broyden's update: the least change of the Jacobian that explains what the step did. */
function update(jacobian: number[][], step: readonly number[], share: number, before: Missed, after: Missed): void {
  const length = share * step.reduce((sum, each) => sum + each * each, 0)
  for (const [i, row] of jacobian.entries()) {
    const foreseen = before[i]! + share * row.reduce((sum, each, j) => sum + each * step[j]!, 0)
    for (let j = 0; j < 3; j += 1) row[j]! += ((after[i]! - foreseen) * step[j]!) / length
  }
}

/** The step that takes the misses away, by Cramer's rule; undefined where there is none. */
function solved(jacobian: readonly (readonly number[])[], missed: Missed): number[] | undefined {
  const [a, b, c] = [0, 1, 2].map((column) => jacobian.map((row) => row[column]!)) as [number[], number[], number[]]
  const right = missed.map((each) => -each)
  const whole = determinant(a, b, c)
  if (!(Math.abs(whole) > 1e-300)) return undefined
  return [determinant(right, b, c) / whole, determinant(a, right, c) / whole, determinant(a, b, right) / whole]
}

const determinant = (a: readonly number[], b: readonly number[], c: readonly number[]) =>
  a[0]! * (b[1]! * c[2]! - b[2]! * c[1]!) - b[0]! * (a[1]! * c[2]! - a[2]! * c[1]!) + c[0]! * (a[1]! * b[2]! - a[2]! * b[1]!)

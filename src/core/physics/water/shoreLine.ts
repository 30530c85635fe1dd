import { CoreError } from '../../errors.ts'
import { AIR_KG_PER_M3, SEA_WATER_KG_PER_M3 } from '../../math/constants.ts'
import { cubicTop } from '../../math/cubicTop.ts'
import { followState, stepRoom } from '../../math/followState.ts'
import { type Solution, type SolverTolerance, solveSystem } from '../../math/newton.ts'
import { BED_LAYER_M, powerProfile } from './current.ts'
import { lineWeightNperM, NORMAL_COEFFICIENT, slopeInSpace } from './lineInFluid.ts'
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

/**
 * How closely a line is followed and its end must come to the rod tip, by the slack in it: what a pull is worth hangs on how well the
 * slack is known.
 */
const careFor = (slack: number) => ({
  rough: { tolerance: 1e-3 * slack, close: 1e-2 * slack, difference: 1e-2 },
  fine: { tolerance: 2e-5 * slack, close: 2e-4 * slack, difference: 1e-4 },
})
/** The longest step in the pull's logarithm and its two angles. */
const LONGEST: LineLoad = [1.5, 0.5, 0.5]
/** Steps along the line that a sensible pull needs many times less than. */
const MAX_ALONG = 300
/** Pulls, over the one guessed, tried one after the other where the first leads nowhere. */
const STARTS = [1, 0.4, 0.15, 2.5, 0.05]

/**
 * The line from a sinker on the bed to a rod on the shore, across a stream: in the water the line in a current, in three dimensions and
 * with the stream's profile; above it only the line's weight. Three unknowns, the pull at the sinker, three conditions, the rod tip: shot
 * and solved by damped Newton in the pull's logarithm and two angles, with Broyden's updates, from a catenary of about its load.
 * The sinker must weigh `max(0, pullN − breakOutN) / grip + liftN` in the water: wires bear pull along the bed, never lift.
 * @throws CoreError 'line-too-short' under a scope of 1.005; 'out-of-range' over 3, or without a current; 'line-on-bed' where the line
 * lies along the bed; 'no-convergence' where no pull brings it to the rod.
 * Source: H. O. Berteaux, Buoy Engineering (1976). Valid: steady stream straight across; the sinker's own drag left out.
 */
export function waterShoreLine(input: ShoreLineInput, onPoint?: (point: ShorePoint) => void): ShoreLine {
  checkScope(input.scope, input.surfaceCurrentMperS)
  const rho = input.waterDensityKgperM3 ?? SEA_WATER_KG_PER_M3
  const shoot = shotOf(input, rho)
  const found = solve(shoot, startsFor(input, rho), input.scope - 1)
  const { bowM, rodPullN } = onPoint ? shoot(found.at, careFor(input.scope - 1).fine, onPoint) : found.shot
  const { across, along, up } = pullOf(found.at)
  const baitN = pushN(input.baitDragAreaM2, profileOf(input)(BED_LAYER_M), rho)
  const pullN = Math.hypot(across + baitN, along)
  if (up < 0)
    throw new CoreError('line-on-bed', 'The line lies on the bottom: use less line or a higher rod', { value: up, pullN })
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
type LineLoad = readonly [logN: number, downCurrent: number, rise: number]

function pullOf([logN, downCurrent, rise]: LineLoad): { across: number; along: number; up: number } {
  const level = Math.exp(logN) * Math.cos(rise)
  return { across: level * Math.sin(downCurrent), along: level * Math.cos(downCurrent), up: Math.exp(logN) * Math.sin(rise) }
}

const profileOf = ({ surfaceCurrentMperS, depthM, profileExponent }: ShoreLineInput) =>
  powerProfile(surfaceCurrentMperS, depthM, profileExponent)

const chordOf = ({ spanM, depthM, tipHeightM }: ShoreLineInput) => Math.hypot(spanM, depthM + tipHeightM)

type LineShot = { missed: [number, number, number]; rodPullN: number; bowM: number }
type ShootLine = (pull: LineLoad, care: SolverTolerance, onPoint?: (point: ShorePoint) => void) => LineShot

/** Follows the line that a pull at the sinker makes: how far its end misses the rod tip, over the straight way. */
function shotOf(input: ShoreLineInput, rho: number): ShootLine {
  const { lineDiameterM: d, lineDensityKgperM3, depthM, spanM, tipHeightM, scope } = input
  const chordM = chordOf(input)
  const lineM = scope * chordM
  const slope = slopeInSpace({
    line: { diameterM: d, densityKgperM3: lineDensityKgperM3 },
    current: profileOf(input),
    fluidDensityKgperM3: rho,
  })
  const airNperM = lineWeightNperM({ diameterM: d, densityKgperM3: lineDensityKgperM3 }, AIR_KG_PER_M3)
  const state = new Float64Array(6)
  const room = stepRoom(6)
  return (pull, care, onPoint) => {
    const { across, along, up } = pullOf(pull)
    state.set([0, 0, 0, across, along, up])
    const bow = new Bow(state)
    const onState = (s: number, y: Float64Array) => {
      bow.pass(y)
      onPoint?.(pointAt(s, y))
    }
    const stop = {
      longest: lineM,
      tolerance: care.tolerance,
      scales: { along: chordM, places: chordM, rates: Math.exp(pull[0]) },
      untilSpent: false,
      mostSteps: MAX_ALONG,
      onState,
    }
    onPoint?.(pointAt(0, state))
    let { s, end } = followState(slope, 0, state, { ...stop, upTo: Math.min(BED_LAYER_M, depthM) }, room)
    // The stream's profile has a kink there.
    if (end === 'reached' && depthM > BED_LAYER_M) {
      onState(s, state)
      ;({ s, end } = followState(slope, s, state, { ...stop, upTo: depthM }, room))
    }
    onState(s, state)
    const rodPullN = throughAir(state, end === 'reached' ? lineM - s : 0, airNperM)
    onState(lineM, state)
    return {
      missed: [state[0]! / chordM, (state[1]! - spanM) / chordM, (state[2]! - depthM - tipHeightM) / chordM],
      rodPullN,
      bowM: bow.farthestM,
    }
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

  pass(state: Float64Array): void {
    const [x, y, z] = [state[0]!, state[1]!, state[2]!]
    const next = slopeX(state)
    this.farthestM = Math.max(this.farthestM, x)
    if (this.slopeX > 0 && next < 0) {
      const h = Math.hypot(x - this.x, y - this.y, z - this.z)
      this.farthestM = Math.max(this.farthestM, cubicTop(this.x, x, this.slopeX * h, next * h))
    }
    ;[this.x, this.y, this.z, this.slopeX] = [x, y, z, next]
  }
}

const pointAt = (s: number, state: Float64Array): ShorePoint => {
  const [x, y, z, tx, ty, tz] = state as unknown as [number, number, number, number, number, number]
  return { s, x, y, z, tx, ty, tz }
}

const slopeX = (state: Float64Array) => state[3]! / Math.hypot(state[3]!, state[4]!, state[5]!)

/**
 * Pulls to begin at, the likeliest first: the catenary of an even current, its load that of the stream's profile along the straight way, and none in the air;
 * the line’s weight takes it down.
 */
function startsFor(input: ShoreLineInput, rho: number): LineLoad[] {
  const { depthM, tipHeightM, profileExponent: n, lineDiameterM: d, lineDensityKgperM3 } = input
  const x = sinhOverRoot(input.scope)
  const lineM = chordOf(input)
  const wet = depthM / (depthM + tipHeightM)
  const loadN = (0.5 * rho * NORMAL_COEFFICIENT * d * input.surfaceCurrentMperS ** 2 * wet * lineM) / (1 + 2 * n)
  // The load so far, over the whole: its mean along the line and its mean square.
  const mean = wet / (2 + 2 * n) + 1 - wet
  const variance = wet / (3 + 4 * n) + 1 - wet - mean ** 2
  const pullN = (loadN * Math.sqrt(12 * variance)) / (2 * x)
  const offWay = Math.atan(2 * mean * Math.sinh(x))
  const weighs = (fluid: number) => lineWeightNperM({ diameterM: d, densityKgperM3: lineDensityKgperM3 }, fluid) * lineM
  const sagN = weighs(rho) * wet * (1 - wet / 2) + (weighs(AIR_KG_PER_M3) * (1 - wet) ** 2) / 2
  const way = Math.atan2(depthM + tipHeightM, input.spanM)
  const up = Math.cos(offWay) * Math.sin(way) - sagN / pullN
  const rise = Math.asin(Math.max(-0.5, up))
  const about: LineLoad = [Math.log(pullN), Math.atan2(Math.sin(offWay), Math.cos(offWay) * Math.cos(way)), rise]
  // Where line hangs low or lies far off, that leads nowhere; the even catenary, in the plane of the straight way, may.
  const even: LineLoad = [Math.log(loadN / (2 * x)), Math.atan(Math.sinh(x)), way]
  return [about, even].flatMap(([logN, ...angles]) => STARTS.map((share): LineLoad => [logN + Math.log(share), ...angles]))
}

function solve(shoot: ShootLine, starts: readonly LineLoad[], slack: number): Solution<LineLoad, LineShot> {
  for (const start of starts) {
    const found = solveSystem(shoot, start, LONGEST, careFor(slack))
    if (found) return found
  }
  throw new CoreError('no-convergence', 'No pull brings the line to the rod', { value: Math.exp(starts[0]![0]) })
}

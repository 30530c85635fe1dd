import { CoreError } from '../../errors.ts'
import { GRAVITY_M_PER_S2, SEA_WATER_KG_PER_M3 } from '../../math/constants.ts'
import { type Residual, type Solution, type SolverTolerance, solveSystem } from '../../math/newton.ts'
import { BED_LAYER_M, powerProfile } from './current.ts'
import type { HangOptions } from './hangLayers.ts'
import { followLine, type LinePoint, NORMAL_COEFFICIENT } from './lineInFluid.ts'
import { pushN } from './push.ts'
import { sinhOverRoot } from './shoreHold.ts'
import { massOfSubmergedKg } from './sphere.ts'

export type UptideHoldInput = {
  lineDiameterM: number
  lineDensityKgperM3: number
  surfaceCurrentMperS: number
  depthM: number
  uptideDistanceM: number
  lineOutM: number
  grip: number
  sinkerDensityKgperM3: number
  baitDragAreaM2: number
  profileExponent: number
  waterDensityKgperM3?: number | undefined
}
/** What the line does to the sinker: along x, towards the boat, and up; and the sinker that holds against it. */
export type UptideHold = { pullUptideN: number; liftN: number; sinkerMassKg: number }

const DEFAULT_TOLERANCE = 1e-9
/** How closely a line is followed and its end must come to the boat, over the depth. */
const careFor = (tolerance: number) => ({
  rough: { tolerance: 1e-4, close: 1e-3, difference: 1e-2 },
  fine: { tolerance, close: 10 * tolerance, difference: Math.sqrt(tolerance) },
})
/** The longest step in the pull's logarithm and its angle. */
const LONGEST: LineLoad = [1.5, 0.5]

/**
 * A sinker cast up-current from an anchored boat: on the bed at x = −uptideDistance, the line bowing to the surface at x = 0. Two
 * unknowns, the pull at the boat and its angle, two conditions, the line's end: shot and solved by damped Newton in log pull
 * and angle, from the catenary that an even load would make.
 * @throws CoreError 'line-too-short' for line at or under the chord, 'line-on-bed' where the line would lie along the bed, with the
 * pull along it as `pullN`; 'no-convergence' where no pull is found.
 * Source: H. O. Berteaux, Buoy Engineering (1976). Valid: the sinker's own drag left out.
 */
export function waterUptideHold(
  input: UptideHoldInput,
  { tolerance = DEFAULT_TOLERANCE, onPoint }: Pick<HangOptions, 'tolerance' | 'onPoint'> = {},
): UptideHold {
  const { depthM, uptideDistanceM, lineOutM, surfaceCurrentMperS } = input
  const chordM = Math.hypot(uptideDistanceM, depthM)
  if (!(lineOutM > chordM * (1 + 1e-9)))
    throw new CoreError('line-too-short', `${lineOutM} m of line do not bow over a chord of ${chordM.toFixed(2)} m`, {
      value: lineOutM,
    })
  const rho = input.waterDensityKgperM3 ?? SEA_WATER_KG_PER_M3
  const current = powerProfile(surfaceCurrentMperS, depthM, input.profileExponent)
  // Followed from the boat down, as a line is that rises in a stream turned about, as light as it was heavy: upwards the least
  // change of the pull at the sinker would throw it far.
  const forces = {
    line: { diameterM: input.lineDiameterM, densityKgperM3: 2 * rho - input.lineDensityKgperM3 },
    current: (downM: number) => -current(depthM - downM),
    fluidDensityKgperM3: rho,
  }
  const shoot: ShootLine = ([logPull, angle], care, watch) => {
    const pull = Math.exp(logPull)
    const start = { s: 0, x: 0, z: 0, tx: pull * Math.cos(angle), tz: pull * Math.sin(angle) }
    watch?.(start)
    const until = {
      longest: lineOutM,
      tolerance: care.tolerance,
      scales: { along: depthM, places: depthM, rates: pull },
      untilSpent: false,
    }
    const stop = watch ? { ...until, onPoint: watch } : until
    // The stream's profile has a kink over the bed.
    const high = followLine(forces, start, { ...stop, upTo: depthM - BED_LAYER_M })
    const { point } = high.end === 'reached' ? followLine(forces, high.point, stop) : high
    return { missed: [(point.x - uptideDistanceM) / depthM, (point.z - depthM) / depthM], sinker: point }
  }
  const even = evenPull(input, rho)
  const care = careFor(tolerance)
  const found = solveSystem(shoot, even, LONGEST, care) ?? fromAround(shoot, even, Math.atan2(depthM, uptideDistanceM), care)
  if (onPoint) {
    const fromBoat: LinePoint[] = []
    shoot(found.at, care.fine, (point) => fromBoat.push(point))
    for (const { s, x, z, ...pull } of fromBoat.toReversed()) onPoint({ s: lineOutM - s, x: -x, z: depthM - z, ...pull })
  }
  const { tx: pullUptideN, tz: liftN } = found.shot.sinker
  const baitN = pushN(input.baitDragAreaM2, current(BED_LAYER_M), rho)
  if (liftN < 0)
    throw new CoreError('line-on-bed', 'The line lies on the bottom: use less line or a stronger current', {
      value: liftN,
      pullN: pullUptideN + baitN,
    })
  const neededN = liftN + (pullUptideN + baitN) / input.grip
  return { pullUptideN, liftN, sinkerMassKg: massOfSubmergedKg(neededN, input.sinkerDensityKgperM3, rho) }
}

/**
 * Log and angle of the pull at the boat if the line's load were even: the stream's, as strong as its profile's mean square, and the line's weight.
 * The line is then a catenary that hangs the way the load points. Exact in a stream alone, where the tension is constant, and for
 * weight alone, where it grows with the slope.
 */
function evenPull(input: UptideHoldInput, rho: number): LineLoad {
  const { lineDiameterM: d, depthM, uptideDistanceM, lineOutM } = input
  const meanSquare = input.surfaceCurrentMperS ** 2 / (1 + 2 * input.profileExponent)
  const q = 0.5 * rho * NORMAL_COEFFICIENT * d * meanSquare
  const w = (input.lineDensityKgperM3 - rho) * GRAVITY_M_PER_S2 * (Math.PI / 4) * d ** 2
  const size = Math.max(Math.hypot(q, w), 1e-12)
  // Axes of the hanging chain: `up` against the load, `over` across it, towards the far end.
  const up = [-q / size, w / size] as const
  const side = Math.sign(up[1] * uptideDistanceM - up[0] * depthM) || 1
  const over = [side * up[1], -side * up[0]] as const
  const rise = up[0] * uptideDistanceM + up[1] * depthM
  const span = Math.max(over[0] * uptideDistanceM + over[1] * depthM, 1e-3 * lineOutM)
  const xi = sinhOverRoot(Math.sqrt(Math.max(lineOutM ** 2 - rise ** 2, span ** 2 * (1 + 1e-9))) / span)
  const end = Math.atanh(rise / lineOutM) + xi
  const pullN = (size * span * Math.cosh(end) ** ((w / size) ** 2)) / (2 * xi)
  const towards = (axis: 0 | 1) => over[axis] + up[axis] * Math.sinh(end)
  return [Math.log(pullN), Math.atan2(towards(1), towards(0))]
}

type LineLoad = readonly [logN: number, angle: number]
type LineShot = Residual & { sinker: LinePoint }
type ShootLine = (pull: LineLoad, care: SolverTolerance, watch?: (point: LinePoint) => void) => LineShot

/** Pulls, over that of an even load, and angles, over the chord's, about the first start. */
const STARTS_LOG = [0, -0.7, 0.7, -1.6, 1.6, 2.5]
const STARTS_ANGLE = [0.6, 0.2, 0.05, 1, -0.2, 1.5]
const MAX_STARTS = 8

/** From the closest of a fan of starts. @throws CoreError 'no-convergence' */
function fromAround(
  shoot: ShootLine,
  even: LineLoad,
  chordAngle: number,
  care: ReturnType<typeof careFor>,
): Solution<LineLoad, LineShot> {
  const starts = STARTS_LOG.flatMap((log) => STARTS_ANGLE.map((share): LineLoad => [even[0] + log, share * chordAngle]))
  const sized = starts.map((start) => ({ start, size: Math.hypot(...shoot(start, care.rough).missed) }))
  const byMiss = sized.toSorted((a, b) => a.size - b.size)
  for (const { start } of byMiss.slice(0, MAX_STARTS)) {
    const found = solveSystem(shoot, start, LONGEST, care)
    if (found) return found
  }
  throw new CoreError('no-convergence', 'The line does not reach the boat: in this weak current it floats or lies slack', {
    value: byMiss[0]!.size,
  })
}

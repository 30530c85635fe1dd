import { CoreError } from '../../errors.ts'
import { GRAVITY_M_PER_S2, SEA_WATER_KG_PER_M3 } from '../../math/constants.ts'
import { BED_LAYER_M, powerProfile } from './current.ts'
import type { HangOptions } from './hangLayers.ts'
import { followLine, type LinePoint, NORMAL_COEFFICIENT } from './lineInWater.ts'
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

const USUAL_TOLERANCE = 1e-9
const MOST_STEPS = 80
/** Step of the Jacobian's differences: large enough that the steps' own error does not show in them. */
const DIFFERENCE = 1e-5
/** How close the line's end must come to the boat, over the depth. */
const CLOSE = 1e-8

/**
 * A sinker cast up-current from an anchored boat: on the bed at x = −uptideDistance, the line bowing to the surface at x = 0. Two
 * unknowns, the pull on the sinker and its angle, two conditions, the line's end: shot and solved by damped Newton in log pull
 * and angle, from the catenary that an even load would make.
 * @throws CoreError 'line-too-short' for line at or under the chord, 'line-on-bed' where the line would lie along the bed, with the
 * pull along it as `pullN`; 'no-convergence' where no pull is found.
 * Source: H. O. Berteaux, Buoy Engineering (1976). Valid: the sinker's own drag left out.
 */
export function waterUptideHold(
  input: UptideHoldInput,
  { tolerance = USUAL_TOLERANCE, onPoint }: Pick<HangOptions, 'tolerance' | 'onPoint'> = {},
): UptideHold {
  const { depthM, uptideDistanceM, lineOutM, surfaceCurrentMperS } = input
  const chordM = Math.hypot(uptideDistanceM, depthM)
  if (!(lineOutM > chordM * (1 + 1e-9)))
    throw new CoreError('line-too-short', `${lineOutM} m of line do not bow over a chord of ${chordM.toFixed(2)} m`, {
      value: lineOutM,
    })
  const rho = input.waterDensityKgperM3 ?? SEA_WATER_KG_PER_M3
  const current = powerProfile(surfaceCurrentMperS, depthM, input.profileExponent)
  const forces = {
    line: { diameterM: input.lineDiameterM, densityKgperM3: input.lineDensityKgperM3 },
    current,
    waterDensityKgperM3: rho,
  }
  const shoot: Shot = (logPull, angle, watch) => {
    const pull = Math.exp(logPull)
    const start = { s: 0, x: -uptideDistanceM, z: 0, tx: pull * Math.cos(angle), tz: pull * Math.sin(angle) }
    watch?.(start)
    const stop = { sM: lineOutM, tolerance, lengthScaleM: depthM, forceScaleN: pull, untilSlack: false }
    const { point } = followLine(forces, start, watch ? { ...stop, onPoint: watch } : stop)
    return [point.x / depthM, (point.z - depthM) / depthM]
  }
  const even = evenPull(input, rho)
  const [logPull, angle] = newton(shoot, even) ?? fromAround(shoot, even, Math.atan2(depthM, uptideDistanceM))
  if (onPoint) shoot(logPull, angle, onPoint)
  const [pullUptideN, liftN] = [Math.exp(logPull) * Math.cos(angle), Math.exp(logPull) * Math.sin(angle)]
  const baitN = pushN(input.baitDragAreaM2, current(BED_LAYER_M), rho)
  if (liftN < 0)
    throw new CoreError('line-on-bed', 'The line lies along the bed: less line out, or a stronger stream', {
      value: liftN,
      pullN: pullUptideN + baitN,
    })
  const neededN = liftN + (pullUptideN + baitN) / input.grip
  return { pullUptideN, liftN, sinkerMassKg: massOfSubmergedKg(neededN, input.sinkerDensityKgperM3, rho) }
}

/**
 * Log and angle of the pull if the line's load were even: the stream's, as strong as its profile's mean square, and the line's weight.
 * The line is then a catenary that hangs the way the load points. Exact in a stream alone, where the tension is constant, and for
 * weight alone, where it grows with the slope.
 */
function evenPull(input: UptideHoldInput, rho: number): Miss {
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
  const begin = Math.atanh(rise / lineOutM) - xi
  const pullN = (size * span * Math.cosh(begin) ** ((w / size) ** 2)) / (2 * xi)
  const towards = (axis: 0 | 1) => over[axis] + up[axis] * Math.sinh(begin)
  return [Math.log(pullN), Math.atan2(towards(1), towards(0))]
}

type Miss = readonly [number, number]
type Shot = (logPull: number, angle: number, watch?: (point: LinePoint) => void) => Miss

const sizeOf = ([a, b]: Miss) => Math.hypot(a, b)

/** Pulls, over that of an even load, and angles, over the chord's, about the first start. */
const STARTS_LOG = [0, -0.7, 0.7, -1.6, 1.6, 2.5]
const STARTS_ANGLE = [0.6, 0.2, 0.05, 1, -0.2, 1.5]
const MOST_STARTS = 8

/** From the closest of a fan of starts. @throws CoreError 'no-convergence' */
function fromAround(shoot: Shot, even: Miss, chordAngle: number): Miss {
  const starts = STARTS_LOG.flatMap((log) => STARTS_ANGLE.map((share): Miss => [even[0] + log, share * chordAngle]))
  const byMiss = starts.map((start) => ({ start, size: sizeOf(shoot(...start)) })).toSorted((a, b) => a.size - b.size)
  for (const { start } of byMiss.slice(0, MOST_STARTS)) {
    const found = newton(shoot, start)
    if (found) return found
  }
  throw new CoreError('no-convergence', 'No pull brings the line to the boat: in so weak a stream it floats or lies slack', {
    value: byMiss[0]!.size,
  })
}

/** Newton with a Jacobian by differences, each step shortened until it comes closer; undefined where it gets stuck. */
function newton(shoot: Shot, [startLog, startAngle]: Miss): Miss | undefined {
  let [p, q] = [startLog, startAngle]
  let miss = shoot(p, q)
  for (let i = 0; i < MOST_STEPS && sizeOf(miss) > CLOSE; i += 1) {
    const d = DIFFERENCE
    const [byP, byQ] = [shoot(p + d, q), shoot(p, q + d)]
    const [a, b, c, e] = [(byP[0] - miss[0]) / d, (byQ[0] - miss[0]) / d, (byP[1] - miss[1]) / d, (byQ[1] - miss[1]) / d]
    const det = a * e - b * c
    if (!(Math.abs(det) > 1e-300)) break
    const [dp, dq] = [-(e * miss[0] - b * miss[1]) / det, -(a * miss[1] - c * miss[0]) / det]
    let damp = Math.min(1, 1.5 / Math.max(Math.abs(dp), 1e-12), 0.5 / Math.max(Math.abs(dq), 1e-12))
    let next = shoot(p + damp * dp, q + damp * dq)
    while (!(sizeOf(next) < sizeOf(miss)) && damp > 1e-4) {
      damp /= 2
      next = shoot(p + damp * dp, q + damp * dq)
    }
    if (!(sizeOf(next) < sizeOf(miss))) break
    ;[p, q, miss] = [p + damp * dp, q + damp * dq, next]
  }
  return sizeOf(miss) <= 1e-6 ? [p, q] : undefined
}

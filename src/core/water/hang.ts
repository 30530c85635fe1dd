import { CoreError } from '../errors.ts'
import { SEA_WATER_KG_PER_M3 } from '../math/constants.ts'
import { BED_LAYER_M, type CurrentProfile, powerProfile } from './current.ts'
import { followLine, type LinePoint } from './lineInWater.ts'
import { sphereAreaM2, submergedWeightN } from './sphere.ts'

export type HangInput = {
  sinkerMassKg: number
  sinkerDensityKgperM3: number
  sinkerDragCoefficient: number
  /** Drag coefficient times area of the bait, m². */
  baitDragAreaM2: number
  lineDiameterM: number
  lineDensityKgperM3: number
  surfaceCurrentMperS: number
  depthM: number
  profileExponent: number
  waterDensityKgperM3?: number | undefined
}
export type Hang = { lineOutM: number; setbackM: number; topTensionN: number; topAngleFromVerticalDeg: number }
export type HangOptions = {
  /** Error of a step over the problem's scale. */
  tolerance?: number
  tangentialCoefficient?: number
  onPoint?: (point: LinePoint) => void
}

/** Line out over depth past which the sinker no longer holds the line down. */
const MOST_SCOPE = 10
const USUAL_TOLERANCE = 1e-8

/**
 * Line from a sinker just off the bed up to a boat at anchor, in a current.
 * @returns line out and setback (down-current of the boat), m; pull at the surface, N; its angle from upright, degrees.
 * @throws CoreError 'blown-out' where the line's upright pull falls to nothing below the surface, or line out passes ten depths;
 * 'out-of-range' for a sinker that does not sink.
 * Source: H. O. Berteaux, Buoy Engineering (1976), `d(T t)/ds + f − w ẑ = 0`. Valid: steady current, no swell.
 */
export function waterHang(input: HangInput, options: HangOptions = {}): Hang {
  const { depthM, surfaceCurrentMperS, profileExponent } = input
  const rho = input.waterDensityKgperM3 ?? SEA_WATER_KG_PER_M3
  const weightN = submergedWeightN(input.sinkerMassKg, input.sinkerDensityKgperM3, rho)
  if (!(weightN > 0))
    throw new CoreError('out-of-range', 'The sinker is not denser than the water', { value: input.sinkerDensityKgperM3 })
  const current = powerProfile(surfaceCurrentMperS, depthM, profileExponent)
  const dragN = endDragN(input, current, rho)
  const forces = {
    line: { diameterM: input.lineDiameterM, densityKgperM3: input.lineDensityKgperM3 },
    current,
    waterDensityKgperM3: rho,
    ...(options.tangentialCoefficient === undefined ? {} : { tangentialCoefficient: options.tangentialCoefficient }),
  }
  const stop = {
    sM: MOST_SCOPE * depthM,
    tolerance: options.tolerance ?? USUAL_TOLERANCE,
    lengthScaleM: depthM,
    forceScaleN: Math.hypot(weightN, dragN),
    untilSlack: true,
    ...(options.onPoint ? { onPoint: options.onPoint } : {}),
  }
  // The profile has a kink where the bed's layer ends: the steps stop there, so that none is taken across it.
  const layer = followLine(forces, { s: 0, x: 0, z: 0, tx: -dragN, tz: weightN }, { ...stop, zM: Math.min(BED_LAYER_M, depthM) })
  const whole = layer.end === 'height' ? followLine(forces, layer.point, { ...stop, zM: depthM }) : layer
  if (whole.end !== 'height')
    throw new CoreError(
      'blown-out',
      `The line is blown out: ${input.sinkerMassKg} kg do not hold it in ${surfaceCurrentMperS} m/s`,
      {
        value: input.sinkerMassKg,
      },
    )
  const { s, x, tx, tz } = whole.point
  options.onPoint?.(whole.point)
  return {
    lineOutM: s,
    setbackM: -x,
    topTensionN: Math.hypot(tx, tz),
    topAngleFromVerticalDeg: (Math.atan2(-tx, tz) * 180) / Math.PI,
  }
}

/** Drag of sinker and bait where they hang, N. */
function endDragN(input: HangInput, current: CurrentProfile, rho: number): number {
  const areaM2 = input.sinkerDragCoefficient * sphereAreaM2(input.sinkerMassKg, input.sinkerDensityKgperM3) + input.baitDragAreaM2
  return 0.5 * rho * areaM2 * current(BED_LAYER_M) ** 2
}

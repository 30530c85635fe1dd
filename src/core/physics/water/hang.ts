import { SEA_WATER_KG_PER_M3 } from '../../math/constants.ts'
import { powerProfile } from './current.ts'
import { type HangOptions, type Hung, hangLayers } from './hangLayers.ts'

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

/**
 * One line from a sinker just off the bed up to a boat at anchor, in a current.
 * @returns line out and setback (down-current of the boat), m; pull at the surface, N; its angle from upright, degrees.
 * @throws CoreError 'blown-out', 'out-of-range' as `hangLayers` does.
 */
export function waterHang({ lineDiameterM, lineDensityKgperM3, ...input }: HangInput, options: HangOptions = {}): Hang {
  return hangOf(
    hangLayers(
      {
        ...input,
        layers: [{ diameterM: lineDiameterM, densityKgperM3: lineDensityKgperM3 }],
        current: powerProfile(input.surfaceCurrentMperS, input.depthM, input.profileExponent),
        waterDensityKgperM3: input.waterDensityKgperM3 ?? SEA_WATER_KG_PER_M3,
      },
      options,
    ),
  )
}

/** What is read off the top of a hanging line; out of the plane, the setback as far as it is, whichever way. */
export function hangOf({ top: { s, x, y, tx, ty = 0, tz } }: Hung): Hang {
  return {
    lineOutM: s,
    setbackM: y === undefined ? -x : Math.hypot(x, y),
    topTensionN: Math.hypot(tx, ty, tz),
    topAngleFromVerticalDeg: (Math.atan2(y === undefined ? -tx : Math.hypot(tx, ty), tz) * 180) / Math.PI,
  }
}

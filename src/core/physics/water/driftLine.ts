import { SEA_WATER_KG_PER_M3 } from '../../math/constants.ts'
import { powerProfile } from './current.ts'
import type { HangInput } from './hang.ts'
import { hangLayers } from './hangLayers.ts'
import { massForScopeKg } from './hangMass.ts'

/** Speed of the boat over the ground, with the current and across it, m/s. */
export type DriftLineInput = HangInput & { driftAlongMperS: number; driftAcrossMperS: number }
/** `setbackAlongM` and `setbackAcrossM`: where the sinker lies from the boat, down-current and to the side that the boat drifts to. */
export type DriftLine = {
  lineOutM: number
  setbackAlongM: number
  setbackAcrossM: number
  topTensionN: number
  topAngleFromVerticalDeg: number
}
export type DriftMassInput = Omit<DriftLineInput, 'sinkerMassKg'> & { scope: number }

/**
 * A line from a sinker just off the bed up to a boat that drifts, in three dimensions: the flow past it turns with height.
 * @throws CoreError 'blown-out', 'out-of-range' as `hangLayers` does.
 * Source: as `hangLayers`, with the full vector of the flow.
 */
export function waterDriftLine({
  lineDiameterM,
  lineDensityKgperM3,
  driftAlongMperS,
  driftAcrossMperS,
  ...input
}: DriftLineInput): DriftLine {
  const over = powerProfile(input.surfaceCurrentMperS, input.depthM, input.profileExponent)
  const { top } = hangLayers({
    ...input,
    layers: [{ diameterM: lineDiameterM, densityKgperM3: lineDensityKgperM3 }],
    current: (heightM) => over(heightM) - driftAlongMperS,
    acrossMperS: -driftAcrossMperS,
    waterDensityKgperM3: input.waterDensityKgperM3 ?? SEA_WATER_KG_PER_M3,
  })
  const { s, x, y = 0, tx, ty = 0, tz } = top
  return {
    lineOutM: s,
    setbackAlongM: -x,
    setbackAcrossM: -y,
    topTensionN: Math.hypot(tx, ty, tz),
    topAngleFromVerticalDeg: (Math.atan2(Math.hypot(tx, ty), tz) * 180) / Math.PI,
  }
}

/**
 * The sinker for which line out over depth is `scope` in `waterDriftLine`, as `waterHangMass` finds it.
 * @throws CoreError 'no-root' with the end it lies beyond.
 */
export function waterDriftMass({ scope, ...rest }: DriftMassInput): { sinkerMassKg: number } {
  return {
    sinkerMassKg: massForScopeKg((sinkerMassKg) => waterDriftLine({ ...rest, sinkerMassKg }).lineOutM, rest.depthM, scope),
  }
}

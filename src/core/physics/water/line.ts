import { SEA_WATER_KG_PER_M3 } from '../../math/constants.ts'
import { powerProfile, tableProfile } from './current.ts'
import { type Hang, type HangInput, hangOf } from './hang.ts'
import { type HangOptions, hangLayers, type Layer } from './hangLayers.ts'

export type WaterLineInput = Omit<HangInput, 'lineDiameterM' | 'lineDensityKgperM3'> & {
  /** From the sinker up: snood or trace, leader, main line; the last may leave its length out. */
  layers: readonly Layer[]
  /** A measured profile in place of the power law: heights over the bed and speeds, lowest first. */
  profile?: readonly { heightM: number; speedMperS: number }[] | undefined
  /** Speed of the boat over the ground, with the stream and across it: a drift, and the wind's lean on it. */
  driftMperS?: number | undefined
  driftAcrossMperS?: number | undefined
}
export type WaterLineOutput = Hang & { dragN: { sinker: number; bait: number; layers: number[] } }

/**
 * A layered line from a sinker up to a boat at anchor or adrift, in one solve; and what of the pull down-current is whose.
 * @returns as `waterHang`, the setback as far as it is, whichever way, where it drifts across; and the pull that sinker, bait and each
 * layer make, N: they add up to the level pull at the top.
 * @throws CoreError 'blown-out', 'out-of-range' as `hangLayers` does.
 */
export function waterLine(
  { layers, profile, driftMperS = 0, driftAcrossMperS = 0, ...input }: WaterLineInput,
  options: HangOptions = {},
): WaterLineOutput {
  const over = profile ? tableProfile(profile) : powerProfile(input.surfaceCurrentMperS, input.depthM, input.profileExponent)
  const hung = hangLayers(
    {
      ...input,
      layers,
      current: driftMperS === 0 ? over : (heightM) => over(heightM) - driftMperS,
      acrossMperS: -driftAcrossMperS,
      waterDensityKgperM3: input.waterDensityKgperM3 ?? SEA_WATER_KG_PER_M3,
    },
    options,
  )
  return { ...hangOf(hung), dragN: { sinker: hung.sinkerN, bait: hung.baitN, layers: hung.layersN } }
}

import { SEA_WATER_KG_PER_M3 } from '../../math/constants.ts'
import type { LinePoint } from '../water/lineInFluid.ts'
import { bodyPull, followUp, type TowedLayer, type TowOptions } from './towed.ts'

export type TrollDepthInput = {
  /** Of the boat, or of the reel, through the water. */
  speedMperS: number
  /** From the end up: leader, main line; line out counts from where it enters the water. */
  layers: readonly TowedLayer[]
  endMassKg: number
  endDensityKgperM3: number
  /** Drag coefficient times area of the end, m². */
  endDragAreaM2: number
  /** Downward pull of a lure's lip as an area, m²; 0 of a weight. */
  endLiftAreaM2: number
  waterDensityKgperM3?: number | undefined
}
export type TrollDepth = { depthM: number; setbackM: number; topTensionN: number; topAngleFromVerticalDeg: number }

/**
 * How deep an end runs on a line that is drawn through still water: from the end up through each of the lines to where they enter it.
 * @param onPoint gets each point of the line, from the end (x = 0, z = 0) up.
 * @throws CoreError as `followUp` does.
 * Source: H. O. Berteaux, Buoy Engineering (1976), `d(T t)/ds + f − w ẑ = 0`, in an even flow. Valid: a steady, straight course, no stream, no
 * swell; the lure's drag and lip as fixed areas.
 */
export function trollDepth(
  input: TrollDepthInput,
  options: Pick<TowOptions, 'tolerance'> = {},
  onPoint?: (point: LinePoint) => void,
): TrollDepth {
  const { speedMperS, layers, waterDensityKgperM3: rho = SEA_WATER_KG_PER_M3 } = input
  const body = {
    massKg: input.endMassKg,
    densityKgperM3: input.endDensityKgperM3,
    dragAreaM2: input.endDragAreaM2,
    liftAreaM2: input.endLiftAreaM2,
  }
  const pull = bodyPull(body, speedMperS, rho)
  const { x, z, tx, tz } = followUp(pull, layers, speedMperS, { ...options, waterDensityKgperM3: rho }, onPoint)
  return {
    depthM: z,
    setbackM: -x,
    topTensionN: Math.hypot(tx, tz),
    topAngleFromVerticalDeg: (Math.atan2(-tx, tz) * 180) / Math.PI,
  }
}

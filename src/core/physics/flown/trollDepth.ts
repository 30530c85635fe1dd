import { CoreError } from '../../errors.ts'
import { SEA_WATER_KG_PER_M3 } from '../../math/constants.ts'
import { stepRoom } from '../../math/followState.ts'
import { type FluidLine, followLine, type LinePoint } from '../water/lineInFluid.ts'
import { pushN } from '../water/push.ts'
import { submergedWeightN } from '../water/sphere.ts'

export type TrollDepthInput = {
  /** Of the boat, or of the reel, through the water. */
  speedMperS: number
  /** From the end up: leader, main line; line out counts from where it enters the water. */
  layers: readonly (FluidLine & { lengthM: number })[]
  endMassKg: number
  endDensityKgperM3: number
  /** Drag coefficient times area of the end, m². */
  endDragAreaM2: number
  /** Downward pull of a lure's lip as an area, m²; 0 of a weight. */
  endLiftAreaM2: number
  waterDensityKgperM3?: number | undefined
}
export type TrollDepth = { depthM: number; setbackM: number; topTensionN: number; topAngleFromVerticalDeg: number }

export type TrollOptions = {
  /** Error of a step over the line's length. */
  tolerance?: number
  onPoint?: (point: LinePoint) => void
}

const USUAL_TOLERANCE = 1e-7

/**
 * How deep an end runs on a line that is drawn through still water: from the end up through each of the lines to where they enter it.
 * @param options onPoint is told each point of the line, from the end (x = 0, z = 0) up.
 * @throws CoreError 'does-not-sink' where nothing pulls the end down; 'blown-out' where a floating line's upright pull falls to nothing
 * below its top, with the length at which it does as `lengthM`.
 * Source: H. O. Berteaux, Buoy Engineering (1976), `d(T t)/ds + f − w ẑ = 0`, in an even flow. Valid: a steady, straight course, no stream, no
 * swell; the lure's drag and lip as fixed areas.
 */
export function trollDepth(input: TrollDepthInput, { tolerance = USUAL_TOLERANCE, onPoint }: TrollOptions = {}): TrollDepth {
  const { speedMperS, layers, waterDensityKgperM3: rho = SEA_WATER_KG_PER_M3 } = input
  const dragN = pushN(input.endDragAreaM2, speedMperS, rho)
  const downN = submergedWeightN(input.endMassKg, input.endDensityKgperM3, rho) + pushN(input.endLiftAreaM2, speedMperS, rho)
  if (!(downN > 0)) throw new CoreError('does-not-sink', 'Nothing pulls the end down at this speed', { value: downN })
  const lineM = layers.reduce((sum, { lengthM }) => sum + lengthM, 0)
  const room = stepRoom(4)
  let point: LinePoint = { s: 0, x: 0, z: 0, tx: -dragN, tz: downN }
  const stop = {
    tolerance,
    scales: { along: lineM, places: lineM, rates: Math.hypot(dragN, downN) },
    untilSpent: true,
    ...(onPoint ? { onPoint } : {}),
  }
  onPoint?.(point)
  for (const line of layers) {
    const forces = { line, current: () => speedMperS, fluidDensityKgperM3: rho }
    const leg = followLine(forces, point, { ...stop, longest: point.s + line.lengthM }, room)
    point = leg.point
    if (leg.end === 'spent')
      throw new CoreError('blown-out', `The line floats up: ${point.s.toFixed(1)} m from the end nothing pulls it down`, {
        lengthM: point.s,
      })
  }
  const { x, z, tx, tz } = point
  return {
    depthM: z,
    setbackM: -x,
    topTensionN: Math.hypot(tx, tz),
    topAngleFromVerticalDeg: (Math.atan2(-tx, tz) * 180) / Math.PI,
  }
}

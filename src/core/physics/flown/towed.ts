import { CoreError } from '../../errors.ts'
import { SEA_WATER_KG_PER_M3 } from '../../math/constants.ts'
import { type StepRoom, stepRoom } from '../../math/followState.ts'
import { type FluidLine, followLine, type LinePoint } from '../water/lineInFluid.ts'
import { pushN } from '../water/push.ts'
import { submergedWeightN } from '../water/sphere.ts'

export type TowedLayer = FluidLine & { lengthM: number }

/** What is drawn through the water at the end of a line, or part-way. */
export type TowedBody = {
  massKg: number
  densityKgperM3: number
  /** Drag coefficient times area, m². */
  dragAreaM2: number
  /** Downward pull of a lure's lip as an area, m²; 0 of a weight. */
  liftAreaM2: number
}

/** A line that is drawn: from its lower end up in lengths, with what is there and what is drawn after it from there. */
export type TowedLine = {
  layers: readonly TowedLayer[]
  bodies: readonly (TowedBody & { id: string })[]
  after: readonly TowedLine[]
}

export type TowOptions = {
  /** Error of a step over the line's length. */
  tolerance?: number
  waterDensityKgperM3?: number | undefined
}

const DEFAULT_TOLERANCE = 1e-7

/** Pull of a body on its line: back, and down. */
export function bodyPull(body: TowedBody, speedMperS: number, rho: number): { backN: number; downN: number } {
  return {
    backN: pushN(body.dragAreaM2, speedMperS, rho),
    downN: submergedWeightN(body.massKg, body.densityKgperM3, rho) + pushN(body.liftAreaM2, speedMperS, rho),
  }
}

/**
 * Goes up from a pull at the lower end of lines one after the other to where they end.
 * @param onPoint gets each point, from the end (x = 0, z = 0) up.
 * @throws CoreError 'does-not-sink' where nothing pulls the end down; 'blown-out' where a floating line's upright pull falls to nothing
 * below its top, with the length at which it does as `lengthM`.
 */
export function followUp(
  { backN, downN }: { backN: number; downN: number },
  layers: readonly TowedLayer[],
  speedMperS: number,
  { tolerance = DEFAULT_TOLERANCE, waterDensityKgperM3: rho = SEA_WATER_KG_PER_M3 }: TowOptions = {},
  onPoint?: (point: LinePoint) => void,
  room: StepRoom = stepRoom(4),
): LinePoint {
  if (!(downN > 0)) throw new CoreError('does-not-sink', 'Nothing pulls the end down at this speed', { value: downN })
  const lineM = layers.reduce((sum, { lengthM }) => sum + lengthM, 0)
  let point: LinePoint = { s: 0, x: 0, z: 0, tx: -backN, tz: downN }
  const stop = {
    tolerance,
    scales: { along: lineM, places: lineM, rates: Math.hypot(backN, downN) },
    untilSpent: true,
    ...(onPoint ? { onPoint } : {}),
  }
  onPoint?.(point)
  if (lineM === 0) return point
  for (const line of layers) {
    const forces = { line, current: () => speedMperS, fluidDensityKgperM3: rho }
    const leg = followLine(forces, point, { ...stop, longest: point.s + line.lengthM }, room)
    point = leg.point
    if (leg.end === 'spent')
      throw new CoreError('blown-out', `The line floats up: ${point.s.toFixed(1)} m from the end nothing pulls it down`, {
        lengthM: point.s,
      })
  }
  return point
}

/** Where a body is drawn, under and behind the top of its line. */
export type TowedPlace = { id: string; depthM: number; setbackM: number }
export type Towed = {
  places: TowedPlace[]
  topTensionN: number
  topAngleFromVerticalDeg: number
}

/**
 * A line with all that hangs on it, drawn through still water at an even speed: each leg from its end up to where it meets the others,
 * their pulls added there, and on up.
 * @throws CoreError as `followUp` does.
 * Source: as `trollDepth`. Valid: legs that do not touch.
 */
export function towed(line: TowedLine, speedMperS: number, options: TowOptions = {}): Towed {
  const rho = options.waterDensityKgperM3 ?? SEA_WATER_KG_PER_M3
  const room = stepRoom(4)
  const { point, places } = pulledUp(line)
  return {
    places,
    topTensionN: Math.hypot(point.tx, point.tz),
    topAngleFromVerticalDeg: (Math.atan2(-point.tx, point.tz) * 180) / Math.PI,
  }

  function pulledUp({ layers, bodies, after }: TowedLine): Pick<Towed, 'places'> & { point: LinePoint } {
    const legs = after.map(pulledUp)
    const pulls = [
      ...bodies.map((body) => bodyPull(body, speedMperS, rho)),
      ...legs.map(({ point: { tx, tz } }) => ({ backN: -tx, downN: tz })),
    ]
    const pull = pulls.reduce((sum, { backN, downN }) => ({ backN: sum.backN + backN, downN: sum.downN + downN }), {
      backN: 0,
      downN: 0,
    })
    const top = followUp(pull, layers, speedMperS, options, undefined, room)
    const down = <At extends { depthM: number; setbackM: number }>(at: At): At => ({
      ...at,
      depthM: at.depthM + top.z,
      setbackM: at.setbackM - top.x,
    })
    return {
      point: top,
      places: [
        ...bodies.map(({ id }) => ({ id, depthM: top.z, setbackM: -top.x })),
        ...legs.flatMap((leg) => leg.places.map(down)),
      ],
    }
  }
}

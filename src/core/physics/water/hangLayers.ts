import { CoreError } from '../../errors.ts'
import { BED_LAYER_M, type CurrentProfile } from './current.ts'
import { type FluidLine, followLine, type LineForces, type LinePoint } from './lineInFluid.ts'
import { pushN } from './push.ts'
import { sphereAreaM2, submergedWeightN } from './sphere.ts'

/** A length of one line, from the sinker up; the last one goes on for as long as it takes. */
export type Layer = FluidLine & { lengthM?: number | undefined }

export type Hanging = {
  sinkerMassKg: number
  sinkerDensityKgperM3: number
  sinkerDragCoefficient: number
  /** Drag coefficient times area of the bait, m². */
  baitDragAreaM2: number
  layers: readonly Layer[]
  /** What passes the boat down-current, by height; and across, where it drifts across. */
  current: CurrentProfile
  acrossMperS?: number
  depthM: number
  waterDensityKgperM3: number
}
export type HangOptions = {
  /** Error of a step over the problem's scale. */
  tolerance?: number
  tangentialCoefficient?: number
  onPoint?: (point: LinePoint) => void
}
/**
 * Where the line comes out, and how much each thing makes of the level pull there, N: sinker, bait, and the layers in order. Without a
 * drift across the pull counts down-current, below zero the other way.
 */
export type Hung = { top: LinePoint; sinkerN: number; baitN: number; layersN: number[] }

/** Line out over depth past which the sinker no longer holds the line down. */
const MAX_SCOPE = 10
const DEFAULT_TOLERANCE = 1e-8

/**
 * A sinker just off the bed, and the line from it up to the surface in a current, through every layer of it.
 * @throws CoreError 'out-of-range' for a sinker that does not sink; 'blown-out' where the line's upright pull falls to nothing
 * below the surface, line out passes ten depths, or the last layer ends below the surface.
 * Source: H. O. Berteaux, Buoy Engineering (1976), `d(T t)/ds + f − w ẑ = 0`. Valid: steady current, no swell.
 */
export function hangLayers(hanging: Hanging, options: HangOptions = {}): Hung {
  const { sinkerMassKg, sinkerDensityKgperM3, depthM, current, acrossMperS = 0, waterDensityKgperM3: rho } = hanging
  const weightN = submergedWeightN(sinkerMassKg, sinkerDensityKgperM3, rho)
  if (!(weightN > 0))
    throw new CoreError('out-of-range', 'The sinker is not denser than the water', { value: sinkerDensityKgperM3 })
  const flow = [current(BED_LAYER_M), acrossMperS] as const
  // The push on something near the bed, along the flow there.
  const push = (dragAreaM2: number): Level => {
    const perSpeed = pushN(dragAreaM2, Math.hypot(...flow), rho) / (Math.hypot(...flow) || 1)
    return [perSpeed * flow[0], perSpeed * flow[1]]
  }
  const sinkerN = push(hanging.sinkerDragCoefficient * sphereAreaM2(sinkerMassKg, sinkerDensityKgperM3))
  const baitN = push(hanging.baitDragAreaM2)
  const start: LinePoint = {
    s: 0,
    x: 0,
    z: 0,
    tx: -(sinkerN[0] + baitN[0]),
    tz: weightN,
    ...(acrossMperS === 0 ? {} : { y: 0, ty: -(sinkerN[1] + baitN[1]) }),
  }
  const stop = {
    tolerance: options.tolerance ?? DEFAULT_TOLERANCE,
    scales: { along: depthM, places: depthM, rates: Math.hypot(weightN, sinkerN[0] + baitN[0], sinkerN[1] + baitN[1]) },
    untilSpent: true,
    ...(options.onPoint ? { onPoint: options.onPoint } : {}),
  }
  // The profile has a kink where the bed's layer ends: the steps stop there, so that none is taken across it.
  const heights = [Math.min(BED_LAYER_M, depthM), depthM]
  options.onPoint?.(start)
  const layersN: Level[] = []
  let point = start
  for (const layer of hanging.layers) {
    const forces: LineForces = {
      line: layer,
      current,
      ...(acrossMperS === 0 ? {} : { currentYMperS: acrossMperS }),
      fluidDensityKgperM3: rho,
      ...(options.tangentialCoefficient === undefined ? {} : { tangentialCoefficient: options.tangentialCoefficient }),
    }
    const begins = point
    const endsM = Math.min(begins.s + (layer.lengthM ?? Number.POSITIVE_INFINITY), MAX_SCOPE * depthM)
    for (let end = 'reached'; end === 'reached' && heights.length > 0; ) {
      const leg = followLine(forces, point, { ...stop, longest: endsM, upTo: heights[0]! })
      ;({ point, end } = leg)
      if (end === 'reached') heights.shift()
      if (end === 'spent') throw blownOut(hanging)
    }
    layersN.push([begins.tx - point.tx, (begins.ty ?? 0) - (point.ty ?? 0)])
    if (heights.length === 0) {
      options.onPoint?.(point)
      const [ex, ey] = acrossMperS === 0 ? [1, 0] : towards(point)
      const share = ([x, y]: Level) => x * ex + y * ey
      return { top: point, sinkerN: share(sinkerN), baitN: share(baitN), layersN: layersN.map(share) }
    }
  }
  throw blownOut(hanging)
}

/** A level force, N: down-current and across. */
type Level = readonly [x: number, y: number]

/** The way that the level pull at a point is against. */
function towards({ tx, ty = 0 }: LinePoint): Level {
  const level = Math.hypot(tx, ty) || 1
  return [-tx / level, -ty / level]
}

function blownOut({ sinkerMassKg }: Hanging): CoreError {
  return new CoreError('blown-out', `The line is blown out: ${sinkerMassKg} kg do not hold it down in this current`, {
    value: sinkerMassKg,
  })
}

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
  current: CurrentProfile
  depthM: number
  waterDensityKgperM3: number
}
export type HangOptions = {
  /** Error of a step over the problem's scale. */
  tolerance?: number
  tangentialCoefficient?: number
  onPoint?: (point: LinePoint) => void
}
/** Where the line comes out, and how much of the pull down-current each thing makes, N: sinker, bait, and the layers in order. */
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
  const { sinkerMassKg, sinkerDensityKgperM3, depthM, current, waterDensityKgperM3: rho } = hanging
  const weightN = submergedWeightN(sinkerMassKg, sinkerDensityKgperM3, rho)
  if (!(weightN > 0))
    throw new CoreError('out-of-range', 'The sinker is not denser than the water', { value: sinkerDensityKgperM3 })
  const push = (dragAreaM2: number) => pushN(dragAreaM2, current(BED_LAYER_M), rho)
  const sinkerN = push(hanging.sinkerDragCoefficient * sphereAreaM2(sinkerMassKg, sinkerDensityKgperM3))
  const baitN = push(hanging.baitDragAreaM2)
  const start: LinePoint = { s: 0, x: 0, z: 0, tx: -(sinkerN + baitN), tz: weightN }
  const stop = {
    tolerance: options.tolerance ?? DEFAULT_TOLERANCE,
    scales: { along: depthM, places: depthM, rates: Math.hypot(weightN, sinkerN + baitN) },
    untilSpent: true,
    ...(options.onPoint ? { onPoint: options.onPoint } : {}),
  }
  // The profile has a kink where the bed's layer ends: the steps stop there, so that none is taken across it.
  const heights = [Math.min(BED_LAYER_M, depthM), depthM]
  options.onPoint?.(start)
  const layersN: number[] = []
  let point = start
  for (const layer of hanging.layers) {
    const forces: LineForces = {
      line: layer,
      current,
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
    layersN.push(begins.tx - point.tx)
    if (heights.length === 0) {
      options.onPoint?.(point)
      return { top: point, sinkerN, baitN, layersN }
    }
  }
  throw blownOut(hanging)
}

function blownOut({ sinkerMassKg }: Hanging): CoreError {
  return new CoreError('blown-out', `The line is blown out: ${sinkerMassKg} kg do not hold it down in this current`, {
    value: sinkerMassKg,
  })
}

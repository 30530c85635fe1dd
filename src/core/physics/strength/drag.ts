export type DragInput = {
  weakestN: number
  lineClassN: number
  spoolFullRadiusM: number
  spoolRadiusM: number
  guideWrapRad: number
  guideFriction: number
  startFactor: number
  waterDragN: number
  allowedFraction: number
  dragN: number
}

export type DragResult = {
  multiplier: number
  ceilingN: number
  ceilingShareOfClass: number
  peakN: number
  peakShareOfWeakest: number
}

/**
 * What the hook feels when the reel, set straight off a full spool, gives line; and the highest safe setting.
 *   multiplier = startFactor (R_full / R) e^(μ θ),  peak = drag multiplier + waterDrag,
 *   ceiling = max(0, (allowedFraction weakest − waterDrag) / multiplier)
 * @returns forces in N; shares are ratios.
 * Source: capstan equation (Euler–Eytelwein); constant drag torque. Valid: μ and θ as means over the bent rod's guides.
 */
export function strengthDrag(input: DragInput): DragResult {
  const multiplier =
    input.startFactor * (input.spoolFullRadiusM / input.spoolRadiusM) * Math.exp(input.guideFriction * input.guideWrapRad)
  const ceilingN = Math.max(0, (input.allowedFraction * input.weakestN - input.waterDragN) / multiplier)
  const peakN = input.dragN * multiplier + input.waterDragN
  return {
    multiplier,
    ceilingN,
    ceilingShareOfClass: ceilingN / input.lineClassN,
    peakN,
    peakShareOfWeakest: peakN / input.weakestN,
  }
}

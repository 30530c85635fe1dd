import { SEA_WATER_KG_PER_M3 } from '../../math/constants.ts'

/** Tangential drag coefficient of line on d·L. Source: S. F. Hoerner, Fluid-Dynamic Drag (1965). */
const TANGENTIAL_COEFFICIENT = 0.03

export type WaterDragInput = { lineOutM: number; diameterM: number; speedMperS: number; waterDensityKgperM3?: number | undefined }

/**
 * Drag of line pulled lengthwise through water, `½ ρ Ct d v² L`.
 * @returns force, N.
 * Source: S. F. Hoerner, Fluid-Dynamic Drag (1965). Valid: straight line; a bow adds the normal drag of its cross-flow part.
 */
export function strengthWaterDragN({
  lineOutM,
  diameterM,
  speedMperS,
  waterDensityKgperM3 = SEA_WATER_KG_PER_M3,
}: WaterDragInput): number {
  return 0.5 * waterDensityKgperM3 * TANGENTIAL_COEFFICIENT * diameterM * speedMperS ** 2 * lineOutM
}

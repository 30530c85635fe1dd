import { DENSITY_KG_PER_M3 } from '../math/constants.ts'
import type { Catalogue } from './catalogue.ts'
import type { SinkerShape } from './ids.ts'

/** Drag coefficient of a sinker as a sphere of its mass. Nominal. */
export const SINKER_DRAG_COEFFICIENT = 0.5

/**
 * Drag coefficient times area of a sinker in flight, or falling: 0.5 × frontal area of a lead sphere of its mass × its shape's share.
 * @returns drag area, m². Nominal.
 */
export function sinkerDragAreaM2({ sinkers }: Catalogue, shape: SinkerShape, massKg: number): number {
  const radiusM = Math.cbrt((3 * massKg) / (4 * Math.PI * DENSITY_KG_PER_M3.lead))
  return SINKER_DRAG_COEFFICIENT * Math.PI * radiusM ** 2 * sinkers[shape].flight
}

/** Units for a kilogram of cast lead, and the least a sinker costs. Ours, for the scenario. */
export function sinkerCost(massKg: number): number {
  return Math.max(0.2, massKg * 7)
}

import type { Catalogue } from './catalogue.ts'
import type { SinkerMetal, SinkerShape } from './ids.ts'

export type SinkerBody = { shape: SinkerShape; metal?: SinkerMetal | undefined; massKg: number }

/** Drag coefficient of a sinker as a sphere of its mass. Nominal. */
export const SINKER_DRAG_COEFFICIENT = 0.5

/**
 * Drag coefficient times area of a sinker in flight, or falling: 0.5 × frontal area of a sphere of its mass × its shape's share.
 * @returns drag area, m². Nominal.
 */
export function sinkerDragAreaM2({ sinkers, sinkerMetals }: Catalogue, { shape, metal = 'lead', massKg }: SinkerBody): number {
  const radiusM = Math.cbrt((3 * massKg) / (4 * Math.PI * sinkerMetals[metal].densityKgperM3))
  return SINKER_DRAG_COEFFICIENT * Math.PI * radiusM ** 2 * sinkers[shape].flight
}

/** Units for a kilogram of cast lead, and the least a sinker costs. Ours, for the scenario. */
export function sinkerCost(massKg: number): number {
  return Math.max(0.2, massKg * 7)
}

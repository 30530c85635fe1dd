import { DENSITY_KG_PER_M3 } from '../math/constants.ts'

/** Sinker shapes: drag area over that of a sphere of the same mass (end-on in flight for bombs). Nominal. */
export const SINKER_SHAPES = {
  ball: { name: 'ball', flight: 1 },
  bullet: { name: 'bullet', flight: 0.7 },
  barrel: { name: 'barrel', flight: 1 },
  pear: { name: 'pear', flight: 0.8 },
  bomb: { name: 'bomb', flight: 0.5 },
  pyramid: { name: 'pyramid', flight: 1.2 },
  flat: { name: 'flat', flight: 1.2 },
  gripWire: { name: 'wired grip', flight: 0.6 },
  bar: { name: 'cut bar', flight: 1.3 },
  shot: { name: 'split shot', flight: 1 },
} as const

export type SinkerShape = keyof typeof SINKER_SHAPES

/** Drag coefficient of a sinker as a sphere of its mass. Nominal. */
export const SINKER_DRAG_COEFFICIENT = 0.5

/**
 * Drag coefficient times area of a sinker in flight, or falling: 0.5 × frontal area of a lead sphere of its mass × its shape's share.
 * @returns drag area, m². Nominal.
 */
export function sinkerDragAreaM2(shape: SinkerShape, massKg: number): number {
  const radiusM = Math.cbrt((3 * massKg) / (4 * Math.PI * DENSITY_KG_PER_M3.lead))
  return SINKER_DRAG_COEFFICIENT * Math.PI * radiusM ** 2 * SINKER_SHAPES[shape].flight
}

/** Units for a kilogram of cast lead, and the least a sinker costs. Ours, for the scenario. */
export function sinkerCost(massKg: number): number {
  return Math.max(0.2, massKg * 7)
}

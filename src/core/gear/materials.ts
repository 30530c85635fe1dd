import { QUANTITIES } from '../units/quantities.ts'

/**
 * Line materials. Nominal working values of the craft.
 * `stressPa` gives a diameter from a strength where none is known; `sanePa` is the strength over area beyond which a
 * label or a diameter is optimistic; `wetCondition` is the share of strength left when wet.
 */
export const MATERIALS = {
  mono: { name: 'mono', densityKgperM3: 1140, stressPa: 0.57e9, sanePa: 1.2e9, wetCondition: 0.9, unitsPerMetre: 0.05 },
  fluoro: { name: 'fluoro', densityKgperM3: 1780, stressPa: 0.54e9, sanePa: 1.2e9, wetCondition: 1, unitsPerMetre: 0.35 },
  braid: { name: 'braid', densityKgperM3: 970, stressPa: 2.3e9, sanePa: 4e9, wetCondition: 1, unitsPerMetre: 0.1 },
  wire: { name: 'wire', densityKgperM3: 7900, stressPa: 1.95e9, sanePa: 2.5e9, wetCondition: 1, unitsPerMetre: 0.9 },
  cable: { name: 'cable', densityKgperM3: 7900, stressPa: 1.1e9, sanePa: 2e9, wetCondition: 1, unitsPerMetre: 1.4 },
  cord: { name: 'cord', densityKgperM3: 1380, stressPa: 0.4e9, sanePa: 1e9, wetCondition: 1, unitsPerMetre: 0.15 },
} as const

export type Material = keyof typeof MATERIALS

/** Spread (coefficient of variation) of a line's strength. Nominal. */
export const LINE_SPREAD = 0.04

/** Single-strand wire by number: diameter (mm) and strength (lb) as printed. Nominal. */
const WIRE_NUMBERS = [
  { number: 2, diameterMm: 0.28, strengthLb: 27 },
  { number: 3, diameterMm: 0.3, strengthLb: 32 },
  { number: 4, diameterMm: 0.33, strengthLb: 38 },
  { number: 5, diameterMm: 0.36, strengthLb: 44 },
  { number: 6, diameterMm: 0.41, strengthLb: 58 },
  { number: 7, diameterMm: 0.46, strengthLb: 69 },
  { number: 8, diameterMm: 0.51, strengthLb: 86 },
  { number: 9, diameterMm: 0.56, strengthLb: 104 },
  { number: 10, diameterMm: 0.61, strengthLb: 128 },
  { number: 12, diameterMm: 0.74, strengthLb: 176 },
] as const

/**
 * Diameter of a line from its strength, `d = √(4F/πσ)`, where none was measured; single-strand wire by its numbers, between
 * which it is interpolated.
 * @returns diameter, m. Nominal: σ is a typical value of the material, and a wrong diameter counts by its square.
 */
export function nominalDiameterM(material: Material, strengthN: number): number {
  return (
    (material === 'wire' ? wireDiameterM(strengthN) : undefined) ??
    Math.sqrt((4 * strengthN) / (Math.PI * MATERIALS[material].stressPa))
  )
}

/** Between the printed numbers; undefined outside them, where the stress of the material decides. */
function wireDiameterM(strengthN: number): number | undefined {
  const strengthLb = strengthN / QUANTITIES.strength.units.lb
  const upper = WIRE_NUMBERS.findIndex((row) => row.strengthLb >= strengthLb * (1 - 1e-9))
  const [below, above] = [WIRE_NUMBERS[Math.max(0, upper - 1)], WIRE_NUMBERS[upper]]
  if (!below || !above || strengthLb < WIRE_NUMBERS[0].strengthLb * (1 - 1e-9)) return undefined
  const share = above === below ? 0 : (strengthLb - below.strengthLb) / (above.strengthLb - below.strengthLb)
  return (below.diameterMm + share * (above.diameterMm - below.diameterMm)) / 1000
}

/** A line's diameter: as measured, else nominal from its strength. */
export function lineDiameterM(line: { material: Material; strengthN: number; diameterM?: number | undefined }): number {
  return line.diameterM ?? nominalDiameterM(line.material, line.strengthN)
}

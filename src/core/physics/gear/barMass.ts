import { GRAVITY_M_PER_S2, SEA_WATER_KG_PER_M3 } from '../../math/constants.ts'

export type BarMassInput = {
  diameterM: number
  lengthM: number
  densityKgperM3: number
  waterDensityKgperM3?: number | undefined
}

/**
 * A weight cut from round bar, `ρ π/4 d² L`, and what it weighs in water (negative where it floats).
 * @returns mass in kg, weight in water in N.
 * Source: geometry and Archimedes.
 */
export function gearBarMass({ diameterM, lengthM, densityKgperM3, waterDensityKgperM3 = SEA_WATER_KG_PER_M3 }: BarMassInput): {
  massKg: number
  submergedN: number
} {
  const volumeM3 = (Math.PI / 4) * diameterM ** 2 * lengthM
  return { massKg: densityKgperM3 * volumeM3, submergedN: (densityKgperM3 - waterDensityKgperM3) * volumeM3 * GRAVITY_M_PER_S2 }
}

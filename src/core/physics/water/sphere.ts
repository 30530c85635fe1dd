import { GRAVITY_M_PER_S2 } from '../../math/constants.ts'

/** Weight in water of a mass of some density, N; below zero for what floats. */
export function submergedWeightN(massKg: number, densityKgperM3: number, waterDensityKgperM3: number): number {
  return massKg * GRAVITY_M_PER_S2 * (1 - waterDensityKgperM3 / densityKgperM3)
}

/** Mass that weighs so much in water, kg. */
export function massOfSubmergedKg(submergedN: number, densityKgperM3: number, waterDensityKgperM3: number): number {
  return submergedN / (GRAVITY_M_PER_S2 * (1 - waterDensityKgperM3 / densityKgperM3))
}

/** Frontal area of a sphere, m². */
export function sphereAreaM2(massKg: number, densityKgperM3: number): number {
  return Math.PI * Math.cbrt((3 * massKg) / (4 * Math.PI * densityKgperM3)) ** 2
}

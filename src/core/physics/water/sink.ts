import { CoreError } from '../../errors.ts'
import { SEA_WATER_KG_PER_M3 } from '../../math/constants.ts'
import { TANGENTIAL_COEFFICIENT } from './lineInFluid.ts'
import { submergedWeightN } from './sphere.ts'

export type SinkInput = {
  massKg: number
  densityKgperM3: number
  /** Drag coefficient times area of all that sinks, m². */
  dragAreaM2: number
  lineDiameterM: number
  depthM: number
  waterDensityKgperM3?: number | undefined
}
export type Sink = { timeS: number; freeSpeedMperS: number; bottomSpeedMperS: number }

/** Line area over the sinker's under which the closed form loses its digits, and its series is used. */
const THIN = 1e-6

/**
 * Time to sink to the bottom at terminal speed while the drag of the line drawn after it grows, `v(z) = √(2W/ρ(CdA + Ct d z))`.
 * @throws CoreError 'does-not-sink' for what is not denser than the water.
 * Source: terminal speed with quadratic drag; line drag after S. F. Hoerner (1965). Valid: still water, line free off the spool.
 */
export function waterSink({ massKg, densityKgperM3, dragAreaM2, lineDiameterM, depthM, waterDensityKgperM3 }: SinkInput): Sink {
  const rho = waterDensityKgperM3 ?? SEA_WATER_KG_PER_M3
  const weightN = submergedWeightN(massKg, densityKgperM3, rho)
  if (!(weightN > 0)) throw new CoreError('does-not-sink', 'It is not denser than the water', { value: densityKgperM3 })
  const lineArea = TANGENTIAL_COEFFICIENT * lineDiameterM * depthM
  const speedMperS = (areaM2: number) => Math.sqrt((2 * weightN) / (rho * areaM2))
  const r = lineArea / dragAreaM2
  // ((1 + r)^{3/2} − 1)/r · 2/3, which tends to 1: as a series where the difference would cancel.
  const longer = r < THIN ? 1 + r / 4 - (r * r) / 24 : (2 * ((1 + r) ** 1.5 - 1)) / (3 * r)
  const freeSpeedMperS = speedMperS(dragAreaM2)
  return { timeS: (depthM / freeSpeedMperS) * longer, freeSpeedMperS, bottomSpeedMperS: speedMperS(dragAreaM2 + lineArea) }
}

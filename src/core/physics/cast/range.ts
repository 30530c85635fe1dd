import { AIR_KG_PER_M3, GRAVITY_M_PER_S2 } from '../../math/constants.ts'
import { integrateToEvent } from '../../math/dormandPrince.ts'

export type CastRangeInput = {
  massKg: number
  /** Drag coefficient times area of everything that flies, m². */
  dragAreaM2: number
  releaseSpeedMperS: number
  launchDeg: number
  releaseHeightM: number
}

/**
 * Range of a point mass with quadratic air drag, from `releaseHeightM` down to height 0 over still, level water.
 * @returns horizontal range in m and flight time in s.
 * @throws CoreError 'no-convergence' if it has not come down within the time it could rise and fall many times over.
 * Source: Newton's second law with drag ½ ρ CdA v², ρ = 1.225 kg/m³. Line drag is left out; it takes a further 10–25 %.
 */
export function castRange(input: CastRangeInput): { rangeM: number; timeS: number } {
  const angle = (input.launchDeg * Math.PI) / 180
  const dragPerMass = (0.5 * AIR_KG_PER_M3 * input.dragAreaM2) / input.massKg
  const start = [0, input.releaseHeightM, input.releaseSpeedMperS * Math.cos(angle), input.releaseSpeedMperS * Math.sin(angle)]
  if (input.releaseHeightM === 0 && start[3]! <= 0) return { rangeM: 0, timeS: 0 }

  const fly = (_t: number, [, , vx = 0, vy = 0]: readonly number[]) => {
    const speed = Math.hypot(vx, vy)
    return [vx, vy, -dragPerMass * speed * vx, -GRAVITY_M_PER_S2 - dragPerMass * speed * vy]
  }
  // In a vacuum it is down within (v + √(v² + 2gh))/g; drag slows the fall to no less than the terminal speed.
  const terminalMperS = Math.sqrt(GRAVITY_M_PER_S2 / Math.max(dragPerMass, 1e-12))
  const vacuumS = (2 * input.releaseSpeedMperS + Math.sqrt(2 * GRAVITY_M_PER_S2 * input.releaseHeightM)) / GRAVITY_M_PER_S2
  const apexM = input.releaseHeightM + input.releaseSpeedMperS ** 2 / (2 * GRAVITY_M_PER_S2)
  const longest = 10 * (vacuumS + apexM / terminalMperS + 1)
  const landed = integrateToEvent(fly, start, (y) => y[1]!, {
    tolerance: 1e-7,
    firstStep: Math.min(1e-3, vacuumS / 100),
    longest,
  })
  return { rangeM: landed.y[0]!, timeS: landed.t }
}

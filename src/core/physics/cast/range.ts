import { CoreError } from '../../errors.ts'
import { AIR_KG_PER_M3, GRAVITY_M_PER_S2 } from '../../math/constants.ts'
import { followState } from '../../math/followState.ts'

export type CastRangeInput = {
  massKg: number
  /** Drag coefficient times area of everything that flies, m². */
  dragAreaM2: number
  releaseSpeedMperS: number
  launchDeg: number
  releaseHeightM: number
}

/** Error allowed in a step, over the height of the throw and its speed. */
const TOLERANCE = 1e-8

/**
 * Range of a point mass with quadratic air drag, from `releaseHeightM` down to height 0 over still, level water.
 * @returns horizontal range in m and flight time in s.
 * @throws CoreError 'no-convergence' if it has not come down within the time it could rise and fall many times over.
 * Source: Newton's second law with drag ½ ρ CdA v², ρ = 1.225 kg/m³. Line drag is left out; it takes a further 10–25 %.
 */
export function castRange(input: CastRangeInput): { rangeM: number; timeS: number } {
  const angle = (input.launchDeg * Math.PI) / 180
  const dragPerMass = (0.5 * AIR_KG_PER_M3 * input.dragAreaM2) / input.massKg
  const { releaseHeightM: heightM, releaseSpeedMperS: speedMperS } = input
  if (heightM === 0 && Math.sin(angle) <= 0) return { rangeM: 0, timeS: 0 }

  // Over, down from the release height's level, and how fast each.
  const fly = (y: Float64Array, out: Float64Array) => {
    const [over, down] = [y[2]!, y[3]!]
    const drag = dragPerMass * Math.sqrt(over * over + down * down)
    out[0] = over
    out[1] = down
    out[2] = -drag * over
    out[3] = GRAVITY_M_PER_S2 - drag * down
  }
  // In a vacuum it is down within (v + √(v² + 2gh))/g; drag slows the fall to no less than the terminal speed.
  const terminalMperS = Math.sqrt(GRAVITY_M_PER_S2 / Math.max(dragPerMass, 1e-12))
  const vacuumS = (2 * speedMperS + Math.sqrt(2 * GRAVITY_M_PER_S2 * heightM)) / GRAVITY_M_PER_S2
  const apexM = heightM + speedMperS ** 2 / (2 * GRAVITY_M_PER_S2)
  const state = Float64Array.of(0, -heightM, speedMperS * Math.cos(angle), -speedMperS * Math.sin(angle))
  const { s: timeS, end } = followState(fly, 0, state, {
    upTo: 0,
    longest: 10 * (vacuumS + apexM / terminalMperS + 1),
    untilSpent: false,
    tolerance: TOLERANCE,
    scales: { along: Math.min(vacuumS, terminalMperS / GRAVITY_M_PER_S2), places: 1 + apexM, rates: 1 + speedMperS },
  })
  if (end !== 'reached') throw new CoreError('no-convergence', `It was not down in ${timeS} s`, { timeS })
  return { rangeM: state[0]!, timeS }
}

import { GRAVITY_M_PER_S2 } from '../../math/constants.ts'
import { QUANTITIES } from '../../units/quantities.ts'

export type CastLoadInput = { massKg: number; releaseSpeedMperS: number; strokeM: number; peakFactor: number }

/**
 * Peak pull of a cast, `m (k v²/(2 s) + g)`: release speed v gathered over an arc s, peak-to-mean ratio k ≈ 2. Beside it
 * the shore angler's rule, 10 lb of leader for each ounce.
 * @returns forces, N.
 * Source: work and energy along the stroke. Valid: the mass is all that flies; rod's and line's own mass left out.
 */
export function castLoad({ massKg, releaseSpeedMperS, strokeM, peakFactor }: CastLoadInput): { peakN: number; ruleN: number } {
  const poundsPerOunce = (10 * QUANTITIES.strength.units.lb) / QUANTITIES.mass.units.oz
  return {
    peakN: massKg * ((peakFactor * releaseSpeedMperS ** 2) / (2 * strokeM) + GRAVITY_M_PER_S2),
    ruleN: poundsPerOunce * massKg,
  }
}

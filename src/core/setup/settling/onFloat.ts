import { isHardware } from '../../documents/pieces.ts'
import type { Piece } from '../../documents/trace.ts'
import { GRAVITY_M_PER_S2, SEA_WATER_KG_PER_M3 } from '../../math/constants.ts'
import { submergedWeightN } from '../../physics/water/sphere.ts'
import { FLOAT_DENSITY_KG_PER_M3, pieceDensityKgperM3 } from '../bodies.ts'
import { bearingFloats } from '../fishingMode.ts'
import { massOfKg } from '../masses.ts'
import type { Rig } from '../setup.ts'

/** A float and what hangs under it: what it bears before it goes under, and their weight in water, N. */
export type OnFloat = { id: string; bearsN: number; loadN: number }

/** What a float has to bear; undefined without one, and under a kite, which bears the line itself. */
export function onFloat({ trace, catalogue }: Pick<Rig, 'trace' | 'catalogue'>): OnFloat | undefined {
  const floats = bearingFloats(trace)
  const flown = trace.pieces.some((piece) => isHardware(piece, 'clipRing'))
  const [first] = floats
  if (!first || flown) return undefined
  const floatKg = floats.reduce((sum, { massKg }) => sum + massKg, 0)
  const weighs = (piece: Piece) =>
    submergedWeightN(massOfKg(catalogue, piece), pieceDensityKgperM3({ trace, catalogue }, piece), SEA_WATER_KG_PER_M3)
  return {
    id: first.id,
    bearsN: floatKg * (SEA_WATER_KG_PER_M3 / FLOAT_DENSITY_KG_PER_M3 - 1) * GRAVITY_M_PER_S2,
    loadN: trace.pieces.reduce((sum, piece) => sum + (piece.role === 'float' ? 0 : weighs(piece)), 0),
  }
}

import { isHardware, isHeaded } from '../../documents/pieces.ts'
import type { Piece } from '../../documents/trace.ts'
import { BAIT_DENSITY_KG_PER_M3, DENSITY_KG_PER_M3, GRAVITY_M_PER_S2, SEA_WATER_KG_PER_M3 } from '../../math/constants.ts'
import { submergedWeightN } from '../../physics/water/sphere.ts'
import { bodyDensityKgperM3, HEADED_KG_PER_M3, isBody } from '../bodies.ts'
import { bearingFloats } from '../fishes.ts'
import { massOfKg } from '../masses.ts'
import type { Rig } from '../setup.ts'

/** Of a float, kg/m³: a third of water’s. Nominal. */
const FLOAT_DENSITY_KG_PER_M3 = SEA_WATER_KG_PER_M3 / 3

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
    submergedWeightN(massOfKg(catalogue, piece), densityOf({ trace, catalogue }, piece), SEA_WATER_KG_PER_M3)
  return {
    id: first.id,
    bearsN: floatKg * (SEA_WATER_KG_PER_M3 / FLOAT_DENSITY_KG_PER_M3 - 1) * GRAVITY_M_PER_S2,
    loadN: trace.pieces.reduce((sum, piece) => sum + (piece.role === 'float' ? 0 : weighs(piece)), 0),
  }
}

function densityOf({ trace, catalogue }: Pick<Rig, 'trace' | 'catalogue'>, piece: Piece): number {
  if (piece.role === 'sinker') return catalogue.sinkerMetals[piece.metal ?? 'lead'].densityKgperM3
  if (piece.role === 'hook') return isHeaded(piece) ? HEADED_KG_PER_M3 : DENSITY_KG_PER_M3.steel
  if (piece.role === 'hardware') return DENSITY_KG_PER_M3.brass
  return isBody(piece) ? bodyDensityKgperM3(trace, piece) : BAIT_DENSITY_KG_PER_M3
}

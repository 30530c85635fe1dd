import type { Catalogue } from '../catalogue/catalogue.ts'
import { SINKER_DRAG_COEFFICIENT } from '../catalogue/sinkers.ts'
import { isHeaded, isOnHook } from '../documents/pieces.ts'
import type { Piece, Trace } from '../documents/trace.ts'
import { BAIT_DENSITY_KG_PER_M3, DENSITY_KG_PER_M3, SEA_WATER_KG_PER_M3 } from '../math/constants.ts'
import { sphereAreaM2 } from '../physics/water/sphere.ts'
import type { Rig } from './setup.ts'

/** What has a body of its own in the water: a bait or a lure. */
export type Body = Extract<Piece, { role: 'bait' | 'lure' }>

export const isBody = (piece: Piece): piece is Body => piece.role === 'bait' || piece.role === 'lure'

/** Of what floats, of a jig or plug, and of soft lures on a hook, kg/m³. Nominal, ours. */
const FLOATING_KG_PER_M3 = 700
const LURE_KG_PER_M3 = { hard: 5000, soft: 1100 }
/** Drag coefficient of a body across the stream, over the ellipse of its length and depth. Nominal: a blunt body. */
const BROADSIDE_COEFFICIENT = 1

export function bodyDensityKgperM3(trace: Trace, body: Body): number {
  if (body.floats) return FLOATING_KG_PER_M3
  if (body.role === 'bait') return BAIT_DENSITY_KG_PER_M3
  return isOnHook(trace, body) ? LURE_KG_PER_M3.soft : LURE_KG_PER_M3.hard
}

/** Drag coefficient times area in the stream, m²: its own, else by its length and depth, else nominal. */
export function streamAreaM2({ trace, catalogue }: Pick<Rig, 'trace' | 'catalogue'>, body: Body): number {
  return measuredAreaM2(body) ?? nominalAreaM2({ trace, catalogue }, body)
}

/** How its drag is over the nominal of its kind. */
export function overNominal(rig: Pick<Rig, 'trace' | 'catalogue'>, body: Body): number {
  const measuredM2 = measuredAreaM2(body)
  return measuredM2 === undefined ? 1 : measuredM2 / nominalAreaM2(rig, body)
}

function measuredAreaM2({ dragAreaM2, lengthM, depthM }: Body): number | undefined {
  if (dragAreaM2 !== undefined) return dragAreaM2
  return lengthM === undefined || depthM === undefined ? undefined : BROADSIDE_COEFFICIENT * (Math.PI / 4) * lengthM * depthM
}

const nominalAreaM2 = ({ trace, catalogue }: { trace: Trace; catalogue: Catalogue }, body: Body): number =>
  body.role === 'bait'
    ? catalogue.baits[body.bait].streamM2
    : SINKER_DRAG_COEFFICIENT * sphereAreaM2(body.massKg, bodyDensityKgperM3(trace, body))

/** A hook with a head on it is of lead but for the hook, kg/m³. */
export const HEADED_KG_PER_M3 = DENSITY_KG_PER_M3.lead

/** Of a float, kg/m³: a third of water’s. Nominal. */
export const FLOAT_DENSITY_KG_PER_M3 = SEA_WATER_KG_PER_M3 / 3

/** What a part is made of, kg/m³. Nominal. */
export function pieceDensityKgperM3({ trace, catalogue }: Pick<Rig, 'trace' | 'catalogue'>, piece: Piece): number {
  if (piece.role === 'sinker') return catalogue.sinkerMetals[piece.metal ?? 'lead'].densityKgperM3
  if (piece.role === 'hook') return isHeaded(piece) ? HEADED_KG_PER_M3 : DENSITY_KG_PER_M3.steel
  if (piece.role === 'hardware') return DENSITY_KG_PER_M3.brass
  if (piece.role === 'float') return FLOAT_DENSITY_KG_PER_M3
  return isBody(piece) ? bodyDensityKgperM3(trace, piece) : BAIT_DENSITY_KG_PER_M3
}

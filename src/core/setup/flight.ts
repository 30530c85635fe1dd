import { sinkerDragAreaM2 } from '../catalogue/sinkers.ts'
import { isHeaded } from '../documents/pieces.ts'
import type { Piece } from '../documents/trace.ts'
import { overNominal } from './bodies.ts'
import type { Rig } from './setup.ts'

/** Drag area in flight, m² per kg to the two thirds: a blunt body of about water’s density, and a float, a third as dense. Nominal. */
const BLUNT_AREA_PER_MASS = 0.006
const FLOAT_AREA_PER_MASS = 0.0125
/** What a bait that is clipped down behind the sinker has left of its drag streaming. Nominal, ours. */
const CLIPPED_SHARE = 0.4

/** Drag coefficient times area of a blunt body, a lure or a light, m². Nominal. */
export const bluntAreaM2 = (massKg: number): number => BLUNT_AREA_PER_MASS * Math.cbrt(massKg) ** 2

/** Drag coefficient times area of a piece in flight, m²; `clipped` for a bait that a clip holds down. */
export function flightAreaM2(rig: Pick<Rig, 'trace' | 'catalogue'>, piece: Piece, clipped: boolean): number {
  const { catalogue } = rig
  switch (piece.role) {
    case 'sinker':
      return sinkerDragAreaM2(catalogue, piece)
    case 'bait':
      return catalogue.baits[piece.bait].flightM2 * overNominal(rig, piece) * (clipped ? CLIPPED_SHARE : 1)
    case 'lure':
      return bluntAreaM2(piece.massKg) * overNominal(rig, piece)
    case 'hook':
      return isHeaded(piece) ? sinkerDragAreaM2(catalogue, { shape: 'ball', massKg: piece.headKg }) : 0
    case 'light':
      return bluntAreaM2(piece.massKg)
    case 'float':
      return FLOAT_AREA_PER_MASS * Math.cbrt(piece.massKg) ** 2
    default:
      return 0
  }
}

import type { Catalogue } from '../catalogue/catalogue.ts'
import { hardwareMassKg, strengthOfHardwareN } from '../catalogue/hardware.ts'
import { hookDimensions } from '../catalogue/hooks.ts'
import type { Piece } from '../documents/trace.ts'
import type { Rig } from './setup.ts'

/** Mass of a piece, kg; line's own mass is left out. Nominal where the document gives none. */
export function massOfKg(catalogue: Catalogue, piece: Piece): number {
  switch (piece.role) {
    case 'sinker':
    case 'light':
    case 'float':
      return piece.massKg
    case 'lure':
      return piece.massKg + (piece.nailKg ?? 0)
    case 'bait':
      return (piece.massKg ?? catalogue.baits[piece.bait].massKg) + (piece.nailKg ?? 0)
    case 'hook':
      return (hookDimensions(catalogue, piece.pattern, piece.size)?.massKg ?? 0) + (piece.headKg ?? 0)
    case 'hardware':
      return hardwareMassKg(catalogue, piece.type, strengthOfHardwareN(catalogue, piece))
    default:
      return 0
  }
}

/** All that flies in a cast, kg. */
export function flyingMassKg({ trace, catalogue }: Pick<Rig, 'trace' | 'catalogue'>): number {
  return trace.pieces.reduce((sum, piece) => sum + massOfKg(catalogue, piece), 0)
}

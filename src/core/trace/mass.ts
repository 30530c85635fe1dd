import { BAITS } from '../gear/baits.ts'
import { hardwareOf } from '../gear/hardware.ts'
import { hookDimensions } from '../gear/hooks.ts'
import type { Piece, Trace } from './schema.ts'

/** Mass of a piece, kg; line's own mass is left out. Nominal where the document gives none. */
export function massOfKg(piece: Piece): number {
  switch (piece.role) {
    case 'sinker':
    case 'lure':
    case 'light':
    case 'float':
      return piece.massKg
    case 'bait':
      return piece.massKg ?? BAITS[piece.bait].massKg
    case 'hook':
      return hookDimensions(piece.pattern, piece.size)?.massKg ?? 0
    case 'hardware':
      return hardwareOf(piece.type).massKg
    default:
      return 0
  }
}

/** All that flies in a cast, kg. */
export function flyingMassKg(trace: Trace): number {
  return trace.pieces.reduce((sum, piece) => sum + massOfKg(piece), 0)
}

import { boreM, swivelWidthM } from '../catalogue/bores.ts'
import type { Piece } from '../documents/trace.ts'

/** Width of a swivel over the bore that it is to stop. Ours. */
const WIDER = 1.1

/** The widest bore of the sinkers that rest on a piece, m; 0 where none does. */
const widestBoreOnM = (pieces: readonly Piece[], id: string): number =>
  Math.max(
    0,
    ...pieces.map((piece) => {
      const rests = piece.role === 'sinker' && piece.attach.how === 'sliding' && piece.attach.stops.below === id
      return rests ? (boreM(piece.shape, piece.massKg) ?? 0) : 0
    }),
  )

/** The first of some sizes that is too wide for every bore that rests on a piece; the first of all where none does. */
export function wideEnough(pieces: readonly Piece[], id: string, sizes: readonly string[]): string | undefined {
  const leastM = WIDER * widestBoreOnM(pieces, id)
  return sizes.find((size) => (swivelWidthM(size) ?? 0) > leastM)
}

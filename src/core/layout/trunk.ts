import { parentId, pieceById } from '../documents/pieces.ts'
import type { Piece, Trace } from '../documents/trace.ts'
import { endsOf } from '../soundness/paths.ts'
/** The pieces from the outfit to the end that the strip follows: a sinker tied in line, else a hook or lure, else the first end. */
export function trunkOf(trace: Trace): Set<string> {
  const chain = (end: Piece): Piece[] => {
    const above: Piece[] = []
    for (let piece: Piece | undefined = end; piece; piece = pieceById(trace, parentId(piece.attach))) above.unshift(piece)
    return above
  }
  const chains = endsOf(trace).map(chain)
  const tiedInLine = chains.filter((pieces) =>
    pieces.every(({ attach }) => (attach.how === 'joined' && attach.end !== 'near') || attach.how === 'through'),
  )
  // A weight that falls off the hook at the bottom is not what the strip leads to.
  const ownSinker = (pieces: Piece[]) => pieces.at(-1)?.role === 'sinker' && pieces.at(-2)?.role !== 'hook'
  const best = tiedInLine.find(ownSinker) ?? tiedInLine[0] ?? chains[0] ?? []
  return new Set(best.map(({ id }) => id))
}

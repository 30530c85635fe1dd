import type { LinkRef } from '../documents/linkRef.ts'
import { pieceIdOf } from '../documents/linkRef.ts'
import { hungFrom, isLine, pieceById } from '../documents/pieces.ts'
import type { Piece, Trace } from '../documents/trace.ts'
import { OUTFIT } from '../documents/vocabulary.ts'
import { onLine } from './along.ts'

/**
 * Where a part can be put: at the end of a piece or of the outfit's line, taking over what hung there or beside it; or part-way
 * along a line, counted down it.
 */
export type Place = { at: 'end'; of: string; end?: 'near' | 'far'; takes?: string } | { at: 'along'; line: string; downM: number }

/** The places that go with a chosen item of the reach, the likeliest first. */
export function placesAt(trace: Trace, chosen: LinkRef): Place[] {
  const id = pieceIdOf(chosen)
  if (id === undefined) return chosen.at === 'clip' ? [] : onOutfit(trace)
  const piece = pieceById(trace, id)
  if (!piece) return []
  if (chosen.at === 'joint') return beforePiece(piece)
  return isLine(piece) ? onLineOf(piece, trace) : afterPart(piece, trace)
}

const atEnd = (of: string, takes: Piece | undefined): Place => ({ at: 'end', of, ...(takes ? { takes: takes.id } : {}) })

function onOutfit(trace: Trace): Place[] {
  const root = trace.pieces.find(({ attach }) => attach.how === 'joined' && attach.to === OUTFIT)
  return [atEnd(OUTFIT, root), { at: 'along', line: OUTFIT, downM: -1 }]
}

function beforePiece(piece: Piece): Place[] {
  const { attach } = piece
  if (attach.how !== 'joined') return []
  return [{ at: 'end', of: attach.to, takes: piece.id, ...(attach.end ? { end: attach.end } : {}) }]
}

function onLineOf(line: Piece, trace: Trace): Place[] {
  const hung = hungFrom(trace, line.id).filter(({ attach }) => attach.how === 'joined')
  const far = hung.find(({ attach }) => attach.how === 'joined' && attach.end !== 'near')
  const near = hung.find(({ attach }) => attach.how === 'joined' && attach.end === 'near')
  return [
    atEnd(line.id, far),
    ...(line.attach.how === 'through' ? [{ ...atEnd(line.id, near), end: 'near' } as Place] : []),
    { at: 'along', line: line.id, downM: roomOn(trace, line) },
  ]
}

/** The middle of the widest stretch of a line that nothing sits in. */
function roomOn(trace: Trace, line: Piece): number {
  if (!isLine(line)) return 0
  const places = [0, ...onLine(trace, line.id).map(({ downM }) => downM), line.lengthM].toSorted((a, b) => a - b)
  let best = { from: 0, widthM: -1 }
  for (const [i, to] of places.entries()) {
    const from = places[i - 1] ?? to
    if (to - from > best.widthM + 1e-9) best = { from, widthM: to - from }
  }
  return best.from + best.widthM / 2
}

function afterPart(part: Piece, trace: Trace): Place[] {
  const hung = hungFrom(trace, part.id).filter(({ role }) => role !== 'bait')
  const follow = hung.find(({ attach }) => attach.how === 'joined')
  return follow ? [atEnd(part.id, undefined), atEnd(part.id, follow)] : [atEnd(part.id, undefined)]
}

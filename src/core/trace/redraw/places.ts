import { isLine, jointId, OUTFIT, type Piece, parentId, pieceOfLink, type Trace, WOUND_ROLES } from '../schema.ts'
import { onLine } from './along.ts'

/**
 * Where a part can be put: at the end of a piece or of the outfit's line, taking over what hung there or beside it; or part-way
 * along a line, counted down it.
 */
export type Place = { at: 'end'; of: string; end?: 'near' | 'far'; takes?: string } | { at: 'along'; line: string; downM: number }

/** The places that go with a chosen item of the reach, the likeliest first. */
export function placesAt(trace: Trace, chosen: string): Place[] {
  if (chosen === 'reel' || chosen === OUTFIT || (WOUND_ROLES as readonly string[]).includes(pieceOfLink(chosen)))
    return onOutfit(trace)
  const piece = trace.pieces.find(({ id }) => id === pieceOfLink(chosen))
  if (!piece) return []
  if (chosen === jointId(piece.id)) return beforePiece(piece)
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
  const hung = trace.pieces.filter(({ attach }) => attach.how === 'joined' && attach.to === line.id)
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
  for (let i = 1; i < places.length; i += 1) {
    const widthM = places[i]! - places[i - 1]!
    if (widthM > best.widthM + 1e-9) best = { from: places[i - 1]!, widthM }
  }
  return best.from + best.widthM / 2
}

function afterPart(part: Piece, trace: Trace): Place[] {
  const hung = trace.pieces.filter(({ attach, role }) => parentId(attach) === part.id && role !== 'bait')
  const follow = hung.find(({ attach }) => attach.how === 'joined')
  return follow ? [atEnd(part.id, undefined), atEnd(part.id, follow)] : [atEnd(part.id, undefined)]
}

import type { LinkRef } from '../documents/linkRef.ts'
import { pieceIdOf } from '../documents/linkRef.ts'
import { hungFrom, isLine, lineById, pieceById } from '../documents/pieces.ts'
import type { Piece, Trace } from '../documents/trace.ts'
import { OUTFIT } from '../documents/vocabulary.ts'
import { onLine, ridesOn } from './along.ts'

/**
 * Where a part can be put: at the end of a piece or of the outfit's line, taking over what hung there or beside it; or part-way
 * along a line, counted down it.
 */
export type Place = { at: 'end'; of: string; end?: 'near' | 'far'; takes?: string } | Along
/** Part-way along a line, between what rides on it there. */
type Along = { at: 'along'; line: string; downM: number; above?: string; below?: string }

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
  return [atEnd(OUTFIT, root), ...widestFirst(stretchesOn(trace, OUTFIT))]
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
    ...widestFirst(stretchesOn(trace, line.id)),
  ]
}

/** How far up the outfit’s line parts are put unless more ride there already, m. */
const UP_THE_OUTFIT_M = 2

type Stretch = Along & { lengthM: number }

/** Each stretch of a line between what rides on it, from the reel down, with its middle as the place. */
export function stretchesOn(trace: Trace, lineId: string): Stretch[] {
  const row = onLine(trace, lineId).filter(({ piece }) => ridesOn(piece) !== undefined)
  const line = lineById(trace, lineId)
  const top = line ? 0 : Math.min(-UP_THE_OUTFIT_M, (row[0]?.downM ?? 0) - 1)
  const edges = [top, ...row.map(({ downM }) => downM), line?.lengthM ?? 0]
  return edges.slice(1).map((to, i): Stretch => {
    const [from, above, below] = [edges[i] ?? to, row[i - 1]?.piece.id, row[i]?.piece.id]
    return {
      at: 'along',
      line: lineId,
      downM: (from + to) / 2,
      lengthM: to - from,
      ...(above === undefined ? {} : { above }),
      ...(below === undefined ? {} : { below }),
    }
  })
}

/** The widest stretch first, the others as they lie; of stretches alike the upper is the widest. */
function widestFirst(stretches: readonly Stretch[]): Along[] {
  const widest = stretches.reduce<Stretch | undefined>(
    (best, each) => (best && each.lengthM <= best.lengthM + 1e-9 ? best : each),
    undefined,
  )
  const others = stretches.filter((each) => each !== widest && each.lengthM > 1e-6)
  return [...(widest ? [widest] : []), ...others].map(({ lengthM: _length, ...place }) => place)
}

/** Hanging from a part, below it, above it, and on its line beside it. */
function afterPart(part: Piece, trace: Trace): Place[] {
  const hung = hungFrom(trace, part.id).filter(({ role }) => role !== 'bait')
  const follow = hung.find(({ attach }) => attach.how === 'joined')
  const on = ridesOn(part)
  const beside =
    on === undefined ? [] : widestFirst(stretchesOn(trace, on)).filter((each) => [each.above, each.below].includes(part.id))
  return [atEnd(part.id, undefined), ...(follow ? [atEnd(part.id, follow)] : []), ...beforePiece(part), ...beside]
}

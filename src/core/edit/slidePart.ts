import { isLine, lineById, parentId, pieceById } from '../documents/pieces.ts'
import type { Piece, Trace } from '../documents/trace.ts'
import { OUTFIT } from '../documents/vocabulary.ts'
import type { Rig } from '../setup/setup.ts'
import { type OnLine, onLine, putAt, ridesOn } from './along.ts'
import { reattached } from './changes.ts'
import { checked, type EditResult, refused } from './editResult.ts'

/** Farthest up the outfit's line that anything is put, m. */
const FARTHEST_M = 1_000

/** How far down its line a part sits, and the stretch it can slide in, m; undefined for a part that rides on none. */
export function slideRange(trace: Trace, id: string): { downM: number; lowM: number; highM: number } | undefined {
  const piece = pieceById(trace, id)
  const pulley = piece && throughOf(piece, trace)
  if (pulley) return { downM: pulley.attach.atM, lowM: 0, highM: pulley.lengthM }
  const lineId = piece && ridesOn(piece)
  if (!piece || lineId === undefined) return undefined
  const row = onLine(trace, lineId)
  const group = groupOf(row, piece)
  const own = row.find((other) => other.piece === piece)
  const [top, bottom] = [group[0], group.at(-1)]
  if (!own || !top || !bottom) return undefined
  const topM = row[row.indexOf(top) - 1]?.downM ?? (lineId === OUTFIT ? -FARTHEST_M : 0)
  const bottomM = row[row.indexOf(bottom) + 1]?.downM ?? lineById(trace, lineId)?.lengthM ?? 0
  return {
    downM: own.downM,
    lowM: topM + (own.downM - top.downM),
    highM: bottomM - (bottom.downM - own.downM),
  }
}

/**
 * The trace with a part slid along its line to a place counted down it. A part trapped between fixed stops takes them along;
 * nothing passes its neighbours. On a line through a pulley, the pulley itself can be slid.
 */
export function slidePart(rig: Rig, id: string, downM: number): EditResult {
  const { trace } = rig
  const range = slideRange(trace, id)
  const piece = pieceById(trace, id)
  if (!range || !piece) return refused('it is not on a line')
  const toM = Math.min(range.highM, Math.max(range.lowM, downM))
  const pulley = throughOf(piece, trace)
  if (pulley) return checked(rig, reattached(trace, pulley.id, { ...pulley.attach, atM: toM }), id)
  const moved = groupOf(onLine(trace, parentId(piece.attach)), piece).reduce(
    (next, other) => putAt(next, other.piece.id, other.downM + toM - range.downM),
    trace,
  )
  return checked(rig, moved, id)
}

/** The part with the fixed stops it is trapped between and all that lies between them; else the part alone. */
function groupOf(row: readonly OnLine[], piece: Piece): readonly OnLine[] {
  const own = row.filter((other) => other.piece === piece)
  if (piece.attach.how !== 'sliding') return own
  const { above, below } = piece.attach.stops
  const place = (id: string | undefined) => row.findIndex((other) => other.piece.id === id && other.piece.attach.how === 'fixed')
  const [from, to] = [place(above), place(below)]
  return from >= 0 && to >= 0 ? row.slice(from, to + 1) : own
}

type Through = Extract<Piece, { lengthM: number }> & { attach: Extract<Piece['attach'], { how: 'through' }> }

/** The line that runs through a pulley, when that pulley, or the line itself, is chosen. */
function throughOf(piece: Piece, trace: Trace): Through | undefined {
  const line = trace.pieces.find(({ id, attach }) => attach.how === 'through' && (attach.carrier === piece.id || id === piece.id))
  return isLine(line) && line.attach.how === 'through' ? (line as Through) : undefined
}

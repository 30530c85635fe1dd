import { reattached } from '../edit.ts'
import type { Outfit } from '../outfit.ts'
import { isLine, OUTFIT, type Piece, type Trace } from '../schema.ts'
import { type OnLine, onLine, putAt, ridesOn } from './along.ts'
import { checked, type Redrawn, refused } from './redrawn.ts'

/** Farthest up the outfit's line that anything is put, m. */
const FARTHEST_M = 1_000

/** How far down its line a part sits, and the stretch it can slide in, m; undefined for a part that rides on none. */
export function slideRange(trace: Trace, id: string): { downM: number; lowM: number; highM: number } | undefined {
  const piece = trace.pieces.find((each) => each.id === id)
  const pulley = piece && throughOf(piece, trace)
  if (pulley) return { downM: pulley.attach.atM, lowM: 0, highM: pulley.lengthM }
  const lineId = piece && ridesOn(piece)
  if (!piece || lineId === undefined) return undefined
  const row = onLine(trace, lineId)
  const group = groupOf(row, piece)
  const own = row.find((other) => other.piece === piece)!
  const [first, last] = [row.indexOf(group[0]!), row.indexOf(group.at(-1)!)]
  const line = trace.pieces.find((each) => each.id === lineId)
  const topM = row[first - 1]?.downM ?? (lineId === OUTFIT ? -FARTHEST_M : 0)
  const bottomM = row[last + 1]?.downM ?? (isLine(line) ? line.lengthM : 0)
  return {
    downM: own.downM,
    lowM: topM + (own.downM - group[0]!.downM),
    highM: bottomM - (group.at(-1)!.downM - own.downM),
  }
}

/**
 * The trace with a part slid along its line to a place counted down it. A part trapped between fixed stops takes them along;
 * nothing passes its neighbours. On a line through a pulley, the pulley itself can be slid.
 */
export function slidePart(trace: Trace, outfit: Outfit, id: string, downM: number): Redrawn {
  const range = slideRange(trace, id)
  const piece = trace.pieces.find((each) => each.id === id)
  if (!range || !piece) return refused('it does not ride on a line')
  const toM = Math.min(range.highM, Math.max(range.lowM, downM))
  const pulley = throughOf(piece, trace)
  if (pulley) return checked(reattached(trace, pulley.id, { ...pulley.attach, atM: toM }), outfit, id)
  const lineId = ridesOn(piece)!
  const moved = groupOf(onLine(trace, lineId), piece).reduce(
    (next, other) => putAt(next, other.piece.id, other.downM + toM - range.downM),
    trace,
  )
  return checked(moved, outfit, id)
}

/** The part with the fixed stops it is trapped between and all that lies between them; else the part alone. */
function groupOf(row: OnLine[], piece: Piece): OnLine[] {
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

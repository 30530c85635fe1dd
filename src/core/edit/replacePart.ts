import { hungFrom, isLine, pieceById } from '../documents/pieces.ts'
import type { Piece, Trace } from '../documents/trace.ts'
import type { Rig } from '../setup/setup.ts'
import { BEARS_NOTHING, seatFor } from './addPart.ts'
import { onLine, ridesOn } from './along.ts'
import { reattached } from './changes.ts'
import { checked, type EditResult, refused } from './editResult.ts'
import { tieTo } from './joining.ts'
import { SINGLE_PARTS } from './newParts.ts'
import { newPiece } from './newPiece.ts'
import { NO_KNOT } from './retie.ts'

/** The trace with another kind of part in the place of one; what hung from the old hangs from the new. */
export function replacePart(rig: Rig, id: string, partId: keyof typeof SINGLE_PARTS): EditResult {
  const { trace } = rig
  const old = pieceById(trace, id)
  if (!old) return refused('this belongs to the outfit')
  const hung = hungFrom(trace, id)
  const fresh = newPiece(rig, SINGLE_PARTS[partId], old.attach)
  if (isLine(old) && isLine(fresh))
    return checked(rig, renamed(trace, id, { ...fresh, lengthM: old.lengthM, attach: old.attach }), fresh.id)
  if (isLine(old) && hung.some((piece) => ridesOn(piece) !== undefined))
    return refused('there are parts on the line; remove them first')
  if (old.attach.how === 'through') return refused('the line runs through a pulley; remove the pulley first')
  const attach = attachFor(rig, old, fresh)
  if (typeof attach === 'string') return refused(attach)
  let replaced = renamed(trace, id, { ...fresh, attach })
  for (const child of hung) {
    if (child.attach.how !== 'joined') return refused('a line runs through it; remove the line first')
    const tied = tieTo({ ...rig, trace: replaced }, fresh.id, child)
    if (!tied) return refused(NO_KNOT)
    if (child.role === 'bait' && fresh.role !== 'hook') return refused('a bait is on the hook; remove the bait first')
    if (BEARS_NOTHING.includes(fresh.role)) return refused('nothing can be tied to it')
    replaced = reattached(replaced, child.id, tied)
  }
  return checked(rig, replaced, fresh.id)
}

function attachFor(rig: Rig, old: Piece, fresh: Piece): Piece['attach'] | string {
  const lineId = ridesOn(old)
  if (lineId === undefined) {
    if (old.attach.how !== 'joined') return 'it cannot be replaced'
    return tieTo(rig, old.attach.to, fresh, old.attach.end) ?? NO_KNOT
  }
  const { trace } = rig
  const downM = onLine(trace, lineId).find(({ piece }) => piece === old)?.downM ?? 0
  return seatFor({ ...trace, pieces: trace.pieces.filter((piece) => piece !== old) }, { line: lineId, downM }, fresh)
}

/** The trace with one piece put in another's place, and every mention of it following. */
function renamed(trace: Trace, id: string, fresh: Piece): Trace {
  const swap = (mention: string) => (mention === id ? fresh.id : mention)
  const pieces = trace.pieces.map((piece) => (piece.id === id ? fresh : mentioning(piece, swap)))
  return {
    ...trace,
    pieces,
    ...(trace.weakLink === undefined ? {} : { weakLink: swap(trace.weakLink) }),
    ...(trace.fuse === undefined ? {} : { fuse: { ...trace.fuse, id: swap(trace.fuse.id) } }),
    ...(trace.releaseClips
      ? { releaseClips: trace.releaseClips.map((clip) => ({ ...clip, from: swap(clip.from), to: swap(clip.to) })) }
      : {}),
  }
}

function mentioning(piece: Piece, swap: (id: string) => string): Piece {
  const { attach } = piece
  const stops = <S extends Record<string, string | undefined>>(named: S) =>
    Object.fromEntries(Object.entries(named).map(([side, stop]) => [side, stop && swap(stop)])) as S
  switch (attach.how) {
    case 'joined':
      return { ...piece, attach: { ...attach, to: swap(attach.to) } }
    case 'fixed':
      return { ...piece, attach: { ...attach, on: swap(attach.on) } }
    case 'sliding':
      return { ...piece, attach: { ...attach, on: swap(attach.on), stops: stops(attach.stops) } }
    case 'through':
      return { ...piece, attach: { ...attach, carrier: swap(attach.carrier), stops: stops(attach.stops) } }
  }
}

import { hungFrom, lineById, parentId, pieceById } from '../documents/pieces.ts'
import type { Piece, Trace } from '../documents/trace.ts'
import { OUTFIT } from '../documents/vocabulary.ts'
import { defaultConnection } from '../joints/connectionRules.ts'
import { endById, endOf } from '../joints/ends.ts'
import { pieceName, withArticle } from '../setup/names.ts'
import type { Rig } from '../setup/setup.ts'
import { seatFor, slidingSeat } from './addPart.ts'
import { atOf, ridesOn } from './along.ts'
import { fixedOn } from './attach.ts'
import { reattached } from './changes.ts'
import { checked, type EditResult, refused } from './editResult.ts'
import { tieTo } from './joining.ts'
import { type Place, stretchesOn } from './places.ts'
import { resolveStops } from './resolveStops.ts'
import { NO_KNOT } from './retie.ts'

/** The trace with a part, and all that hangs from it, lifted off and put at another place; nothing of it changes but how it hangs. */
export function moveTo(rig: Rig, id: string, place: Place): EditResult {
  const { trace } = rig
  const piece = pieceById(trace, id)
  if (!piece) return refused('this belongs to the outfit')
  if (piece.attach.how === 'through') return refused('it runs through a pulley; move the pulley')
  if (hangsFrom(trace, place.at === 'along' ? place.line : place.of, id)) return refused('it would be tied to itself')
  if (place.at === 'along') {
    const attach = seatFor(without(trace, id), place, piece)
    // Lifted off, it may have passed what it bore on, or what bore on it.
    return typeof attach === 'string' ? refused(attach) : checked(rig, withRecomputedStops(reattached(trace, id, attach), id), id)
  }
  if (place.takes === id) return refused('it is there already')
  const attach = tieTo(rig, place.of, piece, place.end)
  if (!attach) return refused(NO_KNOT)
  const moved = withRecomputedStops(reattached(trace, id, attach), id)
  const taken = place.takes === undefined ? undefined : pieceById(trace, place.takes)
  if (!taken) return checked(rig, moved, id)
  if (hungFrom(trace, id).some(({ attach: { how }, role }) => how === 'joined' && role !== 'bait'))
    return refused(`a part is tied to it: ${withArticle(pieceName(taken))} would have no place`)
  const below = tieTo({ ...rig, trace: moved }, id, taken)
  return below ? checked(rig, reattached(moved, taken.id, below), id) : refused(NO_KNOT)
}

/** Whether a place on a piece is on one, or on what hangs from it. */
function hangsFrom(trace: Trace, at: string, id: string): boolean {
  for (let piece = pieceById(trace, at); piece; piece = pieceById(trace, parentId(piece.attach))) if (piece.id === id) return true
  return false
}

const without = (trace: Trace, id: string): Trace => ({ ...trace, pieces: trace.pieces.filter((piece) => piece.id !== id) })

/** Whatever bore on a part that was lifted off looks for its stop anew. */
function withRecomputedStops(trace: Trace, id: string): Trace {
  const bore = ({ attach }: Piece) => attach.how === 'sliding' && [attach.stops.above, attach.stops.below].includes(id)
  return resolveStops(trace, new Set(trace.pieces.filter(bore).map((piece) => piece.id)))
}

/** Every place of a trace that a part can be moved to, with what comes of it. */
export function placesToMove(rig: Rig, id: string): { place: Place; result: Extract<EditResult, { ok: true }> }[] {
  const { trace } = rig
  const lines = [OUTFIT, ...trace.pieces.filter((piece) => lineById(trace, piece.id)).map((piece) => piece.id)]
  const places: Place[] = [
    ...lines.flatMap((line) => [...stretchesOn(without(trace, id), line), { at: 'end' as const, of: line }]),
    ...trace.pieces
      .filter(({ role }) => role === 'hardware' || role === 'lure')
      .map((piece) => ({ at: 'end' as const, of: piece.id })),
  ]
  return places.flatMap((place) => {
    const result = moveTo(rig, id, place)
    return result.ok ? [{ place, result }] : []
  })
}

/** Parts that can be held fast on a line or left to slide. */
const HELD_OR_FREE: readonly Piece['role'][] = ['sinker', 'float', 'hardware', 'light', 'hook']

/** Whether a part that rides on a line can be held there, and is; undefined where it has no such choice: a knot. */
export function isHeld(piece: Piece): boolean | undefined {
  const { attach } = piece
  if (ridesOn(piece) === undefined || !HELD_OR_FREE.includes(piece.role)) return undefined
  if (attach.how === 'sliding') return false
  return attach.how === 'fixed' && (piece.role === 'hook' || attach.joint.connection === 'fitted') ? true : undefined
}

/** The trace with a part pinched fast where it sits on its line, or let go to slide to what is below it. */
export function hold(rig: Rig, id: string, held: boolean): EditResult {
  const { trace } = rig
  const piece = pieceById(trace, id)
  const on = piece && ridesOn(piece)
  if (!piece || on === undefined || isHeld(piece) === undefined) return refused('it does not slide on a line')
  const atM = piece.attach.how === 'fixed' || piece.attach.how === 'sliding' ? piece.attach.atM : 0
  // A hook is held by being tied in the line it is on.
  const connection = piece.role === 'hook' ? defaultConnection(endById(rig, on), endOf(piece)) : 'fitted'
  if (held) return checked(rig, reattached(trace, id, fixedOn(on, atM, connection)), id)
  const seat = slidingSeat(without(trace, id), { line: on, downM: atOf(on, atM) }, piece)
  return typeof seat === 'string' ? refused(seat) : checked(rig, reattached(trace, id, seat), id)
}

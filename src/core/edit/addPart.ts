import { isLine, pieceById } from '../documents/pieces.ts'
import type { Attach, LinePiece, Piece, Trace } from '../documents/trace.ts'
import { OUTFIT } from '../documents/vocabulary.ts'
import { defaultConnection } from '../joints/connectionRules.ts'
import { endById, endOf } from '../joints/ends.ts'
import { pieceName, withArticle } from '../setup/names.ts'
import type { Rig } from '../setup/setup.ts'
import { carriesEnd } from '../soundness/soundness.ts'
import { atOf, onLine, STOPS } from './along.ts'
import { fixedOn, joined, sliding } from './attach.ts'
import { reattached } from './changes.ts'
import { checked, type EditResult, refused } from './editResult.ts'
import { tieTo } from './joining.ts'
import { type NewPart, newParts, SINGLE_PARTS, type SinglePart, TRAP_M } from './newParts.ts'
import { newPiece } from './newPiece.ts'
import type { Place } from './places.ts'
import { NO_KNOT } from './retie.ts'

/** Share of a pulley's line that lies on the sinker's side to begin with. */
const PULLEY_NEAR_SHARE = 0.25

export type Step = { ok: true; trace: Trace; id: string } | { ok: false; why: string }

/** The trace with a part put in at a place, the new part chosen; or why it does not go there. */
export function addPart(rig: Rig, place: Place, partId: string): EditResult {
  const part = newParts(rig.catalogue)[partId]
  if (!part) return refused(`there is no part “${partId}”`)
  const put = putIn(rig, place, part)
  return put.ok ? checked(rig, put.trace, put.id) : put
}

export function putIn(rig: Rig, place: Place, part: NewPart): Step {
  switch (part.kind) {
    case 'baitedSnood':
      return baitedSnood(rig, place)
    case 'trappedSnood':
      return trappedSnood(rig, place)
    case 'weakSinker':
      return weakSinker(rig, place)
    case 'pulleyLine':
      return pulleyLine(rig, place)
    default:
      return place.at === 'end' ? atEnd(rig, place, part) : along(rig, place, part)
  }
}

const no = (why: string): Step => ({ ok: false, why })
/** Adds one part after another, each at a place found from the one before. */
function inTurn(start: Step, ...more: ((done: Extract<Step, { ok: true }>) => Step)[]): Step {
  return more.reduce<Step>((done, next) => (done.ok ? next(done) : done), start)
}

function atEnd(rig: Rig, place: Extract<Place, { at: 'end' }>, part: SinglePart): Step {
  const { trace } = rig
  const parent = pieceById(trace, place.of)
  const carries = part.kind === 'line' || part.kind === 'hardware' || part.kind === 'hook'
  const there = place.takes === undefined ? undefined : pieceById(trace, place.takes)
  // A bait stays on its hook: what is put there hangs beside it.
  const taken = there?.role === 'bait' && part.kind !== 'hook' ? undefined : there
  if (part.kind === 'bait' && parent?.role !== 'hook') return no('a bait goes on a hook')
  if (parent && BEARS_NOTHING.includes(parent.role)) return no(`nothing can be tied to a ${parent.role}`)
  if (parent?.role === 'lure' && !carries) return no('only hooks, rings and lines can be tied to a lure')
  if (parent?.role === 'hook' && part.kind === 'float') return no('put it on the line above the hook')
  if (part.kind === 'hardware' && NEVER_AT_END.includes(part.type)) return no('it goes along a line, not at its end')
  if (taken && (!carries || (part.kind === 'hook' && taken.role !== 'hook' && taken.role !== 'bait')))
    return no(`${withArticle(pieceName(taken))} is tied there already; add a loop or a three-way swivel first`)
  const piece = newPiece(rig, part, joined(place.of, 'fitted'))
  const attach = tieNew(rig, place, piece)
  if (!attach) return no(NO_KNOT)
  const withNew = { ...trace, pieces: insertAfter(trace, place.of, { ...piece, attach }) }
  if (!taken) return { ok: true, trace: withNew, id: piece.id }
  const below = tieTo({ ...rig, trace: withNew }, piece.id, taken)
  if (!below) return no(NO_KNOT)
  return { ok: true, trace: reattached(withNew, taken.id, below), id: piece.id }
}

/** Roles that nothing hangs from. */
export const BEARS_NOTHING: readonly Piece['role'][] = ['bait', 'sinker', 'float', 'light']

/** Types that are fast on a line wherever they sit; and with the bead, those that never hang from an end. */
const FAST_ON_LINE: readonly string[] = [...STOPS, 'baitClip', 'breakBand']
/** Types that a line is tied to on either side. */
const TIED_IN: readonly string[] = ['threeWay', 'snap', 'eyedWire']
export const NEVER_AT_END: readonly string[] = ['bead', 'sleeve', 'tube', ...FAST_ON_LINE]

function tieNew(rig: Rig, { of, end }: { of: string; end?: 'near' | 'far' }, piece: Piece): Attach | undefined {
  const connection = defaultConnection(endById(rig, of), endOf(piece))
  return connection && joined(of, connection, end)
}

function along(rig: Rig, place: Extract<Place, { at: 'along' }>, part: SinglePart): Step {
  const { trace } = rig
  const piece = newPiece(rig, part, joined(place.line, 'fitted'))
  const attach = seatFor(trace, place, piece)
  if (typeof attach === 'string') return no(attach)
  return { ok: true, trace: { ...trace, pieces: insertAfter(trace, place.line, { ...piece, attach }) }, id: piece.id }
}

/** Whether a part is fast on a line wherever it is put, and does not slide. */
export const isFastOnLine = (piece: Piece): boolean =>
  piece.role === 'light' ||
  (piece.role === 'sinker' && piece.shape === 'shot') ||
  (piece.role === 'hardware' && (piece.type === 'loop' || FAST_ON_LINE.includes(piece.type)))

/** How a part sits part-way along a line: fixed, knotted in, or sliding to what is below it; or why it does not. */
export function seatFor(trace: Trace, { line, downM }: { line: string; downM: number }, piece: Piece): Attach | string {
  const atM = Math.max(0, atOf(line, downM))
  if (piece.role === 'hardware' && piece.type === 'loop')
    return line === OUTFIT ? 'the main line is not cut for a loop' : fixedOn(line, atM, 'dropperLoop')
  if (isFastOnLine(piece)) return fixedOn(line, atM)
  if (piece.role === 'hardware') {
    if (TIED_IN.includes(piece.type)) return 'it needs a knot on both sides; split the line there'
  } else if (piece.role === 'float') {
    const stop = onLine(trace, line).findLast((other) => other.downM <= downM)
    return sliding(line, atM, { above: stop?.piece.id })
  } else if (piece.role !== 'sinker' && piece.role !== 'hook') return 'it is tied to an end, not along a line'
  return slidingSeat(trace, { line, downM }, piece)
}

/** How a part slides on a line, to what is below it; or why it does not. */
export function slidingSeat(trace: Trace, { line, downM }: { line: string; downM: number }, piece: Piece): Attach | string {
  const below = onLine(trace, line).find((other) => other.downM >= downM && other.solid)
  if (!below && carriesEnd(piece, trace)) return 'nothing below stops it; tie something to the end of the line first'
  return sliding(line, Math.max(0, atOf(line, downM)), { below: below?.piece.id })
}

function baitedSnood(rig: Rig, place: Place): Step {
  const root: Step =
    place.at === 'end'
      ? atEnd(rig, place, SINGLE_PARTS.snood)
      : inTurn(along(rig, place, SINGLE_PARTS.loop), (loop) =>
          atEnd({ ...rig, trace: loop.trace }, { at: 'end', of: loop.id }, SINGLE_PARTS.snood),
        )
  return withHookAndBait(rig, root)
}

function withHookAndBait(rig: Rig, snood: Step): Step {
  return inTurn(
    snood,
    ({ trace, id }) => atEnd({ ...rig, trace }, { at: 'end', of: id }, SINGLE_PARTS.hook),
    ({ trace, id }) => atEnd({ ...rig, trace }, { at: 'end', of: id }, SINGLE_PARTS.bait),
  )
}

function trappedSnood(rig: Rig, place: Place): Step {
  if (place.at === 'end') return no('it goes along a line')
  const at = (offsetM: number) => ({ ...place, downM: place.downM + offsetM })
  const boom = inTurn(
    along(rig, at(-TRAP_M), SINGLE_PARTS.crimp),
    (done) => along({ ...rig, trace: done.trace }, at(TRAP_M), SINGLE_PARTS.crimp),
    (done) => along({ ...rig, trace: done.trace }, at(-TRAP_M / 2), SINGLE_PARTS.bead),
    (done) => along({ ...rig, trace: done.trace }, at(TRAP_M / 2), SINGLE_PARTS.bead),
    (done) => along({ ...rig, trace: done.trace }, place, SINGLE_PARTS.boom),
  )
  return withHookAndBait(
    rig,
    inTurn(boom, (done) => atEnd({ ...rig, trace: done.trace }, { at: 'end', of: done.id }, SINGLE_PARTS.snood)),
  )
}

function weakSinker(rig: Rig, place: Place): Step {
  if (place.at === 'along') return no('it goes on a swivel, a snap or a loop')
  const link = atEnd(rig, place, SINGLE_PARTS.sinkerLink)
  return inTurn(link, (done) =>
    atEnd({ ...rig, trace: { ...done.trace, weakLink: done.id } }, { at: 'end', of: done.id }, SINGLE_PARTS.sinker),
  )
}

function pulleyLine(rig: Rig, place: Place): Step {
  const { trace } = rig
  const carrier = place.at === 'end' ? pieceById(trace, place.of) : undefined
  if (carrier?.role !== 'hardware' || !['pulleyBead', 'slider', 'solidRing'].includes(carrier.type))
    return no('a line runs through a pulley bead, a running link or a ring')
  const line = newPiece(rig, SINGLE_PARTS.body, joined(carrier.id, 'fitted'))
  if (!isLine(line)) return no('a line runs through it')
  const nearM = line.lengthM * PULLEY_NEAR_SHARE
  const swivel = (of: string, from: Trace, end?: 'near' | 'far') => {
    const piece = newPiece({ ...rig, trace: from }, SINGLE_PARTS.swivel, joined(of, 'fitted'))
    return { ...piece, attach: joined(of, connectionToPart(line), end) }
  }
  const withLine = { ...trace, pieces: [...trace.pieces, line] }
  const near = swivel(line.id, withLine, 'near')
  const withNear = { ...withLine, pieces: [...withLine.pieces, near] }
  const far = swivel(line.id, withNear)
  const through: Attach = { how: 'through', carrier: carrier.id, atM: nearM, stops: { near: near.id, far: far.id } }
  return { ok: true, trace: reattached({ ...withNear, pieces: [...withNear.pieces, far] }, line.id, through), id: line.id }
}

/** What a line is tied to a part with. */
const connectionToPart = (line: LinePiece) => defaultConnection(endOf(line), { end: 'eye' }) ?? 'uni'

function insertAfter(trace: Trace, id: string, piece: Piece): Piece[] {
  const at = trace.pieces.findIndex((each) => each.id === id)
  // Right after what it hangs from, so that the list reads from the reel down.
  return at < 0 ? [piece, ...trace.pieces] : [...trace.pieces.slice(0, at + 1), piece, ...trace.pieces.slice(at + 1)]
}

import type { Joint } from './fields.ts'
import type { Attach, HardwarePiece, HookPiece, LinePiece, Piece, Trace } from './trace.ts'
import { LINE_ROLES } from './vocabulary.ts'

/** How many strands of itself a line lies in: a double in two. */
export const strandsOf = ({ role, strands = 1 }: Pick<LinePiece, 'role' | 'strands'>): number => (role === 'double' ? 2 : strands)

/** What the strands of a line are labelled together, N; a double goes by the label of its line. */
export const labelledN = ({ strengthN, strands = 1 }: { strengthN: number; strands?: number | undefined }): number =>
  strands * strengthN

/** Connections that harm no line: parts that fit into each other, or a strand that runs on. */
const FIXTURES: readonly Joint['connection'][] = ['fitted', 'runsOn']

/** Whether a piece is a hook with a head cast on it: a jig head, which takes a line down like a sinker. */
export const isHeaded = (piece: Piece): piece is Extract<Piece, { role: 'hook' }> & { headKg: number } =>
  piece.role === 'hook' && piece.headKg !== undefined

export function isLine(piece: Piece | undefined): piece is LinePiece {
  return piece !== undefined && (LINE_ROLES as readonly string[]).includes(piece.role)
}

/** The hooks of a trace, in the document’s order. */
export const hookPieces = ({ pieces }: Trace): HookPiece[] => pieces.filter((piece): piece is HookPiece => piece.role === 'hook')

/** Whether a piece is hardware of one type. */
export const isHardware = (piece: Piece | undefined, type: HardwarePiece['type']): boolean =>
  piece?.role === 'hardware' && piece.type === type

/** Whether a piece hangs from a hook: its bait, a soft lure, a weight that falls off. */
export const isOnHook = (trace: Trace, { attach }: Piece): boolean => pieceById(trace, parentId(attach))?.role === 'hook'

/** The joint a piece hangs by, where it hangs by one. */
export function jointOf(piece: Piece): Joint | undefined {
  return piece.attach.how === 'joined' || piece.attach.how === 'fixed' ? piece.attach.joint : undefined
}

/** Whether a joint is a knot, crimp or splice, and so a link: what only fits into each other harms no line. */
export const isTied = (joint: Joint | undefined): joint is Joint => joint !== undefined && !FIXTURES.includes(joint.connection)

/** The piece a piece hangs from: another piece's id, or the outfit. */
export function parentId(attach: Attach): string {
  if (attach.how === 'joined') return attach.to
  return attach.how === 'through' ? attach.carrier : attach.on
}

/** A piece of a trace by its id. */
export function pieceById(trace: Trace, id: string): Piece | undefined {
  return indexOf(trace).byId.get(id)
}

/** A piece that must be there: ids that a sound trace names are. */
export function pieceNamed(trace: Trace, id: string): Piece {
  const piece = pieceById(trace, id)
  if (!piece) throw new Error(`There is no piece “${id}” in ${trace.name}`)
  return piece
}

/** A line of a trace by its id. */
export function lineById(trace: Trace, id: string | undefined): LinePiece | undefined {
  const piece = id === undefined ? undefined : pieceById(trace, id)
  return isLine(piece) ? piece : undefined
}

/** What hangs from a piece, or from the outfit's line, in the document's order. */
export function hungFrom(trace: Trace, id: string): readonly Piece[] {
  return indexOf(trace).hung.get(id) ?? []
}

type Index = { byId: ReadonlyMap<string, Piece>; hung: ReadonlyMap<string, readonly Piece[]> }

const indexes = new WeakMap<readonly Piece[], Index>()

/** Documents are never changed in place, so an index of the list of pieces holds as long as the list does. */
function indexOf({ pieces }: Trace): Index {
  const known = indexes.get(pieces)
  if (known) return known
  const hung = new Map<string, Piece[]>()
  for (const piece of pieces) {
    const on = parentId(piece.attach)
    const beside = hung.get(on)
    if (beside) beside.push(piece)
    else hung.set(on, [piece])
  }
  const index = { byId: new Map(pieces.map((piece) => [piece.id, piece])), hung }
  indexes.set(pieces, index)
  return index
}

/** Turns of its line around the shank of a hook: only one that rides on the line is held by them. */
export const wrapsOf = (piece: Piece): number =>
  piece.role === 'hook' && piece.attach.how === 'sliding' ? (piece.wraps ?? 0) : 0

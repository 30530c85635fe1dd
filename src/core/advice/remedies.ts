import { efficiencyOf } from '../catalogue/catalogue.ts'
import type { Fitted } from '../catalogue/hardware.ts'
import type { ConnectionId, Joins } from '../catalogue/ids.ts'
import type { LineSpec } from '../catalogue/materials.ts'
import { pieceIdOf } from '../documents/linkRef.ts'
import { hungFrom, isHardware, isLine, jointOf, lineById, parentId, pieceById } from '../documents/pieces.ts'
import type { HardwarePiece, HookPiece, LinePiece, Piece, Trace } from '../documents/trace.ts'
import { OUTFIT } from '../documents/vocabulary.ts'
import { freeId, withJoint, withPiece } from '../edit/changes.ts'
import type { EditResult } from '../edit/editResult.ts'
import { withStrand } from '../edit/restring.ts'
import { materialsBeside } from '../joints/connectionRules.ts'
import { halved } from '../math/halved.ts'
import { freeLine } from '../outfits/outfitLines.ts'
import { pieceName, withA, withArticle } from '../setup/names.ts'
import type { Link } from '../setup/pathLinks.ts'
import { withinHalfPoundsN } from '../units/halfPounds.ts'
import type { Judged, Remedy } from './finding.ts'

/** Hooks of another size, or pattern, as they come: what was measured of the old ones does not hold of the new. */
export const withHooks = (trace: Trace, ids: readonly string[], change: Pick<HookPiece, 'size'> & Partial<HookPiece>): Trace =>
  ids.reduce(
    (next, id) =>
      withPiece(next, id, (old) => {
        const { gapeM: _gape, wireM: _wire, ...rest } = old as HookPiece
        return { ...rest, ...change }
      }),
    trace,
  )

/** What a part is called in a sentence. */
export function called(trace: Trace, id: string): string {
  return withArticle(pieceName(pieceById(trace, id) ?? { id }))
}

/** The outfit’s lines in a sentence; it begins with a capital where `say` finds it first. */
export const WOUND_NAMES = { backing: 'the backing', main: 'the main line', topShot: 'the top shot' } as const

/** A bead on a line, before or after a piece in the order of the document, as a remedy. */
export const withBead = (
  trace: Trace,
  beside: Piece,
  side: 'before' | 'after',
  attach: Piece['attach'],
  label = 'add a bead between',
): Remedy => ({
  label,
  make: () => {
    const bead: Piece = { id: freeId(trace, 'bead'), role: 'hardware', type: 'bead', attach }
    const both = side === 'before' ? [bead, beside] : [beside, bead]
    return { trace: { ...trace, pieces: trace.pieces.flatMap((piece) => (piece === beside ? both : [piece])) } }
  },
})

/** An edit as a remedy, where it can be made. */
export const byEdit = (label: string, edit: () => EditResult): Remedy => ({
  label,
  make: () => {
    const result = edit()
    return result.ok ? { trace: result.trace } : undefined
  },
})

/** Another connection for a joint, at its usual turns and the catalogue's strength. */
export function retied({ setup: { trace, catalogue } }: Judged, id: string, connection: ConnectionId): Remedy {
  return {
    label: `tie ${called(trace, id)} with ${withA(catalogue.connections[connection].name)}`,
    make: () => ({ trace: withJoint(trace, id, ({ loopM }) => ({ connection, ...(loopM === undefined ? {} : { loopM }) })) }),
  }
}

/** A joint with the turns that are usual in its line. */
export const withUsualTurns = (trace: Trace, id: string, usual: number): Remedy => ({
  label: `tie it with ${usual} turns`,
  make: () => ({ trace: withJoint(trace, id, ({ turns: _odd, ...rest }) => rest) }),
})

/** A line of another strength, and of the diameter that goes with it. */
export const withStrength = (trace: Trace, id: string, change: (oldN: number) => number): Trace =>
  withStrand(trace, id, ({ diameterM: _old, ...line }) => ({ ...line, strengthN: change(line.strengthN) }))

/** Another strength for a line, as a remedy. */
export const restrung = ({ setup: { trace } }: Judged, { id }: LinePiece, strengthN: number, label: string): Remedy => ({
  label,
  make: () => ({ trace: withStrength(trace, id, () => strengthN) }),
})

/** The highest drag under one that is too much, in half pounds, that holds; 0 where none does. */
export function easedDragN(tooMuchN: number, holds: (dragN: number) => boolean): number {
  const [holdsN] = halved([0, tooMuchN], (dragN) => !holds(dragN))
  return withinHalfPoundsN(holdsN)
}

/** The stronger knots most people tie, by what they join. */
const STOUT: Partial<Record<Joins, readonly ConnectionId[]>> = {
  'line-eye': ['palomar', 'doubleEyeClinch', 'crimpLoop', 'haywire', 'twoHalfHitches'],
  'line-shank': ['snell', 'palomar', 'crimpLoop', 'haywire'],
  'end-loop': ['nonSlipLoop', 'palomar', 'crimpLoop'],
  'line-line': ['fg', 'modifiedAlbright', 'doubleUni'],
  doubles: ['bimini'],
}

/** Another size, or label, for a piece of hardware; undefined where it is that already. */
export function fittedRemedy({ setup: { trace, catalogue } }: Judged, piece: HardwarePiece, fitted: Fitted): Remedy | undefined {
  const { size, strengthN } = fitted
  if (size === piece.size && strengthN === piece.strengthN) return undefined
  const name = withA(catalogue.hardware[piece.type].name)
  const which = size === undefined ? 'with a higher label' : `of size ${size}`
  return {
    label: `use ${name} ${which}`,
    make: () => ({
      trace: withPiece(trace, piece.id, (old) => {
        const { strengthN: _label, size: _size, ...rest } = old as HardwarePiece
        return { ...rest, ...fitted }
      }),
    }),
  }
}

/** The first of the stout knots that suits both lines and beats what is tied now; undefined where none does. */
export function stouterKnot({ setup }: Judged, piece: Piece): ConnectionId | undefined {
  const { catalogue } = setup
  const joint = jointOf(piece)
  if (!joint) return undefined
  const materials = materialsBeside(piece, setup)
  const least = (tied: Parameters<typeof efficiencyOf>[1]) =>
    Math.min(...materials.map((material) => efficiencyOf(catalogue, tied, material)?.mean ?? 0))
  const now = least(joint)
  return STOUT[catalogue.connections[joint.connection].joins]
    ?.filter((connection) => connection !== 'fg' || materials.includes('braid'))
    .find((connection) => least({ connection }) > now + 0.01)
}

/** The leader that follows from the outfit’s line, through no more than a double and a loop. */
export function outfitLeader(trace: Trace, from: string = OUTFIT): LinePiece | undefined {
  for (const piece of hungFrom(trace, from)) {
    if (isLine(piece) && piece.role === 'leader') return piece
    if (piece.role === 'double' || isHardware(piece, 'loop')) return outfitLeader(trace, piece.id)
  }
  return undefined
}

/** The line above a joint: that which its piece hangs from, the outfit's among them. */
export function lineAbove({ setup: { trace, outfit } }: Judged, piece: Piece): LineSpec | undefined {
  const parent = parentId(piece.attach)
  return parent === OUTFIT ? freeLine(outfit) : lineById(trace, parent)
}

/** The line a joint is tied in: the piece itself, or what it hangs from. */
export const lineOfJoint = (judged: Judged, piece: Piece): LineSpec | undefined =>
  isLine(piece) ? piece : lineAbove(judged, piece)

/** The parts that a link is about: its own, and for a joint the line whose strength it keeps a share of; a wound line by its role. */
export function partsOfLink(judged: Judged, { ref, governedBy }: Pick<Link, 'ref' | 'governedBy'>): string[] {
  if (ref.at === 'wound' || ref.at === 'woundJoint') return [ref.role]
  const piece = ownPiece(judged, pieceIdOf(ref))
  if (!piece) return []
  if (ref.at !== 'joint' || governedBy !== 'above') return [piece.id]
  const parent = parentId(piece.attach)
  return [piece.id, parent === OUTFIT ? freeLine(judged.setup.outfit).role : parent]
}

/** The piece that a link belongs to, where it is one of the trace's. */
export const ownPiece = ({ setup: { trace } }: Judged, id: string | undefined): Piece | undefined =>
  id === undefined ? undefined : pieceById(trace, id)

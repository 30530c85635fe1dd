import { type Catalogue, isTiedIn } from '../catalogue/catalogue.ts'
import { CONNECTION_IDS, type ConnectionId, type Material } from '../catalogue/ids.ts'
import { isWire, type LineSpec } from '../catalogue/materials.ts'
import type { Joint } from '../documents/fields.ts'
import { isLine, isTied, jointOf, lineById, parentId } from '../documents/pieces.ts'
import type { Piece } from '../documents/trace.ts'
import { OUTFIT } from '../documents/vocabulary.ts'
import { freeLine } from '../outfits/outfitLines.ts'
import type { Rig } from '../setup/setup.ts'
import { type End, endById, endOf, isLineEnd, type LineEnd, misfitBetween } from './ends.ts'

/** The lines that a piece's joint is tied in: the line it hangs from, and its own. */
export function linesBeside(piece: Piece, { trace, outfit }: Pick<Rig, 'trace' | 'outfit'>): LineSpec[] {
  const parent = parentId(piece.attach)
  const above = parent === OUTFIT ? freeLine(outfit) : lineById(trace, parent)
  return [above, isLine(piece) ? piece : undefined].filter((line) => line !== undefined)
}

/** The materials of these lines. */
export const materialsBeside = (piece: Piece, rig: Pick<Rig, 'trace' | 'outfit'>): Material[] =>
  linesBeside(piece, rig).map(({ material }) => material)

/** Why a joint cannot stand where it does, in words that follow its name; undefined where it can. A piece without a joint has no misfit. */
export function misfitOf(rig: Rig, piece: Piece, joint = jointOf(piece)): string | undefined {
  const { attach } = piece
  if (!joint || (attach.how !== 'joined' && attach.how !== 'fixed')) return undefined
  const { catalogue } = rig
  if (attach.how === 'fixed') return partWayMisfit(catalogue, joint, endOf(piece))
  const [above, below] = [endById(rig, attach.to), endOf(piece)]
  const misfit = misfitBetween(catalogue, joint.connection, above, below)
  if (misfit) return misfit
  if (joint.connection === 'runsOn') return runsOnMisfit(rig, piece, attach.to)
  const bare = [above, below].filter(isLineEnd).find(({ material }) => isTied(joint) && !isTiedIn(catalogue, joint, material))
  return bare && `cannot be tied in ${catalogue.materials[bare.material].name}`
}

/** A knot part-way in a line makes a loop or a stop, or holds a hook. */
function partWayMisfit({ connections }: Catalogue, { connection }: Joint, { end }: End): string | undefined {
  const { joins } = connections[connection]
  if (joins === 'side-loop') return end === 'loop' ? undefined : 'makes a loop'
  if (joins === 'stop' || joins === 'fixture') return undefined
  return end === 'hook' && ['line-eye', 'line-shank'].includes(joins) ? undefined : 'is tied at the end of a line'
}

/** One strand runs on as itself: through a loop, or on below a hook that is tied in it. */
function runsOnMisfit({ trace }: Rig, piece: Piece, to: string): string | undefined {
  const strand = lineById(trace, piece.id)
  const from = trace.pieces.find(({ id }) => id === to)
  const before = from && lineById(trace, parentId(from.attach))
  const same = strand && before && strand.material === before.material && Math.abs(strand.strengthN / before.strengthN - 1) < 1e-6
  return same ? undefined : 'continues one line, but these are two different lines'
}

/** Connections that could stand where this one does, itself among them. */
export function likeConnections(rig: Rig, piece: Piece): ConnectionId[] {
  const joint = jointOf(piece)
  const fits = (connection: ConnectionId) => {
    const { attach } = piece
    if (attach.how !== 'joined') return partWayMisfit(rig.catalogue, { connection }, endOf(piece)) === undefined
    return misfitBetween(rig.catalogue, connection, endById(rig, attach.to), endOf(piece)) === undefined
  }
  return CONNECTION_IDS.filter((id) => id === joint?.connection || (isTied({ connection: id }) && fits(id)))
}

/**
 * The connection most people would make between what is above and what is below.
 * @returns undefined where no connection suits both lines: a swivel or a loop goes between.
 * Source: the table of connections; the choice among those that suit is ours.
 */
export function defaultConnection(above: End, below: End): ConnectionId | undefined {
  const [lineAbove, lineBelow] = [above, below].map((end) => (isLineEnd(end) ? end : undefined))
  if (lineAbove && lineBelow) return betweenLines(lineAbove, lineBelow)
  const line = lineAbove ?? lineBelow
  if (!line) return above.end === 'loop' && below.end === 'loop' ? 'catsPaw' : 'fitted'
  // A loop below a line is made in it; one that is there already is tied to like an eye.
  if (lineAbove && below.end === 'loop') return loopIn(lineAbove.material)
  const hooked = above.end === 'hook' || below.end === 'hook'
  switch (line.material) {
    case 'mono':
    case 'fluoro':
      return hooked && line.end === 'strand' ? 'snell' : 'uni'
    case 'braid':
      return 'palomar'
    case 'wire':
      return 'haywire'
    case 'cable':
      return 'crimpLoop'
    case 'cord':
      return 'twoHalfHitches'
  }
}

function loopIn(material: Material): ConnectionId {
  if (material === 'wire') return 'haywire'
  if (material === 'cable') return 'crimpLoop'
  return material === 'cord' ? 'bowline' : 'surgeonsLoop'
}

function betweenLines(above: LineEnd, below: LineEnd): ConnectionId | undefined {
  const materials = [above.material, below.material]
  if (materials.includes('cord')) return undefined
  if (below.end === 'double' && above.end === 'strand') return materials.some(isWire) ? undefined : 'bimini'
  if (materials.some(isWire)) return 'albright'
  if (!materials.includes('braid')) return 'doubleUni'
  return materials.every((material) => material === 'braid') ? 'doubleUni' : 'fg'
}

import { type Catalogue, isTiedIn } from '../catalogue/catalogue.ts'
import type { Joins } from '../catalogue/ids.ts'
import { CONNECTION_IDS, type ConnectionId, type Material } from '../catalogue/ids.ts'
import type { Joint } from '../documents/fields.ts'
import { hungFrom, isLine, isTied, jointOf, lineById, parentId } from '../documents/pieces.ts'
import type { LinePiece, Piece } from '../documents/trace.ts'
import { OUTFIT } from '../documents/vocabulary.ts'
import { freeLine } from './outfitLines.ts'
import type { Rig } from './setup.ts'

/** Kinds of connection that do the same job, so that one can take another's place. */
const LIKE: Record<Joins, readonly Joins[]> = {
  'line-eye': ['line-eye', 'line-shank', 'end-loop'],
  'line-shank': ['line-eye', 'line-shank', 'end-loop'],
  'end-loop': ['line-eye', 'line-shank', 'end-loop'],
  'line-line': ['line-line'],
  doubles: ['doubles'],
  'side-loop': ['side-loop'],
  stop: ['stop'],
  fixture: ['fixture'],
}

/** Connections that could take this one's place, itself among them. */
export function likeConnections({ connections }: Catalogue, joint: Joint): ConnectionId[] {
  const { joins } = connections[joint.connection]
  return CONNECTION_IDS.filter((candidate) => LIKE[joins].includes(connections[candidate].joins))
}

/** The materials of the lines that a piece's joint is tied in: the line it hangs from, and its own. */
export function materialsBeside(piece: Piece, { trace, outfit }: Pick<Rig, 'trace' | 'outfit'>): Material[] {
  const parent = parentId(piece.attach)
  const above = parent === OUTFIT ? freeLine(outfit) : lineById(trace, parent)
  return [above?.material, isLine(piece) ? piece.material : undefined].filter((material) => material !== undefined)
}

/** The first knot tied in a line that another material would not take; undefined where the line could be of it. */
export function knotThatMisfits({ trace, catalogue }: Rig, line: LinePiece, material: Material): ConnectionId | undefined {
  const joints = [line, ...hungFrom(trace, line.id)].map(jointOf)
  return joints.find((joint) => isTied(joint) && !isTiedIn(catalogue, joint, material))?.connection
}

/** One side of a connection: a line, a hook, or any other part. */
export type Side = { material: Material; role?: LinePiece['role'] | undefined } | 'hook' | 'part'

const isWiry = (material: Material) => material === 'wire' || material === 'cable'

/**
 * The connection most people would make between what is above and what is below.
 * @returns undefined where no connection suits both lines: a swivel or a loop goes between.
 * Source: the table of connections; the choice among those that suit is ours.
 */
export function defaultConnection(above: Side, below: Side): ConnectionId | undefined {
  const [lineAbove, lineBelow] = [above, below].map((side) => (typeof side === 'object' ? side : undefined))
  if (lineAbove && lineBelow) return betweenLines(lineAbove, lineBelow)
  const line = lineAbove ?? lineBelow
  if (!line) return 'fitted'
  switch (line.material) {
    case 'mono':
    case 'fluoro':
      return above === 'hook' || below === 'hook' ? 'snell' : 'uni'
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

type LineSide = Exclude<Side, string>

function betweenLines(above: LineSide, below: LineSide): ConnectionId | undefined {
  const materials = [above.material, below.material]
  if (materials.includes('cord')) return undefined
  if (below.role === 'double') return materials.some(isWiry) ? undefined : 'bimini'
  if (materials.some(isWiry)) return 'albright'
  return materials.includes('braid') ? 'fg' : 'doubleUni'
}

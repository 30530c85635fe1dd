import { CONNECTION_IDS, type ConnectionId, connectionOf, type Joins } from '../gear/connections.ts'
import type { Material } from '../gear/materials.ts'
import { freeLine, type Outfit } from './outfit.ts'
import { isLine, type Joint, jointOf, type LinePiece, OUTFIT, type Piece, parentId, type Trace } from './schema.ts'

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
export function likeConnections(joint: Joint): ConnectionId[] {
  const { joins } = connectionOf(joint.connection)
  return CONNECTION_IDS.filter((candidate) => LIKE[joins].includes(connectionOf(candidate).joins))
}

/** The materials of the lines that a piece's joint is tied in: the line it hangs from, and its own. */
export function materialsBeside(piece: Piece, trace: Trace, outfit: Outfit): Material[] {
  const parent = parentId(piece.attach)
  const above = parent === OUTFIT ? freeLine(outfit) : trace.pieces.filter(isLine).find(({ id }) => id === parent)
  return [above?.material, isLine(piece) ? piece.material : undefined].filter((material) => material !== undefined)
}

/** The first knot tied in a line that another material would not take; undefined where the line could be of it. */
export function knotThatMisfits(trace: Trace, line: LinePiece, material: Material): ConnectionId | undefined {
  const joints = trace.pieces.filter((piece) => piece.id === line.id || parentId(piece.attach) === line.id).map(jointOf)
  return joints.find((joint) => {
    if (!joint || joint.efficiency !== undefined) return false
    const connection = connectionOf(joint.connection)
    return connection.joins !== 'fixture' && connection.efficiency[material] === undefined
  })?.connection
}

import { connectionOf } from '../../gear/connections.ts'
import { joined, type Side, usualConnection } from '../hang.ts'
import { freeLine, type Outfit } from '../outfit.ts'
import { type Attach, isLine, type Joint, jointOf, OUTFIT, type Piece, type Trace } from '../schema.ts'

export function sideOf(piece: Piece): Side {
  if (isLine(piece)) return { material: piece.material, role: piece.role }
  return piece.role === 'hook' ? 'hook' : 'part'
}

export function sideById(trace: Trace, outfit: Outfit, id: string): Side {
  if (id === OUTFIT) return { material: freeLine(outfit).material }
  return sideOf(trace.pieces.find((piece) => piece.id === id)!)
}

/**
 * How a piece is tied to the end of another: by the joint it has, where that still suits, else by the usual one; undefined
 * where no knot joins the two.
 */
export function tieTo(trace: Trace, outfit: Outfit, to: string, piece: Piece, end?: 'near' | 'far'): Attach | undefined {
  const [above, below] = [sideById(trace, outfit, to), sideOf(piece)]
  const joint = jointOf(piece)
  if (joint && suits(joint, above, below)) return { how: 'joined', to, joint, ...(end ? { end } : {}) }
  const connection = usualConnection(above, below)
  return connection && joined(to, connection, end)
}

function suits(joint: Joint, above: Side, below: Side): boolean {
  const { joins, efficiency } = connectionOf(joint.connection)
  const lines = [above, below].flatMap((side) => (typeof side === 'object' ? [side.material] : []))
  if (joins === 'side-loop' || joins === 'stop') return false
  if (joins === 'fixture') return joint.connection === 'fitted' && lines.length === 0
  if (joins === 'doubles') return typeof below === 'object' && below.role === 'double'
  if ((joins === 'line-line') !== (lines.length === 2) || lines.length === 0) return false
  return joint.efficiency !== undefined || lines.every((material) => efficiency[material] !== undefined)
}

export const NO_KNOT = 'no knot joins the two: put a swivel or a loop between'

import { isTiedIn } from '../catalogue/catalogue.ts'
import type { Joint } from '../documents/fields.ts'
import { isLine, isTied, jointOf, pieceNamed } from '../documents/pieces.ts'
import type { Attach, Piece } from '../documents/trace.ts'
import { OUTFIT } from '../documents/vocabulary.ts'
import { defaultConnection, type Side } from '../setup/connectionRules.ts'
import { freeLine } from '../setup/outfitLines.ts'
import type { Rig } from '../setup/setup.ts'
import { joined } from './attach.ts'

export function sideOf(piece: Piece): Side {
  if (isLine(piece)) return { material: piece.material, role: piece.role }
  return piece.role === 'hook' ? 'hook' : 'part'
}

export function sideById({ trace, outfit }: Rig, id: string): Side {
  return id === OUTFIT ? { material: freeLine(outfit).material } : sideOf(pieceNamed(trace, id))
}

/**
 * How a piece is tied to the end of another: by the joint it has, where that still suits, else by the usual one; undefined
 * where no knot joins the two.
 */
export function tieTo(rig: Rig, to: string, piece: Piece, end?: 'near' | 'far'): Attach | undefined {
  const [above, below] = [sideById(rig, to), sideOf(piece)]
  const joint = jointOf(piece)
  if (joint && suitsBoth(rig, joint, above, below)) return { how: 'joined', to, joint, ...(end ? { end } : {}) }
  const connection = defaultConnection(above, below)
  return connection && joined(to, connection, end)
}

function suitsBoth({ catalogue }: Rig, joint: Joint, above: Side, below: Side): boolean {
  const { joins } = catalogue.connections[joint.connection]
  const lines = [above, below].flatMap((side) => (typeof side === 'object' ? [side.material] : []))
  if (joins === 'side-loop' || joins === 'stop') return false
  const tied: boolean = isTied(joint)
  if (!tied) return joint.connection === 'fitted' && lines.length === 0
  if (joins === 'doubles') return typeof below === 'object' && below.role === 'double'
  if ((joins === 'line-line') !== (lines.length === 2) || lines.length === 0) return false
  return lines.every((material) => isTiedIn(catalogue, joint, material))
}

export const NO_KNOT = 'no knot joins the two: put a swivel or a loop between'

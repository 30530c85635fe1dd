import { jointOf } from '../documents/pieces.ts'
import type { Attach, Piece } from '../documents/trace.ts'
import { defaultConnection, misfitOf } from '../joints/connectionRules.ts'
import { endById, endOf } from '../joints/ends.ts'
import type { Rig } from '../setup/setup.ts'
import { joined } from './attach.ts'

/**
 * How a piece is tied to the end of another: by the joint it has, where that still suits, else by the usual one; undefined
 * where no knot joins the two.
 */
export function tieTo(rig: Rig, to: string, piece: Piece, end?: 'near' | 'far'): Attach | undefined {
  const joint = jointOf(piece)
  const kept: Attach | undefined = joint && { how: 'joined', to, joint, ...(end ? { end } : {}) }
  if (kept && misfitOf(rig, { ...piece, attach: kept }) === undefined) return kept
  const connection = defaultConnection(endById(rig, to), endOf(piece))
  return connection && joined(to, connection, end)
}

import { jointOf, pieceById } from '../documents/pieces.ts'
import type { Trace } from '../documents/trace.ts'
import { defaultConnection, misfitOf } from '../joints/connectionRules.ts'
import { endById, endOf } from '../joints/ends.ts'
import { pieceName, withArticle } from '../setup/names.ts'
import type { Rig } from '../setup/setup.ts'
import { joined } from './attach.ts'
import { reattached } from './changes.ts'

/**
 * Every joint that an edit leaves where it cannot be tied, tied as is usual there, and which they are; or why one cannot be. What could
 * not be tied so before the edit is left: a finding says so.
 */
export function retie(rig: Rig, edited: Trace): { trace: Trace; said: string[] } | { why: string } {
  let trace = edited
  const said: string[] = []
  const nameOf = (id: keyof Rig['catalogue']['connections']) => rig.catalogue.connections[id].name
  for (const piece of edited.pieces) {
    const joint = jointOf(piece)
    const misfit = joint && misfitOf({ ...rig, trace }, piece)
    if (!joint || !misfit) continue
    const before = pieceById(rig.trace, piece.id)
    if (before && jointOf(before)?.connection === joint.connection && misfitOf(rig, before)) continue
    if (piece.attach.how !== 'joined') return { why: `${nameOf(joint.connection)} ${misfit}` }
    const connection = defaultConnection(endById({ ...rig, trace }, piece.attach.to), endOf(piece))
    if (!connection) return { why: NO_KNOT }
    trace = reattached(trace, piece.id, joined(piece.attach.to, connection, piece.attach.end))
    said.push(`${withArticle(pieceName(piece))} with ${nameOf(connection)}`)
  }
  return { trace, said }
}

export const NO_KNOT = 'no knot joins these two; add a swivel or a loop between them'

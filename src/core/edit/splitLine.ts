import { hardwareFor } from '../catalogue/hardware.ts'
import { lineById } from '../documents/pieces.ts'
import type { LinePiece, Piece } from '../documents/trace.ts'
import { defaultConnection } from '../joints/connectionRules.ts'
import { endOf } from '../joints/ends.ts'
import type { Rig } from '../setup/setup.ts'
import { joined } from './attach.ts'
import { freeId } from './changes.ts'
import { checked, type EditResult, refused } from './editResult.ts'
import { NO_KNOT } from './retie.ts'

/** The trace with a line cut at a place, m from its near end, and a swivel tied between the two lengths. */
export function splitLine(rig: Rig, id: string, atM: number): EditResult {
  const { trace, catalogue } = rig
  const line = lineById(trace, id)
  if (!line) return refused('only a line can be split')
  if (line.role === 'double') return refused('a double is one loop and cannot be split')
  if (!(atM > 0 && atM < line.lengthM)) return refused('split it somewhere between its ends')
  if (line.attach.how === 'through' && atM <= line.attach.atM) return refused('split it beyond the pulley')
  const swivelId = freeId(trace, 'swivel')
  const lowerId = freeId({ ...trace, pieces: [...trace.pieces, { ...line, id: swivelId }] }, id)
  const connection = defaultConnection(endOf(line), { end: 'eye' })
  if (!connection) return refused(NO_KNOT)
  const size = hardwareFor(catalogue, 'swivel', line.strengthN)
  const swivel: Piece = {
    id: swivelId,
    role: 'hardware',
    type: 'swivel',
    attach: joined(id, connection),
    ...(size ? { size } : {}),
  }
  const lower: LinePiece = { ...line, id: lowerId, lengthM: line.lengthM - atM, attach: joined(swivelId, connection) }
  const pieces = trace.pieces.flatMap((piece): Piece[] =>
    piece.id === id ? [{ ...line, lengthM: atM }, swivel, lower] : [onLower(piece, line, atM, lowerId)],
  )
  return checked(rig, { ...trace, pieces }, swivelId)
}

/** What sat beyond the cut, or hung from the far end, goes to the lower length. */
function onLower(piece: Piece, line: LinePiece, atM: number, lowerId: string): Piece {
  const { attach } = piece
  if (attach.how === 'joined')
    return attach.to === line.id && attach.end !== 'near' ? { ...piece, attach: { ...attach, to: lowerId } } : piece
  if (attach.how === 'through' || attach.on !== line.id || attach.atM <= atM) return piece
  return { ...piece, attach: { ...attach, on: lowerId, atM: attach.atM - atM } }
}

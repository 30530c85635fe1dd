import { hardwareFor } from '../../gear/hardware.ts'
import { freeId } from '../edit.ts'
import { joined, usualConnection } from '../hang.ts'
import type { Outfit } from '../outfit.ts'
import { isLine, type LinePiece, type Piece, type Trace } from '../schema.ts'
import { checked, type Redrawn, refused } from './redrawn.ts'

/** The trace with a line cut at a place, m from its near end, and a swivel tied between the two lengths. */
export function splitLine(trace: Trace, outfit: Outfit, id: string, atM: number): Redrawn {
  const line = trace.pieces.find((piece) => piece.id === id)
  if (!isLine(line)) return refused('only a line can be split')
  if (line.role === 'double') return refused('a double is one loop: it cannot be split')
  if (!(atM > 0 && atM < line.lengthM)) return refused('split it somewhere between its ends')
  if (line.attach.how === 'through' && atM <= line.attach.atM) return refused('split it beyond the pulley')
  const swivelId = freeId(trace, 'swivel')
  const lowerId = freeId({ ...trace, pieces: [...trace.pieces, { ...line, id: swivelId }] }, id)
  const connection = usualConnection({ material: line.material }, 'part')!
  const size = hardwareFor('swivel', line.strengthN)
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
  return checked({ ...trace, pieces }, outfit, swivelId)
}

/** What sat beyond the cut, or hung from the far end, goes to the lower length. */
function onLower(piece: Piece, line: LinePiece, atM: number, lowerId: string): Piece {
  const { attach } = piece
  if (attach.how === 'joined')
    return attach.to === line.id && attach.end !== 'near' ? { ...piece, attach: { ...attach, to: lowerId } } : piece
  if (attach.how === 'through' || attach.on !== line.id || attach.atM <= atM) return piece
  return { ...piece, attach: { ...attach, on: lowerId, atM: attach.atM - atM } }
}

import { connectionOf } from '../../gear/connections.ts'
import type { Material } from '../../gear/materials.ts'
import type { Outfit } from '../outfit.ts'
import { isLine, type LinePiece, type Piece, type Trace } from '../schema.ts'
import { knotThatMisfits } from '../suits.ts'
import { checked, type Redrawn, refused } from './redrawn.ts'

/** The lines of a trace that have a role. */
export function linesOf(trace: Trace, role: LinePiece['role']): LinePiece[] {
  return trace.pieces.filter(isLine).filter((line) => line.role === role)
}

/** The trace with every line of a role of one material and strength; own diameters and wear go with the old line. */
export function withRole(
  trace: Trace,
  outfit: Outfit,
  role: LinePiece['role'],
  as: { material: Material; strengthN: number },
): Redrawn {
  const lines = linesOf(trace, role)
  if (lines.length === 0) return refused('the trace has no such line')
  for (const line of lines) {
    const misfit = knotThatMisfits(trace, line, as.material)
    if (misfit) return refused(`${connectionOf(misfit).name} is not tied in ${as.material}`)
  }
  const pieces = trace.pieces.map((piece): Piece => {
    if (!isLine(piece) || piece.role !== role) return piece
    if (piece.material === as.material && piece.strengthN === as.strengthN) return piece
    const { diameterM: _old, condition: _wear, ...line } = piece
    return { ...line, ...as }
  })
  return checked({ ...trace, pieces }, outfit, lines[0]!.id)
}

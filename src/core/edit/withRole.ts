import type { Material } from '../catalogue/ids.ts'
import { isLine } from '../documents/pieces.ts'
import type { LinePiece, Piece, Trace } from '../documents/trace.ts'
import { knotThatMisfits } from '../setup/connectionRules.ts'
import type { Rig } from '../setup/setup.ts'
import { checked, type EditResult, refused } from './editResult.ts'

/** The lines of a trace that have a role. */
export function linesOf(trace: Trace, role: LinePiece['role']): LinePiece[] {
  return trace.pieces.filter(isLine).filter((line) => line.role === role)
}

/** The trace with every line of a role of one material and strength; own diameters and wear go with the old line. */
export function withRole(rig: Rig, role: LinePiece['role'], as: { material: Material; strengthN: number }): EditResult {
  const { trace } = rig
  const lines = linesOf(trace, role)
  const [first] = lines
  if (!first) return refused('the trace has no such line')
  for (const line of lines) {
    const misfit = knotThatMisfits(rig, line, as.material)
    if (misfit) return refused(`${rig.catalogue.connections[misfit].name} is not tied in ${as.material}`)
  }
  const pieces = trace.pieces.map((piece): Piece => {
    if (!isLine(piece) || piece.role !== role) return piece
    if (piece.material === as.material && piece.strengthN === as.strengthN) return piece
    const { diameterM: _old, condition: _wear, ...line } = piece
    return { ...line, ...as }
  })
  return checked(rig, { ...trace, pieces }, first.id)
}

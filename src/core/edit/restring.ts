import type { Material } from '../catalogue/ids.ts'
import { isLine } from '../documents/pieces.ts'
import type { LinePiece, Piece, Trace } from '../documents/trace.ts'
import type { Rig } from '../setup/setup.ts'
import { sameStrand } from '../setup/strands.ts'
import { withPiece } from './changes.ts'
import { checked, type EditResult, refused } from './editResult.ts'

export type LineKind = { material: Material; strengthN: number }

/** The lines of a trace that have a role. */
export function linesOf(trace: Trace, role: LinePiece['role']): LinePiece[] {
  return trace.pieces.filter(isLine).filter((line) => line.role === role)
}

/** The trace with every line of a role of one material and strength. */
export function restringRole(rig: Rig, role: LinePiece['role'], as: LineKind): EditResult {
  const lines = linesOf(rig.trace, role)
  const [first] = lines
  return first ? restring(rig, lines, as, first.id) : refused('the trace has no such line')
}

/**
 * The trace with lines of another kind: a strand that runs on from one is of it too, and own diameters and wear go with the old line.
 */
export function restring(rig: Rig, lines: readonly LinePiece[], as: LineKind, chosen: string): EditResult {
  const ids = new Set(lines.flatMap(({ id }) => sameStrand(rig.trace, id)))
  const strung = rig.trace.pieces.map((piece): Piece => {
    if (!isLine(piece) || !ids.has(piece.id)) return piece
    if (piece.material === as.material && piece.strengthN === as.strengthN) return piece
    const { diameterM: _old, condition: _wear, pulled: _spool, hollow: _weave, ...line } = piece
    return { ...line, ...as }
  })
  return checked(rig, { ...rig.trace, pieces: strung }, chosen)
}

/** The trace with a line changed, and with it all that is one piece of line with it. */
export const withStrand = (trace: Trace, id: string, change: (line: LinePiece) => LinePiece): Trace =>
  sameStrand(trace, id).reduce((now, each) => withPiece(now, each, (piece) => (isLine(piece) ? change(piece) : piece)), trace)

/** The trace with a line laid in so many strands, twisted or not; one strand has no twist. */
export function withStrands(rig: Rig, id: string, strands: number | undefined): EditResult {
  const laid = withPiece(rig.trace, id, (piece) => {
    if (!isLine(piece)) return piece
    const { strands: _old, twistPerM, ...line } = piece
    return strands === undefined || strands < 2 ? line : { ...line, strands, ...(twistPerM === undefined ? {} : { twistPerM }) }
  })
  return checked(rig, laid, id)
}

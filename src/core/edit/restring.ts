import type { Material } from '../catalogue/ids.ts'
import { hungFrom, isLine, jointOf, lineById, parentId, pieceNamed } from '../documents/pieces.ts'
import type { LinePiece, Piece, Trace } from '../documents/trace.ts'
import type { Rig } from '../setup/setup.ts'
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

/** The lines that are one with a line, itself among them: they run on from it through what hangs at its end, or it from them. */
export function sameStrand(trace: Trace, id: string): string[] {
  const strand = new Set([id])
  for (const each of strand) for (const next of strandsBeside(trace, each)) strand.add(next)
  return [...strand]
}

function strandsBeside(trace: Trace, id: string): string[] {
  const runsOn = (piece: Piece) => jointOf(piece)?.connection === 'runsOn'
  const onward = hungFrom(trace, id).flatMap((piece) =>
    hungFrom(trace, piece.id).filter((below) => isLine(below) && runsOn(below)),
  )
  const line = pieceNamed(trace, id)
  const through = runsOn(line) ? trace.pieces.find((piece) => piece.id === parentId(line.attach)) : undefined
  const before = through && lineById(trace, parentId(through.attach))
  return [...onward, ...(before ? [before] : [])].map((piece) => piece.id)
}

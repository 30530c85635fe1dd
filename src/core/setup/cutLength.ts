import type { Catalogue } from '../catalogue/catalogue.ts'
import { DEFAULT_LOOP_M, defaultTurns, lineUsedM } from '../catalogue/connections.ts'
import { hookDimensions } from '../catalogue/hooks.ts'
import type { ConnectionId } from '../catalogue/ids.ts'
import { type LineSpec, lineDiameterM } from '../catalogue/materials.ts'
import type { Joint } from '../documents/fields.ts'
import { jointRef, type LinkRef } from '../documents/linkRef.ts'
import { hungFrom, isTied, jointOf, strandsOf, wrapsOf } from '../documents/pieces.ts'
import type { LinePiece, Piece, Trace } from '../documents/trace.ts'
import { OUTFIT } from '../documents/vocabulary.ts'
import type { Rig } from './setup.ts'

/** What one connection takes of a line. */
export type LineUse = { joint: LinkRef; connection: Joint['connection']; turns: number; usedM: number }
export type Cut = { id: string; finishedM: number; uses: LineUse[]; wrapsM: number; cutM: number }
const knotLine = (catalogue: Catalogue, line: LineSpec) => ({
  material: line.material,
  diameterM: lineDiameterM(catalogue, line),
})

/** Turns of a joint in one line: as said, else as usual for that line. */
export function turnsIn(catalogue: Catalogue, joint: Joint, line: LineSpec): number {
  return joint.turns ?? defaultTurns(catalogue, joint.connection, knotLine(catalogue, line))
}

/** Usual turns of a connection tied in one or two lines: of two, as many as the one that takes fewer. */
export function usualTurns(catalogue: Catalogue, connection: ConnectionId, lines: readonly (LineSpec | undefined)[]): number {
  const turns = lines.flatMap((line) => (line ? [defaultTurns(catalogue, connection, knotLine(catalogue, line))] : []))
  return turns.length === 0 ? 0 : Math.min(...turns)
}

/** Cut length of one line: what is finished, and what its connections use. */
export function cutOf({ trace, catalogue }: Pick<Rig, 'trace' | 'catalogue'>, line: LinePiece): Cut {
  const uses = tiedIn({ trace, catalogue }, line).map(([piece, joint]): LineUse => {
    const turns = turnsIn(catalogue, joint, line)
    const loopM = opensInto(trace, piece) ? 0 : loopOf(catalogue, joint, line)
    return {
      joint: jointRef(piece.id),
      connection: joint.connection,
      turns,
      usedM: lineUsedM(catalogue, joint.connection, knotLine(catalogue, line), { turns, loopM }),
    }
  })
  // A double is its own loop: the doubling knot's use already counts both strands.
  const straightM = line.role === 'double' ? 0 : line.lengthM * takeUp(catalogue, line)
  const wrapsM = wrappedM({ trace, catalogue }, line)
  const oneM = straightM + wrapsM + uses.reduce((sum, use) => sum + use.usedM, 0)
  return { id: line.id, finishedM: line.lengthM, uses, wrapsM, cutM: line.role === 'double' ? oneM : strandsOf(line) * oneM }
}

/** Line around the shanks of hooks that ride on it, m: each wrap is a circle about the wire at half the line’s diameter. */
function wrappedM({ trace, catalogue }: Pick<Rig, 'trace' | 'catalogue'>, line: LinePiece): number {
  return hungFrom(trace, line.id).reduce((sum, piece) => {
    if (piece.role !== 'hook') return sum
    const wireM = piece.wireM ?? hookDimensions(catalogue, piece.pattern, piece.size)?.wireM ?? 0
    return sum + wrapsOf(piece) * Math.PI * (wireM + lineDiameterM(catalogue, line))
  }, 0)
}

/**
 * How much longer than the line each of its twisted strands is: a helix at half a diameter about the middle,
 * `√(1 + (π d n)²)` at n turns a metre.
 */
function takeUp(catalogue: Catalogue, line: LinePiece): number {
  return strandsOf(line) > 1 ? Math.hypot(1, Math.PI * lineDiameterM(catalogue, line) * (line.twistPerM ?? 0)) : 1
}

/** A loop that is cut open: its legs are the lines that run on from it. */
const opensInto = (trace: Trace, { id }: Piece) => hungFrom(trace, id).some((below) => jointOf(below)?.connection === 'runsOn')

function loopOf({ connections }: Catalogue, joint: Joint, line: LinePiece): number {
  if (connections[joint.connection].joins === 'doubles') return line.role === 'double' ? line.lengthM : 0
  return joint.loopM ?? DEFAULT_LOOP_M
}

/** The pieces whose joint is tied in this line: its own, those at its ends, those part-way. */
function tiedIn({ trace, catalogue: { connections } }: Pick<Rig, 'trace' | 'catalogue'>, line: LinePiece): [Piece, Joint][] {
  return [line, ...hungFrom(trace, line.id)].flatMap((piece): [Piece, Joint][] => {
    const joint = jointOf(piece)
    if (!isTied(joint)) return []
    const own = piece.id === line.id
    // What is tied to a double's end takes the double's own length; what a doubling knot takes is counted in the double.
    const counted = own || (line.role !== 'double' && connections[joint.connection].joins !== 'doubles')
    return counted ? [[piece, joint]] : []
  })
}

/** Line that the trace's first connection uses of the outfit's own line, m; doubles take their own length twice. */
export function usedOfOutfitM({ trace, catalogue }: Pick<Rig, 'trace' | 'catalogue'>, outfitLine: LineSpec): number {
  const line = knotLine(catalogue, outfitLine)
  return trace.pieces.reduce((sum, piece) => {
    const { attach } = piece
    if (attach.how !== 'joined' || attach.to !== OUTFIT) return sum
    const turns = turnsIn(catalogue, attach.joint, outfitLine)
    const loopM = piece.role === 'double' ? piece.lengthM : (attach.joint.loopM ?? DEFAULT_LOOP_M)
    return sum + lineUsedM(catalogue, attach.joint.connection, line, { turns, loopM })
  }, 0)
}

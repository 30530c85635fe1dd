import { connectionOf, lineUsedM, USUAL_LOOP_M, usualTurns } from '../gear/connections.ts'
import { lineDiameterM, type Material } from '../gear/materials.ts'
import {
  isLine,
  type Joint,
  jointId,
  jointOf,
  type LinePiece,
  OUTFIT,
  type Piece,
  parentId,
  type Trace,
} from '../trace/schema.ts'

/** What one connection takes of a line. */
type LineUse = { jointId: string; connection: Joint['connection']; turns: number; usedM: number }
type Cut = { id: string; finishedM: number; uses: LineUse[]; cutM: number }
export type CutGroup = { material: Material; strengthN: number; diameterM: number; cuts: Cut[]; totalM: number }

/** Turns of a joint in one line: as said, else as usual for that line. */
export function turnsIn(joint: Joint, line: LinePiece): number {
  return joint.turns ?? usualTurns(joint.connection, line.material, lineDiameterM(line))
}

/**
 * What to cut for one trace, grouped by material and strength: finished length plus what the connections at both ends, and
 * part-way, use up. Totals are for one trace, m.
 */
export function cutList(trace: Trace): CutGroup[] {
  const groups = new Map<string, CutGroup>()
  for (const piece of trace.pieces) {
    if (!isLine(piece)) continue
    const diameterM = lineDiameterM(piece)
    const key = `${piece.material} ${piece.strengthN.toPrecision(9)} ${diameterM.toPrecision(9)}`
    const group = groups.get(key) ?? {
      material: piece.material,
      strengthN: piece.strengthN,
      diameterM,
      cuts: [],
      totalM: 0,
    }
    const cut = cutOf(trace, piece)
    group.cuts.push(cut)
    group.totalM += cut.cutM
    groups.set(key, group)
  }
  return [...groups.values()]
}

/** Cut length of one line: what is finished, and what its connections use. */
export function cutOf(trace: Trace, line: LinePiece): Cut {
  const uses = tiedIn(trace, line).map(([piece, joint]): LineUse => {
    const turns = turnsIn(joint, line)
    const loopM = loopOf(joint, line)
    return {
      jointId: jointId(piece.id),
      connection: joint.connection,
      turns,
      usedM: lineUsedM(joint.connection, { material: line.material, diameterM: lineDiameterM(line) }, { turns, loopM }),
    }
  })
  // A double is its own loop: the doubling knot's use already counts both strands.
  const straightM = line.role === 'double' ? 0 : line.lengthM
  return { id: line.id, finishedM: line.lengthM, uses, cutM: straightM + uses.reduce((sum, use) => sum + use.usedM, 0) }
}

function loopOf(joint: Joint, line: LinePiece): number {
  if (connectionOf(joint.connection).joins === 'doubles') return line.role === 'double' ? line.lengthM : 0
  return joint.loopM ?? USUAL_LOOP_M
}

/** The pieces whose joint is tied in this line: its own, those at its ends, those part-way. */
function tiedIn(trace: Trace, line: LinePiece): [Piece, Joint][] {
  return trace.pieces.flatMap((piece): [Piece, Joint][] => {
    const joint = jointOf(piece)
    if (!joint || connectionOf(joint.connection).joins === 'fixture') return []
    const own = piece.id === line.id
    if (!own && parentId(piece.attach) !== line.id) return []
    // What is tied to a double's end takes the double's own length; what a doubling knot takes is counted in the double.
    const counted = own || (line.role !== 'double' && connectionOf(joint.connection).joins !== 'doubles')
    return counted ? [[piece, joint]] : []
  })
}

/** Line that the trace's first connection uses of the outfit's own line, m; doubles take their own length twice. */
export function usedOfOutfitM(trace: Trace, outfitLine: { material: Material; diameterM: number }): number {
  return trace.pieces.reduce((sum, piece) => {
    const { attach } = piece
    if (attach.how !== 'joined' || attach.to !== OUTFIT || piece.role === 'double') return sum
    const turns = attach.joint.turns ?? usualTurns(attach.joint.connection, outfitLine.material, outfitLine.diameterM)
    return sum + lineUsedM(attach.joint.connection, outfitLine, { turns, loopM: attach.joint.loopM ?? USUAL_LOOP_M })
  }, 0)
}

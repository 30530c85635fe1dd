import type { Material } from '../catalogue/ids.ts'
import { lineDiameterM } from '../catalogue/materials.ts'
import { isLine, lineById, parentId } from '../documents/pieces.ts'
import type { LinePiece } from '../documents/trace.ts'
import { OUTFIT } from '../documents/vocabulary.ts'
import { type Cut, cutOf } from '../setup/cutLength.ts'
import type { Rig } from '../setup/setup.ts'
import { sameStrand } from '../setup/strands.ts'

/** One piece of line off the spool: `of` names the lines of the trace that it becomes, `id` the one nearest the reel. */
export type StrandCut = Cut & { of: string[] }
export type CutGroup = { material: Material; strengthN: number; diameterM: number; cuts: StrandCut[]; totalM: number }

/**
 * What to cut for one trace, grouped by material and strength: finished length plus what the connections at both ends, and
 * part-way, use up. What is one piece of line is one cut; a double in the reel’s own line is not cut at all. Totals are for one trace, m.
 */
export function cutList({ trace, catalogue }: Pick<Rig, 'trace' | 'catalogue'>): CutGroup[] {
  const groups = new Map<string, CutGroup>()
  const done = new Set<string>()
  for (const piece of trace.pieces) {
    if (!isLine(piece) || done.has(piece.id) || isOfReel(piece)) continue
    const of = sameStrand(trace, piece.id)
    for (const id of of) done.add(id)
    const diameterM = lineDiameterM(catalogue, piece)
    const key = `${piece.material} ${piece.strengthN.toPrecision(9)} ${diameterM.toPrecision(9)}`
    const group = groups.get(key) ?? {
      material: piece.material,
      strengthN: piece.strengthN,
      diameterM,
      cuts: [],
      totalM: 0,
    }
    const cut = strandCut({ trace, catalogue }, of)
    group.cuts.push(cut)
    group.totalM += cut.cutM
    groups.set(key, group)
  }
  return [...groups.values()]
}

const isOfReel = ({ role, attach }: LinePiece) => role === 'double' && parentId(attach) === OUTFIT

function strandCut(rig: Pick<Rig, 'trace' | 'catalogue'>, of: string[]): StrandCut {
  const cuts = of.flatMap((id) => {
    const line = lineById(rig.trace, id)
    return line ? [cutOf(rig, line)] : []
  })
  const sum = (each: (cut: Cut) => number) => cuts.reduce((total, cut) => total + each(cut), 0)
  return {
    id: of[0] ?? '',
    of,
    finishedM: sum(({ finishedM }) => finishedM),
    uses: cuts.flatMap(({ uses }) => uses),
    wrapsM: sum(({ wrapsM }) => wrapsM),
    cutM: sum(({ cutM }) => cutM),
  }
}

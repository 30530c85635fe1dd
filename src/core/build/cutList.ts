import type { Material } from '../catalogue/ids.ts'
import { lineDiameterM } from '../catalogue/materials.ts'
import { isLine } from '../documents/pieces.ts'
import { type Cut, cutOf } from '../setup/cutLength.ts'
import type { Rig } from '../setup/setup.ts'

export type CutGroup = { material: Material; strengthN: number; diameterM: number; cuts: Cut[]; totalM: number }

/**
 * What to cut for one trace, grouped by material and strength: finished length plus what the connections at both ends, and
 * part-way, use up. Totals are for one trace, m.
 */
export function cutList({ trace, catalogue }: Pick<Rig, 'trace' | 'catalogue'>): CutGroup[] {
  const groups = new Map<string, CutGroup>()
  for (const piece of trace.pieces) {
    if (!isLine(piece)) continue
    const diameterM = lineDiameterM(catalogue, piece)
    const key = `${piece.material} ${piece.strengthN.toPrecision(9)} ${diameterM.toPrecision(9)}`
    const group = groups.get(key) ?? {
      material: piece.material,
      strengthN: piece.strengthN,
      diameterM,
      cuts: [],
      totalM: 0,
    }
    const cut = cutOf({ trace, catalogue }, piece)
    group.cuts.push(cut)
    group.totalM += cut.cutM
    groups.set(key, group)
  }
  return [...groups.values()]
}

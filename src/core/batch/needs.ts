import { cutList } from '../build/cutList.ts'
import { type PartCount, partsList } from '../build/partsList.ts'
import type { Material } from '../catalogue/ids.ts'
import type { Rig } from '../setup/setup.ts'

/** Cuts are laid to the millimetre, and never short. */
const PER_METRE = 1_000
const upToMillimetre = (m: number) => Math.ceil(m * PER_METRE - 1e-6) / PER_METRE

/** Cuts of one length from one line: how many each trace takes, and the lines of the trace that they become. */
export type NeedCut = { cutM: number; perTrace: number; of: string[][] }
/** A line that a trace is made from. `piece` is the first of `pieces`, and names the need. */
export type LineNeed = {
  kind: 'line'
  piece: string
  pieces: string[]
  material: Material
  strengthN: number
  diameterM: number
  cuts: NeedCut[]
}
/** A part that a trace is made with, so many in each. */
export type PartNeed = { kind: 'part'; piece: string; pieces: string[]; sample: PartCount['sample']; perTrace: number }
export type Need = LineNeed | PartNeed

/** What one trace is made from: each line with its cuts, those that are cut most often first, and each kind of part. Cuts in m, rounded up. */
export function needsOf(rig: Pick<Rig, 'trace' | 'catalogue'>): Need[] {
  const lines = cutList(rig).map(({ material, strengthN, diameterM, cuts }): LineNeed => {
    const byLength = new Map<number, NeedCut>()
    for (const { cutM, of } of cuts) {
      const rounded = upToMillimetre(cutM)
      const cut = byLength.get(rounded) ?? { cutM: rounded, perTrace: 0, of: [] }
      cut.perTrace += 1
      cut.of.push(of)
      byLength.set(rounded, cut)
    }
    const pieces = cuts.flatMap(({ of }) => of)
    return {
      kind: 'line',
      piece: pieces[0] ?? '',
      pieces,
      material,
      strengthN,
      diameterM,
      cuts: [...byLength.values()].sort((a, b) => b.perTrace - a.perTrace || b.cutM - a.cutM),
    }
  })
  const parts = partsList(rig.trace).map(
    ({ sample, count, ids }): PartNeed => ({
      kind: 'part',
      piece: sample.id,
      pieces: ids,
      sample,
      perTrace: count,
    }),
  )
  return [...lines, ...parts]
}

/** Every cut of one trace from a line, with repeats, m. */
export const cutsOfTrace = ({ cuts }: LineNeed): number[] =>
  cuts.flatMap(({ cutM, perTrace }) => Array.from({ length: perTrace }, () => cutM))

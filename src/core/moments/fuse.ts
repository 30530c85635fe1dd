import type { EndPath } from './workings.ts'

/** Where no link reaches this chance of going first, chance decides. */
const DECIDED = 0.9

/** The link that goes first on a path: the likeliest, its chance, and the next likely where chance decides between them. */
export type Fuse = { id: string; probability: number; byChance: boolean; rival?: { id: string; probability: number } }

export function fuseOf({ links, first }: EndPath): Fuse {
  const order = links.map(({ id }, i) => ({ id, probability: first[i]! })).toSorted((a, b) => b.probability - a.probability)
  const [likeliest, next] = [order[0]!, order[1]]
  const byChance = likeliest.probability < DECIDED
  return { ...likeliest, byChance, ...(byChance && next ? { rival: next } : {}) }
}

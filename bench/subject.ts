import { defaultConditions } from '../src/core/documents/conditions.ts'
import type { Trace } from '../src/core/documents/trace.ts'
import { draftOf } from '../tests/fixtures/drafts.ts'
import { braidOutfit, LB } from '../tests/fixtures/outfits.ts'

export const outfit = braidOutfit(50)
export const conditions = { ...defaultConditions(), dragN: 12 * LB }

/** The three-snood paternoster without its outermost beads and a bait: 25 pieces. */
export function twentyFiveParts(): Trace {
  const { trace } = draftOf('boomPaternoster', outfit, conditions, { snoods: 3 })
  const left = new Set(['bead-a1', 'bead-b1', 'bead-c1', 'hook-c-bait'])
  return { ...trace, pieces: trace.pieces.filter(({ id }) => !left.has(id)) }
}

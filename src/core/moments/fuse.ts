import type { LinkRef } from '../documents/linkRef.ts'
import type { EndPath } from '../setup/prepareSetup.ts'
import { DECIDED_CHANCE } from './thresholds.ts'

type Likely = { ref: LinkRef; probability: number }
/** The link that goes first on a path: the likeliest, its chance, and the next likely where chance decides between them. */
export type Fuse = Likely & { byChance: boolean; rival?: Likely }

/** @throws Error for a path without a link: every end hangs by one. */
export function fuseOf({ links, first }: Pick<EndPath, 'links' | 'first'>): Fuse {
  let likeliest: Likely | undefined
  let next: Likely | undefined
  for (let i = 0; i < links.length; i += 1) {
    const { ref } = links[i]!
    const probability = first[i] ?? 0
    if (!likeliest || probability > likeliest.probability) {
      next = likeliest
      likeliest = { ref, probability }
    } else if (!next || probability > next.probability) next = { ref, probability }
  }
  if (!likeliest) throw new Error('A path without a link has no fuse')
  const byChance = likeliest.probability < DECIDED_CHANCE
  return { ...likeliest, byChance, ...(byChance && next ? { rival: next } : {}) }
}

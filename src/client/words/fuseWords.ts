import type { LinkRef } from '../../core/documents/linkRef.ts'
import type { Fuse } from '../../core/moments/fuse.ts'
import { percent } from './percent.ts'

type NameOf = (ref: LinkRef) => string

/** Which link goes first, how sure that is, and what it leaves to chance. */
export function fuseWords(fuse: Fuse, nameOf: NameOf): string {
  if (!fuse.byChance) return `${nameOf(fuse.ref)} goes first, ${percent(fuse.probability)}`
  const rival = fuse.rival ? ` and ${nameOf(fuse.rival.ref)} (${percent(fuse.rival.probability)})` : ''
  return `chance decides between ${nameOf(fuse.ref)} (${percent(fuse.probability)})${rival}`
}

/** The fuse of a run or a snag in a few words, or that there is none and chance decides. */
export const shortFuseWords = ({ ref, probability, byChance }: Fuse, nameOf: NameOf): string =>
  `${byChance ? 'by chance' : 'fuse'}, ${percent(probability)}: ${nameOf(ref)}`

import type { LinkRef } from '../../core/documents/linkRef.ts'
import type { Fuse } from '../../core/moments/fuse.ts'
import { percent } from '../../core/units/percent.ts'

type NameOf = (ref: LinkRef) => string

/** The link that breaks first and how likely that is, or the likeliest links if none stands out. */
export function fuseWords(fuse: Fuse, nameOf: NameOf): string {
  if (!fuse.byChance) return `${nameOf(fuse.ref)} breaks first (${percent(fuse.probability)})`
  const rival = fuse.rival ? `, then ${nameOf(fuse.rival.ref)} (${percent(fuse.rival.probability)})` : ''
  return `most likely ${nameOf(fuse.ref)} (${percent(fuse.probability)})${rival}`
}

/** The same in a few words. */
export const shortFuseWords = ({ ref, probability, byChance }: Fuse, nameOf: NameOf): string =>
  `${byChance ? 'Most likely to break' : 'Breaks first'}: ${nameOf(ref)} (${percent(probability)})`

import { familyName } from '../../../core/catalogue/familyIds.ts'
import type { Outfit } from '../../../core/documents/outfit.ts'
import type { SavedTraceHead } from '../../api/documents.ts'

export type Searchable = { head: SavedTraceHead; text: string }

/** Each trace with the words it is found by: name, family, outfit, notes, tags. */
export function searchable(heads: readonly SavedTraceHead[], outfitOf: ReadonlyMap<string, Outfit>): Searchable[] {
  return heads.map((head) => {
    const { name, family, outfitId, notes, tags } = head.content
    const words = [name, family === null ? '' : familyName(family), outfitOf.get(outfitId ?? '')?.name ?? '', notes, ...tags]
    return { head, text: words.join(' ').toLowerCase() }
  })
}

/** Those that have every word of the search, in any order, and the tag where one is named. */
export function fitting(texts: readonly Searchable[], search: string, tag: string): SavedTraceHead[] {
  const words = search.toLowerCase().split(/\s+/).filter(Boolean)
  return texts.flatMap(({ head, text }) =>
    words.every((word) => text.includes(word)) && (tag === '' || head.content.tags.includes(tag)) ? [head] : [],
  )
}

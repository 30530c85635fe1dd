import { familyName } from '../../../core/catalogue/familyIds.ts'
import type { Outfit } from '../../../core/documents/outfit.ts'
import { isFound, plainText, searchForms } from '../../../core/edit/searchForms.ts'
import { VERDICT_RANK, type Verdict } from '../../../core/moments/moment.ts'
import type { SavedTraceHead } from '../../api/documents.ts'

export type Searchable = { head: SavedTraceHead; text: string }

/** What outfits and marks are called, by their ids. */
export type Names = { outfitOf: ReadonlyMap<string, Outfit>; markOf: ReadonlyMap<string, string> }

/** Each trace with the words it is found by: name, family, outfit, mark, notes, tags. */
export function searchable(heads: readonly SavedTraceHead[], { outfitOf, markOf }: Names): Searchable[] {
  return heads.map((head) => {
    const { name, family, outfitId, markId, notes, tags } = head.content
    const words = [name, family === null ? '' : familyName(family), outfitOf.get(outfitId ?? '')?.name ?? '', notes, ...tags]
    return { head, text: plainText([...words, markOf.get(markId ?? '') ?? ''].join(' ')) }
  })
}

/** Those that have every word of the search, in any order and by any region’s name, and the tag where one is named. */
export function fitting(texts: readonly Searchable[], search: string, tag: string): SavedTraceHead[] {
  const forms = searchForms(search)
  return texts.flatMap(({ head, text }) =>
    isFound(text, forms) && (tag === '' || head.content.tags.includes(tag)) ? [head] : [],
  )
}

export const SORTS = [
  { value: 'saved', text: 'last saved' },
  { value: 'name', text: 'name' },
  { value: 'mark', text: 'mark' },
  { value: 'verdict', text: 'worst verdict' },
] as const
export type Sort = (typeof SORTS)[number]['value']

type Known = Pick<Names, 'markOf'> & { verdictOf: (head: SavedTraceHead) => Verdict | undefined }

/** In an order; as they come, the latest saved are first. Without a mark, or not judged yet, they come last. */
export function sorted(heads: readonly SavedTraceHead[], by: Sort, { markOf, verdictOf }: Known): readonly SavedTraceHead[] {
  const nameOf = (head: SavedTraceHead) => head.content.name
  const rank = (head: SavedTraceHead) => {
    const verdict = verdictOf(head)
    return verdict === undefined ? -1 : VERDICT_RANK[verdict]
  }
  switch (by) {
    case 'saved':
      return heads
    case 'name':
      return heads.toSorted((a, b) => nameOf(a).localeCompare(nameOf(b)))
    case 'verdict':
      return heads.toSorted((a, b) => rank(b) - rank(a))
    case 'mark': {
      const markFor = (head: SavedTraceHead) => markOf.get(head.content.markId ?? '')
      return heads.toSorted((a, b) => {
        const [one, other] = [markFor(a), markFor(b)]
        if (one === undefined || other === undefined) return Number(one === undefined) - Number(other === undefined)
        return one.localeCompare(other) || nameOf(a).localeCompare(nameOf(b))
      })
    }
  }
}

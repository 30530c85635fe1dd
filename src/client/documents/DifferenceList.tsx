import { useQuery } from '@tanstack/react-query'
import { documentDifferences } from '../../core/analysis/differences.ts'
import { fishQuery, marksQuery, outfitsQuery } from '../api/documents.ts'
import { useCatalogue } from '../catalogue/useCatalogue.ts'
import { useShow } from '../settings/preferences.tsx'
import { differenceWords } from '../words/differenceWords.ts'

const MAX_SHOWN = 12

/** The differences between two versions of a document, one line each. */
export function DifferenceList({ from, to }: { from: object; to: object }) {
  const show = useShow()
  const catalogue = useCatalogue()
  const outfits = useQuery(outfitsQuery).data ?? []
  const marks = useQuery(marksQuery).data ?? []
  const fish = useQuery(fishQuery).data ?? []
  const nameOf = (id: string) => [...outfits, ...marks, ...fish].find((each) => each.id === id)?.content.name
  const changes = documentDifferences(from, to)
  if (changes.length === 0) return <p className="text-quiet">No differences.</p>
  return (
    <ul className="mt-1 list-disc pl-5">
      {changes.slice(0, MAX_SHOWN).map((change) => (
        <li key={`${'id' in change ? change.id : ''} ${'field' in change ? change.field : change.kind}`}>
          {differenceWords(change, { catalogue, show, nameOf })}
        </li>
      ))}
      {changes.length > MAX_SHOWN && <li>and {changes.length - MAX_SHOWN} more</li>}
    </ul>
  )
}

import { conditionDifferences, differences } from '../../core/analysis/differences.ts'
import type { TraceContent } from '../../shared/traceContent.ts'
import { useCatalogue } from '../catalogue.tsx'
import { useShow } from '../settings/preferences.tsx'
import { differenceWords } from '../words/differenceWords.ts'

const MOST = 12

/** What differs from one content to another, a line each. */
export function DifferenceList({ from, to }: { from: TraceContent; to: TraceContent }) {
  const show = useShow()
  const catalogue = useCatalogue()
  const changes = [...differences(from.trace, to.trace), ...conditionDifferences(from.conditions, to.conditions)]
  if (changes.length === 0)
    return <p className="text-quiet">{from.outfitId === to.outfitId ? 'Nothing differs.' : 'Only the outfit differs.'}</p>
  return (
    <ul className="mt-1 list-disc pl-5">
      {changes.slice(0, MOST).map((change) => (
        <li key={`${'id' in change ? change.id : ''} ${'field' in change ? change.field : change.kind}`}>
          {differenceWords(catalogue, change, show)}
        </li>
      ))}
      {changes.length > MOST && <li>and {changes.length - MOST} more</li>}
    </ul>
  )
}

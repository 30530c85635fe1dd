import { useMemo } from 'react'
import { judged as judgedOf } from '../../../core/analysis/judged.ts'
import type { Outfit } from '../../../core/documents/outfit.ts'
import type { SavedTrace } from '../../api/documents.ts'
import { useCatalogue } from '../../catalogue/useCatalogue.ts'
import { VerdictMark } from '../../fishing/VerdictMark.tsx'
import { VerdictRows } from './VerdictRows.tsx'

/** Each moment's verdict of a trace of the library. */
export default function CardVerdicts({ saved, outfit }: { saved: SavedTrace | undefined; outfit: Outfit | undefined }) {
  const catalogue = useCatalogue()
  const judged = useMemo(() => {
    if (!saved || !outfit) return undefined
    const { trace, conditions } = saved.content
    return judgedOf({ trace, outfit, conditions, catalogue })
  }, [saved, outfit, catalogue])
  if (!outfit) return <p className="text-sm text-fails">Its outfit is in the trash.</p>
  if (!judged) return <VerdictRows />
  if (!judged.ok) return <p className="text-sm text-fails">{judged.message}</p>
  return (
    <VerdictRows
      said={(moment) => {
        const result = judged.value.moments[moment]
        return result ? (
          <VerdictMark verdict={result.verdict} />
        ) : (
          <span className="text-quiet">{moment === 'cast' ? 'not cast' : '–'}</span>
        )
      }}
    />
  )
}

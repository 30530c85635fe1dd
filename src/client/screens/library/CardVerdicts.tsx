import type { Outfit } from '../../../core/documents/outfit.ts'
import type { SavedTrace } from '../../api/documents.ts'
import { useCatalogue } from '../../catalogue/useCatalogue.ts'
import { VerdictMark } from '../../fishing/VerdictMark.tsx'
import { keptVerdicts } from './keptVerdicts.ts'
import { VerdictRows } from './VerdictRows.tsx'

/** Each moment's verdict of a trace of the library. */
export default function CardVerdicts({ saved, outfit }: { saved: SavedTrace | undefined; outfit: Outfit | undefined }) {
  const catalogue = useCatalogue()
  if (!outfit) return <p className="text-sm text-fails">Its outfit is in the trash.</p>
  if (!saved) return <VerdictRows />
  const verdicts = keptVerdicts(saved, outfit, catalogue)
  if (!verdicts.ok) return <p className="text-sm text-fails">{verdicts.message}</p>
  return (
    <VerdictRows
      said={(moment) => {
        const verdict = verdicts.value.get(moment)
        return verdict ? (
          <VerdictMark verdict={verdict} />
        ) : (
          <span className="text-quiet">{moment === 'cast' ? 'not cast' : '–'}</span>
        )
      }}
    />
  )
}

import type { Outfit } from '../../../core/documents/outfit.ts'
import { useCatalogue } from '../../catalogue/useCatalogue.ts'
import { useShow } from '../../settings/preferences.tsx'
import { lineSpec, WOUND_NAMES } from '../../words/names.ts'

/** The label for rod and reel, on paper only: which reel holds which line is what is forgotten first. */
export function OutfitLabel({ outfit }: { outfit: Outfit }) {
  const catalogue = useCatalogue()
  const show = useShow()
  return (
    <div className="hidden w-[70mm] border border-rule p-[3mm] print:block">
      <p className="text-lg font-bold" translate="no">
        {outfit.name}
      </p>
      {outfit.marking && <p>{outfit.marking}</p>}
      <ul>
        {outfit.wound.toReversed().map((line) => (
          <li key={line.role}>
            {WOUND_NAMES[line.role]}: {lineSpec(catalogue, line, show)}
            {line.lengthM !== undefined && `, ${show.entered('length', line.lengthM)}`}
            {line.woundOn && `, on ${show.date(line.woundOn)}`}
          </li>
        ))}
      </ul>
      <p>
        rod {show.entered('length', outfit.rod.lengthM)}, {show.entered('strength', outfit.rod.ratingLowN)} to{' '}
        {show.entered('strength', outfit.rod.ratingHighN)}
      </p>
    </div>
  )
}

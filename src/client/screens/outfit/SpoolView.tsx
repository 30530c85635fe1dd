import { useMemo, useState } from 'react'
import type { Outfit } from '../../../core/documents/outfit.ts'
import { spoolFacts } from '../../../core/outfits/spoolFacts.ts'
import { percent } from '../../../core/units/percent.ts'
import { useCatalogue } from '../../catalogue/useCatalogue.ts'
import { SpoolSection } from '../../charts/SpoolSection.tsx'
import { LengthCounts } from '../../fishing/LengthCounts.tsx'
import { useShow } from '../../settings/preferences.tsx'
import { Sheet } from '../../ui/controls.tsx'
import { notBelow } from '../../ui/limits.ts'
import { QuantityField } from '../../ui/QuantityField.tsx'
import { Fault } from '../../ui/states.tsx'
import { lineSpec, WOUND_NAMES } from '../../words/names.ts'
import { outfitRemarks } from '../../words/outfitWords.ts'

/** The spool to scale, how much still fits, and what a run leaves on it. */
export function SpoolView({ outfit }: { outfit: Outfit }) {
  const catalogue = useCatalogue()
  const show = useShow()
  const [runM, setRunM] = useState(100)
  const facts = useMemo(() => spoolFacts(catalogue, outfit, runM), [catalogue, outfit, runM])
  const remarks = useMemo(() => outfitRemarks(catalogue, outfit, new Date()), [catalogue, outfit])
  if (!facts)
    return (
      <Sheet title="The spool">
        <Fault>The lines with a length fill the spool. No room is left for the line that fills the rest.</Fault>
      </Sheet>
    )
  const metres = (m: number) => show.computed('length', m)
  const over = facts.fillShare > 1.0005
  const estimated = outfit.reel.fullRadiusM === undefined
  return (
    <Sheet
      title="The spool"
      aside={<span className={over ? 'font-semibold text-watch' : ''}>{percent(facts.fillShare)} full</span>}
    >
      <SpoolSection
        facts={facts}
        layers={outfit.wound.map((line, i) => ({
          name: WOUND_NAMES[line.role],
          text: `${metres(facts.bands[i]?.lengthM ?? 0)} of ${lineSpec(catalogue, line, show)}`,
          material: line.material,
        }))}
        rulerText={`2 cm${estimated ? '; estimated size' : ''}`}
        rulerM={0.02}
      />
      <ul className="mt-2 grid gap-1">
        <li>{windingWords(outfit, facts, metres)}</li>
        {facts.perTurnM && (
          <li>
            One turn of the handle retrieves {show.tape(facts.perTurnM.full)} full, {show.tape(facts.perTurnM.out)} after the run.
          </li>
        )}
        {remarks.map((remark) => (
          <li key={remark} className="text-watch">
            {remark}
          </li>
        ))}
      </ul>
      <div className="mt-3 grid gap-2 sm:grid-cols-2">
        <QuantityField label="after a run of" quantity="length" valueSi={runM} check={notBelow(5_000)} onChange={setRunM} />
        <p role="status" className="self-center">
          {runM >= facts.woundM
            ? 'The spool is empty.'
            : `${metres(facts.leftM)} left; the drag has grown ${show.number(facts.dragGrowth, 2)} times.`}
        </p>
      </div>
      <LengthCounts rig={{ catalogue, outfit }} lengthM={runM} label="That is" />
    </Sheet>
  )
}

/** What still fits, or what to wind first so that all ends full. */
function windingWords(
  { wound }: Outfit,
  { bands, roomM, fillShare }: NonNullable<ReturnType<typeof spoolFacts>>,
  metres: (m: number) => string,
) {
  const [first] = wound
  const last = wound.at(-1)
  if (fillShare > 1.0005)
    return `${metres(-roomM)} of the ${WOUND_NAMES[last?.role ?? 'main']} too much: it will fall off in loops.`
  if (fillShare < 0.9995) return `${metres(roomM)} more of the ${WOUND_NAMES[last?.role ?? 'main']} fit.`
  return first && wound.length > 1
    ? `To fill it, wind ${metres(bands[0]?.lengthM ?? 0)} of the ${WOUND_NAMES[first.role]} first.`
    : `Full with ${metres(bands[0]?.lengthM ?? 0)}.`
}

import { useState } from 'react'
import { LOSS_DIMENSIONS } from '../../../core/lessons/lessons.ts'
import { stockSpares } from '../../../core/stock/spares.ts'
import { useAssurance } from '../../lessons/useAssurance.ts'
import type { KnownLessons } from '../../lessons/useLessons.ts'
import { useTraceLosses } from '../../lessons/useTraceLosses.ts'
import { useShow } from '../../settings/preferences.tsx'
import { Sheet } from '../../ui/controls.tsx'
import { NumberField } from '../../ui/NumberField.tsx'
import { LOSS_WORDS } from '../../words/lessonWords.ts'
import { RatedSheet } from './RatedSheet.tsx'

/** Snags, sinkers and traces lost: how often and where, what they cost, and what to carry. */
export function LossesPage({ known: { lessons, sums } }: { known: KnownLessons }) {
  return (
    <>
      <RatedSheet rated={lessons.losses} words={LOSS_WORDS} dimensions={LOSS_DIMENSIONS} trips={sums.trips} />
      <Costs sums={sums} />
      <Spares sums={sums} />
    </>
  )
}

function Costs({ sums }: { sums: KnownLessons['sums'] }) {
  const show = useShow()
  const all = sums.counts.find(({ by }) => by === 'all')?.counts
  if (!all) return null
  const trips = sums.trips.length
  return (
    <Sheet title="What it costs">
      <p>
        A trip loses sinkers and traces for {show.number(all.cost / trips, 1)} on average.
        {all.saved > 0 &&
          ` Weak links saved ${show.number(all.saved / trips, 1)} a trip: what would have been lost with the sinker.`}
      </p>
      <p className="text-sm text-quiet">Nominal prices. The time to tie new ones is not in it.</p>
    </Sheet>
  )
}

/** Spares for a trip of some hours, by the crew’s own losses. */
function Spares({ sums }: { sums: KnownLessons['sums'] }) {
  const show = useShow()
  const losses = useTraceLosses()
  const assurance = useAssurance()
  const [hours, setHours] = useState(5)
  const all = sums.counts.find(({ by }) => by === 'all')?.counts
  if (!all) return null
  const sparesOf = (events: number) => stockSpares({ ...losses, events, planned: hours, assurance })
  const [sinkers, traces] = [sparesOf(all.sinkersLost), sparesOf(all.tracesLost)]
  const words = ({ spares, meanLost, runOut }: typeof sinkers) =>
    `${spares} (${show.number(meanLost, 1)} are lost on average; too few in ${show.percent(runOut)} of trips)`
  return (
    <Sheet title="What to carry">
      <div className="grid gap-1">
        <NumberField
          label="rod hours"
          value={hours}
          least={0.5}
          most={200}
          onChange={(next) => next !== undefined && setHours(next)}
        />
        <p>Spare sinkers: {words(sinkers)}.</p>
        <p>Spare traces: {words(traces)}.</p>
      </div>
    </Sheet>
  )
}

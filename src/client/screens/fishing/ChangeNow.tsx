import { useQuery } from '@tanstack/react-query'
import { useMemo } from 'react'
import { tried } from '../../../core/analysis/judged.ts'
import { whatToChange } from '../../../core/change/whatToChange.ts'
import type { TripEvent } from '../../../core/documents/observation.ts'
import type { Setup } from '../../../core/setup/setup.ts'
import { gearQuery } from '../../api/documents.ts'
import { CHANGE_WORDS } from '../../words/changeWords.ts'
import { momentName } from '../../words/momentNames.ts'

/** So many are read at a glance. */
const MAX_SHOWN = 3

type Props = {
  setup: Setup
  /** What of the box is along; undefined, all of it. */
  gearIds: readonly string[] | undefined
  events: readonly TripEvent[]
  nowMs: number
}

/** What to change on this rod now, the first to try first; nothing where nothing asks for it. */
export default function ChangeNow({ setup, gearIds, events, nowMs }: Props) {
  const gear = useQuery(gearQuery).data
  // Each minute is soon enough, and keeps the phone cool.
  const minute = Math.floor(nowMs / 60_000)
  const changes = useMemo(
    () =>
      tried(() =>
        whatToChange(
          setup,
          gear?.filter(({ id }) => !gearIds || gearIds.includes(id)).map(({ content }) => content),
          events,
          (minute + 1) * 60_000,
        ),
      ),
    [setup, gear, gearIds, events, minute],
  )
  if (!changes.ok) return null
  const shown = changes.value.filter(({ id }) => id !== 'nothing').slice(0, MAX_SHOWN)
  if (shown.length === 0) return null
  return (
    <section aria-label="What to change now" className="rounded-lg border border-rule bg-sheet p-3">
      <h2 className="font-semibold">What to change now</h2>
      <p className="text-sm text-quiet">{shown[0]?.why} One change at a time.</p>
      <ol className="list-decimal pl-5">
        {shown.map(({ id, with: gearName, costs }) => (
          <li key={id}>
            {CHANGE_WORDS[id]}
            {gearName && (
              <>
                {': '}
                <span translate="no">{gearName}</span>
              </>
            )}
            {costs.length > 0 && (
              <span className="block text-sm text-watch">
                {costs.map(({ moment, before, after }) => `${momentName(moment)} ${before} → ${after}`).join(', ')}
              </span>
            )}
          </li>
        ))}
      </ol>
    </section>
  )
}

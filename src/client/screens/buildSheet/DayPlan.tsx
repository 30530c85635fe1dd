import { useQuery } from '@tanstack/react-query'
import { useMemo } from 'react'
import type { Day } from '../../../core/plan/dayAtMark.ts'
import { defaultShapes, shapesOf } from '../../../core/plan/defaultBox.ts'
import type { Owned } from '../../../core/setup/owned.ts'
import type { Setup } from '../../../core/setup/setup.ts'
import { type LocalDay, localDay } from '../../../core/time/localDay.ts'
import { type SavedMark, sinkersQuery } from '../../api/documents.ts'
import { useDay } from '../../plan/useDay.ts'
import { useHolds } from '../../plan/useHolds.ts'
import { usePlan } from '../../plan/usePlan.ts'
import { useShow } from '../../settings/preferences.tsx'
import { Failed, Loading } from '../../ui/states.tsx'
import { assumedWords } from '../../words/assumedWords.ts'
import { sinkerWords } from '../../words/waterWords.ts'

type Props = { mark: SavedMark; date: string; setup: Setup }

/** The sinkers of a day at a mark, for paper. */
export default function DayPlan({ mark, date, setup }: Props) {
  const day = useMemo(() => localDay(date, mark.content.timeZone), [date, mark])
  const owned = useQuery(sinkersQuery)
  const { day: water, isUntyped, error, retry } = useDay(mark.content, day)
  const failed = error ?? owned.error
  if (isUntyped) return <p>The tide table of {mark.content.name} has no high and low water on this day.</p>
  if (failed && !(water && owned.data))
    return (
      <Failed
        what="The plan of the day"
        error={failed}
        onRetry={() => {
          retry()
          owned.refetch()
        }}
      />
    )
  if (!water || !owned.data) return <Loading what="the plan of the day" />
  return <Planned mark={mark} day={day} water={water} owned={owned.data} setup={setup} />
}

function Planned({ mark, day, water, owned, setup }: Omit<Props, 'date'> & { day: LocalDay; water: Day; owned: Owned[] }) {
  const show = useShow()
  const { content } = mark
  const holds = useHolds(mark.id)
  const box = useMemo(() => {
    const shapes = defaultShapes(owned, setup, content.method)
    return owned.filter(({ shape }) => shapes.includes(shape))
  }, [owned, setup, content])
  const { result, error, start } = usePlan({
    mark,
    holds,
    day: water,
    setup,
    owned: box,
    way: 'fewest',
    fromMs: day.startMs,
    toMs: day.endMs,
  })
  const clock = (timeMs: number) => show.clock(timeMs, day.timeZone)
  const turns = (water.tide?.turns ?? []).filter(({ timeMs }) => timeMs >= day.startMs && timeMs < day.endMs)
  if (error) return <Failed what="The plan of the day" error={error} onRetry={start} />
  if (!result) return <Loading what="the plan of the day" />
  const notes = [...assumedWords(content, show), 'These are estimates. Trust the local tide table first.']
  return (
    <>
      <ol aria-label="Sinkers of the day" className="grid gap-x-8 sm:grid-cols-2">
        {result.changes.map(({ timeMs, to }) => (
          <li key={timeMs} className="flex gap-3 border-t border-rule py-1">
            <span className="w-20 text-quiet">{clock(timeMs)}</span>
            <strong>{to ? sinkerWords(setup.catalogue, to, show, shapesOf(box).length > 1) : 'none holds'}</strong>
          </li>
        ))}
      </ol>
      <p className="mt-2 text-sm">
        {turns
          .map(
            ({ timeMs, kind, heightM }) => `${kind === 'high' ? 'High' : 'Low'} water ${clock(timeMs)}, ${show.depth(heightM)}`,
          )
          .join('; ')}
      </p>
      <p className="text-sm text-quiet">{notes.join(' ')}</p>
    </>
  )
}

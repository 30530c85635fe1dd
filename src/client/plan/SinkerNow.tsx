import { useQuery } from '@tanstack/react-query'
import { useEffect, useMemo } from 'react'
import type { Day } from '../../core/plan/dayAtMark.ts'
import { defaultShapes, shapesOf } from '../../core/plan/defaultBox.ts'
import { changeAt } from '../../core/plan/planDay.ts'
import type { Owned } from '../../core/setup/owned.ts'
import type { Setup } from '../../core/setup/setup.ts'
import type { LocalDay } from '../../core/time/localDay.ts'
import { type SavedMark, sinkersQuery } from '../api/documents.ts'
import { useShow } from '../settings/preferences.tsx'
import { sinkerWords } from '../words/waterWords.ts'
import { useDay } from './useDay.ts'
import { useHolds } from './useHolds.ts'
import { usePlan } from './usePlan.ts'

type Props = {
  mark: SavedMark
  day: LocalDay
  setup: Setup
  atMs: number
  /** The hours that are fished, for which changes are few; left out, or at another time, the whole day. */
  hours?: { fromMs: number; toMs: number } | undefined
  /** Only the sinkers. */
  isBrief?: boolean
  /** Told when the next change is, ms; nothing where there is none. */
  onNext?: (timeMs: number | undefined) => void
}

/** The sinker that holds at a time of a day and the next change, in two lines. `day` must stay the same object while it is the same day. */
export default function SinkerNow(props: Props) {
  const { mark, day, hours, atMs } = props
  const isFished = hours && atMs >= hours.fromMs && atMs < hours.toMs
  const span = isFished ? hours : { fromMs: day.startMs, toMs: day.endMs }
  const owned = useQuery(sinkersQuery)
  const { day: water, isUntyped, error } = useDay(mark.content, day)
  if (isUntyped) return <p>The tide table of this mark has nothing for this day.</p>
  if (error && !water) return <p>The tide cannot be loaded right now. {error.message}</p>
  if (!water || !owned.data) return <p role="status">Calculating …</p>
  return <Planned {...props} water={water} owned={owned.data} fromMs={span.fromMs} toMs={span.toMs} />
}

type PlannedProps = Props & { water: Day; owned: Owned[]; fromMs: number; toMs: number }

function Planned({ mark, setup, atMs, isBrief = false, onNext, water, owned, fromMs, toMs }: PlannedProps) {
  const show = useShow()
  const holds = useHolds(mark.id)
  const box = useMemo(() => {
    const shapes = defaultShapes(owned, setup, mark.content.method)
    return owned.filter(({ shape }) => shapes.includes(shape))
  }, [owned, setup, mark])
  const { result, error } = usePlan({ mark, holds, day: water, setup, owned: box, way: 'fewest', fromMs, toMs })
  const nextMs = result?.changes.find(({ timeMs }) => timeMs > atMs)?.timeMs
  useEffect(() => onNext?.(nextMs), [onNext, nextMs])
  if (error) return <p>The sinkers could not be worked out. {error.message}</p>
  if (!result) return <p role="status">Calculating …</p>
  const clock = (timeMs: number) => show.clock(timeMs, mark.content.timeZone)
  const words = (sinker: Owned | undefined) =>
    sinker ? sinkerWords(setup.catalogue, sinker, show, shapesOf(box).length > 1) : 'no sinker in the box holds'
  const on = changeAt(result.changes, atMs)
  const next = result.changes.find(({ timeMs }) => timeMs > atMs)
  const slack = water.slacks.find(({ timeMs }) => timeMs > atMs)
  return (
    <>
      <p>
        <strong>{words(on?.to)}</strong>
        {next && ` until ${clock(next.timeMs)}, then ${words(next.to)}`}
      </p>
      {!isBrief && <p className="text-sm text-quiet">{slack ? `Slack ${clock(slack.timeMs)}` : 'No slack later today'}</p>}
    </>
  )
}

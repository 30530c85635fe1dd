import { useQuery } from '@tanstack/react-query'
import { lazy, Suspense, useMemo } from 'react'
import { Link } from 'react-router'
import { stageOf } from '../../../core/documents/trip.ts'
import { lastTrip, nextTrip, usualMark } from '../../../core/plan/nextTrip.ts'
import { tripDay, tripSpan, visitsOf } from '../../../core/plan/trip.ts'
import { localDay } from '../../../core/time/localDay.ts'
import {
  listQuery,
  marksQuery,
  outfitsQuery,
  type SavedMark,
  type SavedOutfit,
  type SavedTraceHead,
} from '../../api/documents.ts'
import type { SavedTrip } from '../../api/trips.ts'
import { useTraceHeads } from '../../api/useTraceHeads.ts'
import FirstSteps from '../../documents/FirstSteps.tsx'
import { OfflineCopyNote } from '../../documents/OfflineCopyNote.tsx'
import { type OfflineNeeds, offlineNeedsOf, useOfflineCopy } from '../../documents/useOfflineCopy.ts'
import { useShow } from '../../settings/preferences.tsx'
import { today } from '../../settings/today.ts'
import { buttonClass } from '../../ui/controls.tsx'
import { Failed, Loading } from '../../ui/states.tsx'
import { useNow } from '../../ui/useNow.ts'
import { usePageTitle } from '../../ui/usePageTitle.ts'
import { planAddress } from '../../words/addresses.ts'
import { STAGE_WORDS } from '../../words/tripWords.ts'
import { GearGlance } from './GearGlance.tsx'
import { WaterGlance } from './WaterGlance.tsx'

// Not among the first facts: it comes after them.
const WhatChanged = lazy(() => import('../../lessons/WhatChanged.tsx'))

const NONE: readonly never[] = []

/** The first page: the next trip at one look, or the day at a mark. */
export default function TodayScreen() {
  usePageTitle('Today')
  const trips = useQuery(listQuery('trips'))
  const marks = useQuery(marksQuery)
  const outfits = useQuery(outfitsQuery)
  const heads = useTraceHeads()
  const all = [trips, marks, outfits, heads]
  const nowMs = useNow(30_000)
  const zoneOf = useMemo(() => {
    const zones = new Map(marks.data?.map(({ id, content }) => [id, content.timeZone]))
    return (id: string | undefined) => (id === undefined ? undefined : zones.get(id)) ?? 'UTC'
  }, [marks.data])
  const next = trips.data && nextTrip(trips.data.documents, zoneOf, nowMs)
  const last = trips.data && lastTrip(trips.data.documents)
  const place = useMemo(
    () => (marks.data && trips.data ? usualPlace(marks.data, heads.data ?? NONE, trips.data.documents) : undefined),
    [marks.data, heads.data, trips.data],
  )
  const date = today()
  const needs = useMemo((): OfflineNeeds | undefined => {
    if (!marks.data || !heads.data || !place) return undefined
    if (next) return offlineNeedsOf(next, marks.data)
    const { mark, head } = place
    return {
      water: mark ? [{ mark, day: localDay(date, mark.content.timeZone) }] : [],
      rods: head?.content.outfitId ? [{ outfitId: head.content.outfitId, trace: { id: head.id, revision: head.revision } }] : [],
    }
  }, [marks.data, heads.data, place, next, date])
  const taken = useOfflineCopy(needs)
  const failed = all.find(({ data, error }) => error && !data)
  if (failed?.error)
    return (
      <Failed isPage what="Today" error={failed.error} onRetry={() => void Promise.all(all.map(({ refetch }) => refetch()))} />
    )
  if (!trips.data || !marks.data || !place) return <Loading what="today" />
  const given = { marks: marks.data, outfits: outfits.data ?? NONE, nowMs }
  return (
    <div className="mx-auto grid max-w-3xl grid-cols-[minmax(0,1fr)] gap-3 p-3">
      {heads.data && marks.data.length === 0 && <FirstSteps heads={heads.data} />}
      {next ? <NextTrip key={next.id} trip={next} {...given} /> : <MarkToday {...place} {...given} />}
      <GearGlance traceIds={next?.content.rods.flatMap(({ trace }) => trace?.id ?? [])} heads={heads.data ?? NONE} />
      {heads.data && marks.data.length > 0 && <FirstSteps heads={heads.data} />}
      {/* It comes late: farther up it would move what is about to be touched. */}
      {last && (
        <Suspense>
          <WhatChanged tripId={last.id} title="What the last trip taught" most={2} />
        </Suspense>
      )}
      <OfflineCopyNote taken={taken} />
    </div>
  )
}

type Given = { marks: readonly SavedMark[]; outfits: readonly SavedOutfit[]; nowMs: number }

function NextTrip({ trip: { id, content: trip }, marks, outfits, nowMs }: Given & { trip: SavedTrip }) {
  const show = useShow()
  const first = marks.find((mark) => mark.id === trip.marks[0]?.id)
  const timeZone = first?.content.timeZone ?? 'UTC'
  const { date, from, to } = trip
  const span = useMemo(() => tripSpan({ date, from, to }, timeZone), [date, from, to, timeZone])
  const day = useMemo(() => tripDay({ date, from, to }, timeZone), [date, from, to, timeZone])
  const visit = visitsOf(trip, timeZone).findLast(({ fromMs }) => fromMs <= Math.max(nowMs, span.fromMs))
  const mark = marks.find((each) => each.id === visit?.markId) ?? first
  const [rod] = trip.rods
  const stage = stageOf(trip)
  return (
    <section aria-label="Next trip" className="grid gap-2 rounded-lg border border-rule bg-sheet p-3">
      <header className="flex items-center gap-x-3">
        <div className="mr-auto min-w-0">
          <h1 className="text-xl font-bold" translate="no">
            {trip.name}
          </h1>
          <p className="text-sm text-quiet">
            {trip.date === today() ? 'today' : show.date(trip.date)}, {trip.from} to {trip.to} · {STAGE_WORDS[stage]}
          </p>
        </div>
        <Link to={`/trips/${id}`} className={buttonClass('plain')}>
          Plan
        </Link>
        <Link to={`/trips/${id}/fish`} className={buttonClass('strong')}>
          Fish
        </Link>
      </header>
      {mark ? (
        <WaterGlance
          mark={mark}
          day={day}
          nowMs={nowMs}
          span={span}
          hours={visit}
          trace={rod?.trace}
          outfit={outfits.find((each) => each.id === rod?.outfitId)}
        />
      ) : (
        <p>
          This trip has no mark yet.{' '}
          <Link to={`/trips/${id}`} className="underline">
            Choose one
          </Link>
        </p>
      )}
    </section>
  )
}

/** A mark with the trace that is fished there. */
type Place = { mark: SavedMark | undefined; head: SavedTraceHead | undefined }

/** Without a trip: the usual mark, with a trace that is made for it. */
function usualPlace(marks: readonly SavedMark[], heads: readonly SavedTraceHead[], trips: readonly SavedTrip[]): Place {
  const mark = usualMark(
    marks,
    trips,
    heads.map(({ content }) => content.markId),
  )
  return { mark, head: heads.find(({ content }) => content.markId === mark?.id) }
}

function MarkToday({ mark, head, outfits, nowMs }: Given & Place) {
  const timeZone = mark?.content.timeZone ?? 'UTC'
  const date = today()
  const day = useMemo(() => localDay(date, timeZone), [date, timeZone])
  const trace = useMemo(() => head && { id: head.id, revision: head.revision }, [head])
  return (
    <section aria-label="Today" className="grid gap-2 rounded-lg border border-rule bg-sheet p-3">
      <header className="flex flex-wrap items-center gap-x-3 gap-y-2">
        <h1 className="mr-auto text-xl font-bold">
          Today{mark && ' at '}
          {mark && <span translate="no">{mark.content.name}</span>}
        </h1>
        {mark && (
          <Link to={planAddress(head?.id, mark.id, date)} className={buttonClass('plain')}>
            The whole day
          </Link>
        )}
        <Link to="/trips/new" className={buttonClass('strong')}>
          Plan a trip
        </Link>
      </header>
      {mark ? (
        <WaterGlance
          mark={mark}
          day={day}
          nowMs={nowMs}
          span={undefined}
          trace={trace}
          outfit={outfits.find(({ id }) => id === head?.content.outfitId)}
        />
      ) : (
        <p className="text-quiet">Add a mark, and its tide, slack and dark hours are here.</p>
      )}
    </section>
  )
}

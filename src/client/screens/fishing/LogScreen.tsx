import { useMemo } from 'react'
import { Link, useParams, useSearchParams } from 'react-router'
import { tripDay, tripSpan } from '../../../core/plan/trip.ts'
import { QUANTITIES } from '../../../core/units/quantities.ts'
import type { SavedMark } from '../../api/documents.ts'
import { useTripLog } from '../../api/trips.ts'
import { TripChart } from '../../charts/TripChart.tsx'
import WhatChanged from '../../lessons/WhatChanged.tsx'
import { useDay } from '../../plan/useDay.ts'
import { usePreferences, useShow } from '../../settings/preferences.tsx'
import { tideUnit } from '../../settings/show.ts'
import { buttonClass, Sheet } from '../../ui/controls.tsx'
import { Failed, Fault, Loading } from '../../ui/states.tsx'
import { usePageTitle } from '../../ui/usePageTitle.ts'
import { useWidth } from '../../ui/useWidth.ts'
import { logAddress } from '../../words/addresses.ts'
import { EVENT_NAMES, happeningWords } from '../../words/tripWords.ts'
import { AfterTrip } from './AfterTrip.tsx'
import { LogFiles } from './LogFiles.tsx'
import { namedRods } from './namedRods.ts'
import { Photos } from './Photos.tsx'
import { SendingState } from './SendingState.tsx'
import { TripLog } from './TripLog.tsx'
import { useRodSetup } from './useRodSetup.ts'
import { useTripRecords } from './useTripRecords.ts'

type Records = NonNullable<ReturnType<typeof useTripRecords>['records']>

/** The log of a trip, on its tide; corrected, taken away as a file, and what it did to the gear. */
export default function LogScreen() {
  const { id = '' } = useParams()
  const { records, error, retry } = useTripRecords(id)
  usePageTitle('Log', records?.saved.content.name)
  if (error) return <Failed isPage what="The trip" error={error} onRetry={retry} />
  if (!records) return <Loading what="the trip" />
  return <Log key={id} {...records} />
}

function Log({ saved, marks, outfits, fish }: Records) {
  const { id, content: trip } = saved
  const [query] = useSearchParams()
  const only = (query.get('only')?.split(',') ?? []).filter((type): type is keyof typeof EVENT_NAMES => type in EVENT_NAMES)
  const show = useShow()
  const log = useTripLog(id)
  const mark = marks.find((each) => each.id === trip.marks[0]?.id)
  const [rod] = trip.rods
  const outfitOf = (outfitId: string | undefined) => outfits.find((each) => each.id === outfitId)
  const { links, hooks } = useRodSetup(rod?.trace, outfitOf(rod?.outfitId))
  const rods = namedRods(trip, outfits)
  const nameOf = (key: string) => links.find((link) => link.key === key)?.name ?? key.replaceAll('-', ' ')
  const caught = log.events.filter(({ what }) => what.type === 'fish').length
  return (
    <div className="mx-auto grid max-w-4xl grid-cols-[minmax(0,1fr)] gap-3 p-3">
      <header className="flex flex-wrap items-center gap-x-3 gap-y-2">
        <div className="mr-auto">
          <h1 className="text-xl font-bold" translate="no">
            {trip.name}
          </h1>
          <p className="text-sm text-quiet">
            {show.date(trip.date)}, {trip.from} to {trip.to} · {log.events.length} logged, {caught} fish
          </p>
        </div>
        <SendingState outbox={log.outbox} timeZone={mark?.content.timeZone} />
        <Link to={`/trips/${id}`} className={buttonClass('plain')}>
          Plan
        </Link>
        <Link to={`/trips/${id}/fish`} className={buttonClass('plain')}>
          Fish
        </Link>
      </header>
      {log.error && log.events.length === 0 && <Fault>{log.error.message}</Fault>}
      {mark && (
        <Sheet title="On the tide">
          <OnTheTide
            mark={mark}
            trip={trip}
            events={log.events.map((event) => ({
              id: event.id,
              timeMs: Date.parse(event.at),
              sign: SIGNS[event.what.type] ?? 'other',
              title: `${show.clock(Date.parse(event.at), mark.content.timeZone)} ${happeningWords(event.what, nameOf)}`,
            }))}
          />
        </Sheet>
      )}
      <AfterTrip trip={trip} events={log.events} />
      <Sheet title="What happened" aside={<LogFiles saved={saved} marks={marks} log={log} />}>
        {only.length > 0 && (
          <p>
            Only {only.map((type) => EVENT_NAMES[type].toLowerCase()).join(' and ')}.{' '}
            <Link to={logAddress(id)} className="text-tide underline">
              Show all
            </Link>
          </p>
        )}
        <TripLog log={log} rods={rods} links={links} hooks={hooks} fish={fish} timeZone={mark?.content.timeZone} only={only} />
      </Sheet>
      {/* It comes late: above the log it would move what is about to be touched. */}
      {trip.startedAt !== undefined && <WhatChanged tripId={id} title="What this trip changed" most={6} />}
      <Photos tripId={id} timeZone={mark?.content.timeZone} />
      {trip.notes && (
        <Sheet title="Notes">
          <p className="whitespace-pre-wrap" translate="no">
            {trip.notes}
          </p>
        </Sheet>
      )}
    </div>
  )
}

const SIGNS: Partial<Record<string, 'fish' | 'trouble'>> = {
  fish: 'fish',
  snag: 'trouble',
  break: 'trouble',
  biteOff: 'trouble',
  tangle: 'trouble',
  lost: 'trouble',
  dragged: 'trouble',
}

/** The height of the chart with its key: kept while it is calculated. */
const CHART_PX = 209

type TideProps = {
  mark: SavedMark
  trip: Records['saved']['content']
  events: Parameters<typeof TripChart>[0]['events']
}

function OnTheTide({ mark: { content: mark }, trip, events }: TideProps) {
  const show = useShow()
  const { units } = usePreferences()
  const { ref, width } = useWidth<HTMLDivElement>()
  const { date, from, to } = trip
  const { timeZone } = mark
  const localDay = useMemo(() => tripDay({ date, from, to }, timeZone), [date, from, to, timeZone])
  const { day, error } = useDay(mark, localDay)
  const { fromMs, toMs } = tripSpan(trip, timeZone)
  const unit = tideUnit(units)
  const times = events.map(({ timeMs }) => timeMs)
  if (error && !day) return <p>The tide cannot be loaded right now. {error.message}</p>
  if (!day)
    return (
      <p role="status" style={{ minHeight: CHART_PX }}>
        Calculating …
      </p>
    )
  return (
    <div ref={ref} style={{ minHeight: CHART_PX }}>
      {width > 0 && (
        <TripChart
          fromMs={Math.max(localDay.startMs, Math.min(fromMs, ...times))}
          toMs={Math.min(localDay.endMs, Math.max(toMs, ...times))}
          heights={day.heights}
          stream={day.stream}
          night={day.sky?.night ?? []}
          events={events}
          width={width}
          length={{ factor: QUANTITIES.length.units[unit], unit }}
          clock={(timeMs) => show.clock(timeMs, timeZone)}
          timeZone={timeZone}
          summary={`The tide from ${show.clock(fromMs, timeZone)} to ${show.clock(toMs, timeZone)} with ${events.length} events; they are listed below.`}
        />
      )}
      <p className="text-sm text-quiet">● fish, × trouble, | all else</p>
    </div>
  )
}

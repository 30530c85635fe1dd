import { useCallback, useDeferredValue, useMemo, useState } from 'react'
import { Link } from 'react-router'
import type { Mark } from '../../../core/documents/mark.ts'
import type { Day } from '../../../core/plan/dayAtMark.ts'
import { shapesOf } from '../../../core/plan/defaultBox.ts'
import type { Way } from '../../../core/plan/planDay.ts'
import type { Owned } from '../../../core/setup/owned.ts'
import type { Setup } from '../../../core/setup/setup.ts'
import { HOUR_MS } from '../../../core/time/durations.ts'
import type { LocalDay } from '../../../core/time/localDay.ts'
import type { QUANTITIES } from '../../../core/units/quantities.ts'
import type { SavedMark } from '../../api/documents.ts'
import { useCatalogue } from '../../catalogue/useCatalogue.ts'
import { TIDE_PAD, TideChart } from '../../charts/TideChart.tsx'
import { useDay } from '../../plan/useDay.ts'
import { useHolds } from '../../plan/useHolds.ts'
import { usePlan } from '../../plan/usePlan.ts'
import { usePreferences, useShow } from '../../settings/preferences.tsx'
import { tideUnit } from '../../settings/show.ts'
import { Button, Sheet } from '../../ui/controls.tsx'
import { Empty, Failed, Loading } from '../../ui/states.tsx'
import { useWidth } from '../../ui/useWidth.ts'
import { assumedWords } from '../../words/assumedWords.ts'
import { AtTime } from './AtTime.tsx'
import { DayFacts } from './DayFacts.tsx'
import { ExportPlan } from './ExportPlan.tsx'
import { FishAt } from './FishAt.tsx'
import { type Hours, SessionChoice } from './SessionChoice.tsx'
import { Timetable } from './Timetable.tsx'

const SCRUB_MS = 5 * 60_000

type Props = {
  mark: SavedMark
  localDay: LocalDay
  setup: Setup
  owned: readonly Owned[]
  box: Owned[]
  onBox: (shapes: string[]) => void
}

/** One day at one mark. */
export function DayAtMark(props: Props) {
  const { mark, localDay } = props
  const { day, isUntyped, error, retry, windError } = useDay(mark.content, localDay)
  if (isUntyped)
    return (
      <Empty title="No tides for this day">
        The tide table of {mark.content.name} has no high and low water on {localDay.date}.{' '}
        <Link to={`/water/marks/${mark.id}`} className="underline">
          Type them in
        </Link>
        .
      </Empty>
    )
  if (error && !day) return <Failed what="The tide" error={error} onRetry={() => retry()} />
  if (!day) return <Loading what="the tide" />
  return <KnownDay {...props} day={day} windFailed={windError !== null} />
}

function KnownDay({ mark, localDay, setup, owned, box, onBox, day, windFailed }: Props & { day: Day; windFailed: boolean }) {
  const { startMs, endMs, timeZone } = localDay
  const [atMs, setAtMs] = useState(() => firstTime(localDay))
  // Near slack water a line’s shape takes long: the slider does not wait for it.
  const laterMs = useDeferredValue(atMs)
  const show = useShow()
  const clock = useCallback((timeMs: number) => show.clock(timeMs, timeZone), [show, timeZone])
  const scrubTo = useCallback(
    (timeMs: number) => setAtMs(Math.min(endMs - SCRUB_MS, startMs + Math.round((timeMs - startMs) / SCRUB_MS) * SCRUB_MS)),
    [startMs, endMs],
  )
  const holds = useHolds(mark.id)
  const [way, setWay] = useState<Way>('fewest')
  const [hours, setHours] = useState<Hours>({ from: 0, to: 24 })
  const [fromMs, toMs] = [startMs + hours.from * HOUR_MS, hours.to === 24 ? endMs : startMs + hours.to * HOUR_MS]
  const {
    result: plan,
    error,
    share,
    isStopped,
    stop,
    start,
  } = usePlan({
    mark,
    holds,
    day,
    setup,
    owned: box,
    way,
    fromMs,
    toMs,
  })
  const changes = useMemo(() => plan?.changes.map(({ timeMs }) => timeMs) ?? [], [plan])
  const { content } = mark
  const { catalogue } = setup
  return (
    <>
      <AssumedNote mark={content} />
      <Sheet>
        <div className="flex flex-col gap-1">
          {!error && !isStopped && <FishAt plan={plan} withShape={shapesOf(box).length > 1} atMs={laterMs} clock={clock} />}
          <div className="flex flex-wrap items-baseline justify-between gap-x-6 max-sm:order-last">
            <DayFacts day={day} localDay={localDay} clock={clock} />
            {windFailed && <p className="text-sm text-watch">No wind forecast right now.</p>}
          </div>
          <DayChart
            place={content.name}
            day={day}
            localDay={localDay}
            changes={changes}
            atMs={atMs}
            clock={clock}
            onScrub={scrubTo}
          />
        </div>
      </Sheet>
      <div className="grid grid-cols-[minmax(0,1fr)] items-start gap-3 lg:grid-cols-[minmax(0,1fr)_minmax(0,1fr)]">
        <Sheet
          title="Sinkers"
          aside={<ExportPlan mark={content} trace={setup.trace} localDay={localDay} day={day} plan={plan} />}
        >
          <p className="mb-2 text-sm text-quiet">
            {content.name}, {catalogue.methods[content.method].name}, {catalogue.beds[content.bed].name}; times in {timeZone}.
            These are estimates. Trust your own observations and the local tide table first.
          </p>
          <BoxChoice owned={owned} box={box} onBox={onBox} />
          <SessionChoice way={way} onWay={setWay} hours={hours} onHours={setHours} counts={plan?.counts} />
          {error ? (
            <Failed what="The timetable" error={error} onRetry={start} />
          ) : isStopped ? (
            <p className="flex items-center gap-3 py-3">
              Stopped. <Button onClick={start}>Calculate</Button>
            </p>
          ) : !plan ? (
            <p role="status" className="flex items-center gap-3 py-3 text-quiet">
              Calculating the sinkers <progress value={share} aria-label="progress" />
              <Button onClick={stop}>Stop</Button>
            </p>
          ) : (
            <Timetable plan={plan} timeZone={timeZone} withShape={shapesOf(box).length > 1} atMs={laterMs} onScrub={scrubTo} />
          )}
        </Sheet>
        <AtTime mark={mark} holds={holds} day={day} setup={setup} plan={plan} owned={box} atMs={laterMs} clock={clock} />
      </div>
    </>
  )
}

/** What of a mark is assumed, on screen and in print. */
function AssumedNote({ mark }: { mark: Mark }) {
  const words = assumedWords(mark, useShow())
  if (words.length === 0) return null
  return (
    <p className="rounded-lg border border-watch bg-sheet px-3 py-2 text-sm">
      <strong className="text-watch">Assumed.</strong> {words.join(' ')}
    </p>
  )
}

/** Now, on the day itself; else the day’s middle. */
function firstTime({ startMs, endMs }: LocalDay): number {
  const now = Date.now()
  const first = now >= startMs && now < endMs ? now : (startMs + endMs) / 2
  return startMs + Math.floor((first - startMs) / SCRUB_MS) * SCRUB_MS
}

/** Which shapes of what is owned are in the box. */
function BoxChoice({ owned, box, onBox }: { owned: readonly Owned[]; box: readonly Owned[]; onBox: (shapes: string[]) => void }) {
  const show = useShow()
  const { sinkers } = useCatalogue()
  const chosen: string[] = shapesOf(box)
  if (owned.length === 0)
    return (
      <p className="mb-2 text-watch">
        There are no sinkers in your box.{' '}
        <Link to="/gear/box" className="underline">
          Add yours
        </Link>
        .
      </p>
    )
  return (
    <fieldset className="no-print mb-2 flex flex-wrap gap-x-4 text-sm">
      <legend className="sr-only">In the box</legend>
      {shapesOf(owned).map((shape) => {
        const sizes = owned.filter((each) => each.shape === shape).map(({ massKg }) => massKg)
        return (
          <label key={shape} className="flex min-h-8 items-center gap-1.5">
            <input
              type="checkbox"
              className="size-4.5"
              checked={chosen.includes(shape)}
              onChange={(event) => onBox(event.target.checked ? [...chosen, shape] : chosen.filter((each) => each !== shape))}
            />
            {sinkers[shape].name}
            <span className="text-quiet">
              {show.entered('mass', Math.min(...sizes))} to {show.entered('mass', Math.max(...sizes))}
            </span>
          </label>
        )
      })}
    </fieldset>
  )
}

type DayChartProps = {
  place: string
  day: Day
  localDay: LocalDay
  changes: number[]
  atMs: number
  clock: (timeMs: number) => string
  onScrub: (timeMs: number) => void
}

/** One value for all renders: the chart is drawn again when a value is a new one. */
const NONE: readonly never[] = []

/** The chart with the slider under it, both on one axis. */
function DayChart({ place, day, localDay: { date, timeZone, startMs, endMs }, changes, atMs, clock, onScrub }: DayChartProps) {
  const show = useShow()
  const { units } = usePreferences()
  const { ref, width } = useWidth<HTMLDivElement>()
  const summary = useMemo(() => {
    const fastest = day.stream.reduce((most, point) => (point.rateMperS > most.rateMperS ? point : most))
    const highs = day.tide?.turns.filter(({ timeMs, kind }) => kind === 'high' && timeMs >= startMs && timeMs < endMs)
    const highWater = highs ? `High water ${highs.map(({ timeMs }) => clock(timeMs)).join(' and ')}` : 'Tide unknown'
    return `Tide and current at ${place} through ${date}. ${highWater}; strongest current at ${clock(fastest.timeMs)} with ${show.computed('speed', fastest.rateMperS)}; slack at ${day.slacks.map(({ timeMs }) => clock(timeMs)).join(', ') || 'no time'}.`
  }, [place, date, day, startMs, endMs, clock, show])
  return (
    <div ref={ref} style={{ minHeight: 280 }}>
      {width > 0 && (
        <>
          <TideChart
            fromMs={startMs}
            toMs={endMs}
            heights={day.heights}
            turns={day.tide?.turns ?? NONE}
            stream={day.stream}
            slacks={day.slacks}
            winds={day.winds}
            night={day.sky?.night ?? NONE}
            dark={day.sky?.dark ?? NONE}
            changes={changes}
            atMs={atMs}
            width={width}
            lengthUnit={tideUnit(units)}
            speedUnit={units.speed as keyof typeof QUANTITIES.speed.units}
            clock={clock}
            timeZone={timeZone}
            onScrub={onScrub}
            summary={summary}
          />
          <div
            className="no-print flex items-center"
            style={{ paddingLeft: TIDE_PAD.left - 12, paddingRight: TIDE_PAD.right - 12 }}
          >
            <input
              type="range"
              className="h-9 w-full"
              aria-label="time of day"
              aria-valuetext={clock(atMs)}
              min={startMs}
              max={endMs - SCRUB_MS}
              step={SCRUB_MS}
              value={atMs}
              onChange={(event) => onScrub(Number(event.target.value))}
            />
          </div>
          <p className="no-print flex flex-wrap gap-x-4 text-sm text-quiet" style={{ paddingLeft: TIDE_PAD.left }}>
            <span>▼ change of sinker</span>
            <span>○ slack</span>
            {day.sky && <span>shaded: night, deeper where no moon is up</span>}
          </p>
        </>
      )}
    </div>
  )
}

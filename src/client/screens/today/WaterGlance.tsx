import { lazy, type ReactNode, Suspense } from 'react'
import { ErrorBoundary } from 'react-error-boundary'
import type { TripRod } from '../../../core/documents/trip.ts'
import { glanceAt } from '../../../core/plan/glance.ts'
import type { LocalDay } from '../../../core/time/localDay.ts'
import type { SavedMark, SavedOutfit } from '../../api/documents.ts'
import { useDay } from '../../plan/useDay.ts'
import { useTripSetup } from '../../plan/useTripSetup.ts'
import { useShow } from '../../settings/preferences.tsx'
import { durationWords } from '../../words/durationWords.ts'

// The sinkers of a day are worked out in a worker; the water is there before.
const SinkerNow = lazy(() => import('../../plan/SinkerNow.tsx'))

type Props = {
  mark: SavedMark
  day: LocalDay
  nowMs: number
  /** The hours of the trip; undefined where there is none. */
  span: { fromMs: number; toMs: number } | undefined
  /** The hours at this mark. */
  hours?: { fromMs: number; toMs: number } | undefined
  trace: TripRod['trace']
  outfit: SavedOutfit | undefined
}

/** Five facts of the water: the time, the tide, the sinker, slack and dark. */
export function WaterGlance({ mark, day: localDay, nowMs, span, hours, trace, outfit }: Props) {
  const show = useShow()
  const { day, isUntyped, error } = useDay(mark.content, localDay)
  const setup = useTripSetup(trace, outfit)
  // Before a trip, what will be when it begins.
  const atMs = span ? Math.min(Math.max(nowMs, span.fromMs), span.toMs) : nowMs
  const now = day && glanceAt(day, atMs, localDay.endMs)
  const clock = (timeMs: number) => show.clock(timeMs, localDay.timeZone)
  const turn = now?.nextTurn
  const unknown = error ? 'cannot be loaded right now' : isUntyped ? 'nothing in its table for this day' : 'unknown'
  return (
    <dl className="grid grid-cols-[5.5rem_minmax(0,1fr)] gap-y-2">
      {span && <Fact name={nowMs < span.fromMs ? 'begins' : 'left'}>{timeWords(span, nowMs, clock)}</Fact>}
      <Fact name="tide">
        {now?.tide && `${show.depth(now.tide.heightM)}, ${now.tide.isRising ? 'rising' : 'falling'}`}
        {now?.tide && turn && '; '}
        {turn && `${turn.kind} water ${clock(turn.timeMs)}, ${show.depth(turn.heightM)}`}
        {!now?.tide && !turn && (day || error || isUntyped ? unknown : 'Calculating …')}
      </Fact>
      <Fact name="sinker">
        {setup ? (
          <ErrorBoundary fallback={<p>The sinkers need a network once.</p>}>
            <Suspense fallback={<p>Calculating …</p>}>
              <SinkerNow mark={mark} day={localDay} setup={setup} atMs={atMs} hours={hours} isBrief />
            </Suspense>
          </ErrorBoundary>
        ) : trace ? (
          'Calculating …'
        ) : (
          'choose a rod and a trace'
        )}
      </Fact>
      <Fact name="slack">{now?.slackMs === undefined ? 'none later' : clock(now.slackMs)}</Fact>
      <Fact name="dark">
        {!day?.sky
          ? 'unknown without a position'
          : now?.night
            ? darkWords(now.night, now.dark, (hours) => hoursWords(hours, clock, atMs === nowMs))
            : 'not again'}
      </Fact>
    </dl>
  )
}

function Fact({ name, children }: { name: string; children: ReactNode }) {
  return (
    <>
      <dt className="pt-0.5 text-sm text-quiet">{name}</dt>
      <dd className="text-lg leading-snug">{children}</dd>
    </>
  )
}

type Hours = { fromMs?: number; toMs?: number }

/** When it is dark, and when no moon is up then; one phrase where both are the same hours. */
function darkWords(night: Hours, moonless: Hours | undefined, words: (hours: Hours) => string): string {
  if (!moonless) return `${words(night)}; a moon is up`
  return words(night) === words(moonless) ? `${words(night)}, without a moon` : `${words(night)}; no moon ${words(moonless)}`
}

/** Hours that have begun begin now, or, before a trip, with it. */
const hoursWords = ({ fromMs, toMs }: Hours, clock: (timeMs: number) => string, isNow: boolean): string =>
  fromMs === undefined
    ? toMs === undefined
      ? isNow
        ? 'now'
        : 'all the time'
      : `until ${clock(toMs)}`
    : toMs === undefined
      ? `from ${clock(fromMs)}`
      : `${clock(fromMs)} to ${clock(toMs)}`

const timeWords = ({ fromMs, toMs }: { fromMs: number; toMs: number }, nowMs: number, clock: (timeMs: number) => string) =>
  nowMs < fromMs
    ? `in ${durationWords(fromMs - nowMs)}`
    : nowMs < toMs
      ? `${durationWords(toMs - nowMs)}, until ${clock(toMs)}`
      : 'over'

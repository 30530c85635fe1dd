import { lazy, type ReactNode, Suspense, useMemo, useState } from 'react'
import { ErrorBoundary } from 'react-error-boundary'
import { Link } from 'react-router'
import type { TripEvent } from '../../../core/documents/observation.ts'
import { stageOf, type TripRod } from '../../../core/documents/trip.ts'
import type { Happening } from '../../../core/documents/tripEvent.ts'
import type { HoldNow } from '../../../core/plan/holdNow.ts'
import { DEFAULT_BAIT_MINUTES, rodNow, tripDay, tripSpan, visitsOf } from '../../../core/plan/trip.ts'
import type { SavedFish, SavedMark, SavedOutfit } from '../../api/documents.ts'
import { type SavedTrip, useTripLog } from '../../api/trips.ts'
import { OfflineCopyNote } from '../../documents/OfflineCopyNote.tsx'
import type { OfflineCopy } from '../../documents/useOfflineCopy.ts'
import { useTripStage } from '../../documents/useTripStage.ts'
import { toast } from '../../regional/toast.ts'
import { useShow } from '../../settings/preferences.tsx'
import { buttonClass, Select } from '../../ui/controls.tsx'
import { Fault } from '../../ui/states.tsx'
import { useNow } from '../../ui/useNow.ts'
import { happeningWords } from '../../words/tripWords.ts'
import { AskPanel } from './AskPanel.tsx'
import { BigButton } from './BigButton.tsx'
import { BreakPanel } from './BreakPanel.tsx'
import { ClockNote } from './ClockNote.tsx'
import { FishPanel } from './FishPanel.tsx'
import { MarkWater } from './MarkWater.tsx'
import { namedRods } from './namedRods.ts'
import { type Asked, RodButtons } from './RodButtons.tsx'
import { SendingState } from './SendingState.tsx'
import { TripAlarms } from './TripAlarms.tsx'
import { TripLog } from './TripLog.tsx'
import { useRodSetup } from './useRodSetup.ts'

// The plan of the day runs in a worker; the buttons are there before.
const SinkerNow = lazy(() => import('../../plan/SinkerNow.tsx'))
const ChangeNow = lazy(() => import('./ChangeNow.tsx'))

type Props = {
  saved: SavedTrip
  marks: readonly SavedMark[]
  outfits: readonly SavedOutfit[]
  fish: readonly SavedFish[]
  taken: OfflineCopy
}

export function OnTheTrip({ saved, marks, outfits, fish, taken }: Props) {
  const { trip, start, end, goOn } = useTripStage(saved)
  const show = useShow()
  const log = useTripLog(saved.id)
  const { events, error, outbox, clock } = log
  const nowMs = useNow(10_000) - clock.correctionMs
  const [rodId, setRodId] = useState(trip.rods[0]?.id)
  const [chosenMarkId, setMarkId] = useState<string>()
  const [nextSinkerMs, setNextSinkerMs] = useState<number>()
  const [asked, setAsked] = useState<Asked>()
  const rod = trip.rods.find(({ id }) => id === rodId)
  const first = marks.find(({ id }) => id === trip.marks[0]?.id)
  const timeZone = first?.content.timeZone ?? 'UTC'
  const { date, from, to } = trip
  const day = useMemo(() => tripDay({ date, from, to }, timeZone), [date, from, to, timeZone])
  const span = useMemo(() => tripSpan({ date, from, to }, timeZone), [date, from, to, timeZone])
  // On another day than its own, the water of its beginning is looked at.
  const atMs = nowMs >= day.startMs && nowMs <= day.endMs ? nowMs : span.fromMs
  const visit = visitsOf(trip, timeZone).findLast(({ fromMs }) => fromMs <= atMs)
  const markId = chosenMarkId ?? visit?.markId ?? first?.id
  const mark = marks.find(({ id }) => id === markId)
  const outfit = outfits.find(({ id }) => id === rod?.outfitId)
  const on = rod && rodNow(rod, events)
  const { setup, told, links, hooks } = useRodSetup(on?.trace, outfit)
  const stage = stageOf(trip)
  const rods = namedRods(trip, outfits)
  const linkName = (key: string) => links.find((link) => link.key === key)?.name ?? key.replaceAll('-', ' ')
  const happened = (what: Happening, now: HoldNow | undefined) => {
    if (!rod) return
    const isSeen = what.type === 'held' || what.type === 'dragged'
    const seen =
      isSeen && now && markId !== undefined
        ? { markId, method: now.method, shape: now.shape, massKg: now.massKg, demand: now.demand, held: what.type === 'held' }
        : undefined
    const event = log.add(
      {
        at: clock.nowIso(),
        rod: rod.id,
        what,
        ...(markId === undefined ? {} : { markId }),
        ...(on?.trace ? { trace: on.trace } : {}),
        ...(outfit ? { outfit: { id: outfit.id, revision: outfit.revision } } : {}),
        ...(on?.sinkerKg === undefined ? {} : { sinkerKg: on.sinkerKg }),
        ...(told ? { told: { ...told, ...(now ? { holds: now.chance } : {}) } } : {}),
      },
      seen,
    )
    setAsked(undefined)
    navigator.vibrate?.(30)
    toast(`${happeningWords(what, linkName)} is logged.`, {
      action: { label: 'Undo', onClick: () => log.takeBack(event) },
      // The log below offers the same for good.
      duration: 4_000,
    })
  }
  const isOver = stage === 'ended'
  return (
    <MarkWater mark={mark} day={day} setup={setup} sinkerKg={on?.sinkerKg} nowMs={atMs}>
      {({ water, holdNow }) => (
        <div className="mx-auto grid max-w-xl grid-cols-[minmax(0,1fr)] gap-3 p-3">
          <header className="flex flex-wrap items-center gap-x-3">
            <h1 className="mr-auto text-xl font-bold" translate="no">
              {mark?.content.name ?? trip.name}
            </h1>
            <span className="text-sm text-quiet tabular-nums">{show.clock(nowMs, mark?.content.timeZone)}</span>
            <SendingState outbox={outbox} timeZone={mark?.content.timeZone} />
          </header>
          {error && events.length === 0 && <Fault>{error.message}</Fault>}
          {trip.marks.length > 1 && (
            <Select
              aria-label="Mark"
              className="min-h-13 w-full rounded-md border border-edge bg-well px-2"
              value={markId}
              onChoose={setMarkId}
              choices={trip.marks.map(({ id }) => ({
                value: id,
                text: marks.find((each) => each.id === id)?.content.name ?? 'a deleted mark',
                isName: true,
              }))}
            />
          )}
          {trip.rods.length === 0 && (
            <p>
              This trip has no rods yet.{' '}
              <Link to={`/trips/${saved.id}`} className="underline">
                Add them to the plan
              </Link>
              .
            </p>
          )}
          {trip.rods.length > 1 && (
            <div className="grid grid-cols-2 gap-2" role="group" aria-label="Rods">
              {trip.rods.map((each) => (
                <RodTab
                  key={each.id}
                  rod={each}
                  name={rods.find(({ id }) => id === each.id)?.name ?? ''}
                  events={events}
                  isChosen={each.id === rodId}
                  onChoose={() => setRodId(each.id)}
                />
              ))}
            </div>
          )}
          {stage === 'planned' && <BigButton name="Start the trip" onClick={start} />}
          {!isOver && <ClockNote aheadMs={clock.aheadMs} onFollow={log.followServerClock} />}
          {rod && on && !isOver && (
            <>
              <RodButtons
                on={on}
                baitMinutes={trip.baitMinutes}
                nowMs={nowMs}
                onHappened={(what) => happened(what, holdNow)}
                onAsk={setAsked}
              />
              <TripAlarms
                mark={mark}
                water={water}
                day={day}
                nowMs={nowMs}
                span={span}
                sinkerMs={nextSinkerMs}
                castMs={firstCastMs(trip.rods, events)}
                baitMinutes={trip.baitMinutes ?? DEFAULT_BAIT_MINUTES}
              />
              {setup && (
                <Later what="What to change">
                  <ChangeNow
                    setup={setup}
                    gearIds={trip.gearIds}
                    events={events.filter(({ rod: each }) => each === rod.id)}
                    nowMs={nowMs}
                  />
                </Later>
              )}
              {mark && setup && (
                <section aria-label="Sinker now" className="rounded-lg border border-rule bg-sheet p-3">
                  <Later what="The sinker of now">
                    <SinkerNow mark={mark} day={day} setup={setup} atMs={atMs} hours={visit} onNext={setNextSinkerMs} />
                  </Later>
                </section>
              )}
            </>
          )}
          {asked === 'fish' && rod && (
            <FishPanel
              fish={fish}
              target={fish.find(({ id }) => id === trip.fishId)}
              hooks={hooks}
              onSave={(what) => happened(what, holdNow)}
              onClose={() => setAsked(undefined)}
            />
          )}
          {asked === 'break' && (
            <BreakPanel
              setup={setup}
              links={links}
              onSave={(what) => happened(what, holdNow)}
              onClose={() => setAsked(undefined)}
            />
          )}
          {asked && asked !== 'fish' && asked !== 'break' && rod && (
            <AskPanel asked={asked} rod={rod} onSave={(what) => happened(what, holdNow)} onClose={() => setAsked(undefined)} />
          )}
          <section aria-label="What happened" className="rounded-lg border border-rule bg-sheet p-3">
            <TripLog log={log} rods={rods} links={links} hooks={hooks} fish={fish} timeZone={mark?.content.timeZone} />
          </section>
          <OfflineCopyNote taken={taken} />
          <div className="flex flex-wrap justify-between gap-2">
            <Link to={`/trips/${saved.id}`} className={buttonClass('quiet')}>
              Plan
            </Link>
            <Link to={`/trips/${saved.id}/log`} className={buttonClass(isOver ? 'strong' : 'quiet')}>
              Log
            </Link>
            {stage === 'underWay' && <BigButton name="End the trip" onClick={end} />}
            {isOver && <BigButton name="Go on fishing" onClick={goOn} />}
          </div>
        </div>
      )}
    </MarkWater>
  )
}

/** A part that loads after the buttons. Without a network it may not: the buttons work on. */
const Later = ({ what, children }: { what: string; children: ReactNode }) => (
  <ErrorBoundary fallback={<p className="text-sm text-quiet">{what} needs a network once.</p>}>
    <Suspense fallback={<p role="status">Calculating …</p>}>{children}</Suspense>
  </ErrorBoundary>
)

/** Of the rods in the water, the cast that was first: its bait is the oldest. */
const firstCastMs = (rods: readonly TripRod[], events: readonly TripEvent[]): number | undefined => {
  const casts = rods.flatMap((rod) => rodNow(rod, events).castMs ?? [])
  return casts.length > 0 ? Math.min(...casts) : undefined
}

type TabProps = { rod: TripRod; name: string; events: readonly TripEvent[]; isChosen: boolean; onChoose: () => void }

function RodTab({ rod, name, events, isChosen, onChoose }: TabProps) {
  const show = useShow()
  const { sinkerKg, counts } = rodNow(rod, events)
  const facts = [
    sinkerKg === undefined ? undefined : show.entered('mass', sinkerKg),
    counts.fish === undefined ? undefined : `${counts.fish} fish`,
  ]
  return <BigButton name={name} below={facts.filter(Boolean).join(' · ')} isChosen={isChosen} onClick={onChoose} />
}

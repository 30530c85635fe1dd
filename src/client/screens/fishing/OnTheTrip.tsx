import { lazy, type ReactNode, Suspense, useState } from 'react'
import { ErrorBoundary } from 'react-error-boundary'
import { Link } from 'react-router'
import type { TripEvent } from '../../../core/documents/observation.ts'
import { hookPieces } from '../../../core/documents/pieces.ts'
import { stageOf, type TripRod } from '../../../core/documents/trip.ts'
import type { Happening } from '../../../core/documents/tripEvent.ts'
import { DEFAULT_BAIT_MINUTES, rodNow } from '../../../core/plan/trip.ts'
import { pieceName } from '../../../core/setup/names.ts'
import { MINUTE_MS } from '../../../core/time/durations.ts'
import type { SavedFish, SavedMark, SavedOutfit } from '../../api/documents.ts'
import { newId } from '../../api/newId.ts'
import { type SavedTrip, useTripEvents } from '../../api/trips.ts'
import { useSave } from '../../documents/useSave.ts'
import { toast } from '../../regional/toast.ts'
import { useShow } from '../../settings/preferences.tsx'
import { buttonClass, Select } from '../../ui/controls.tsx'
import { Fault } from '../../ui/states.tsx'
import { useNow } from '../../ui/useNow.ts'
import { happeningName, happeningWords } from '../../words/tripWords.ts'
import { type AskedFew, AskPanel } from './AskPanel.tsx'
import { BigButton } from './BigButton.tsx'
import { BreakPanel } from './BreakPanel.tsx'
import { FishPanel } from './FishPanel.tsx'
import { SendingState } from './SendingState.tsx'
import { TripLog } from './TripLog.tsx'
import { useRodSetup } from './useRodSetup.ts'

// The plan of the day runs in a worker; the buttons are there before.
const SinkerNow = lazy(() => import('../../plan/SinkerNow.tsx'))
const ChangeNow = lazy(() => import('./ChangeNow.tsx'))

const ONE_TOUCH = ['bite', 'missed', 'held', 'dragged', 'biteOff', 'tangle'] as const
type Asked = 'fish' | 'break' | AskedFew

type Props = { saved: SavedTrip; marks: readonly SavedMark[]; outfits: readonly SavedOutfit[]; fish: readonly SavedFish[] }

export function OnTheTrip({ saved, marks, outfits, fish }: Props) {
  const { content: trip } = saved
  const show = useShow()
  const nowMs = useNow(10_000)
  const { events, error, outbox } = useTripEvents(saved.id)
  const [rodId, setRodId] = useState(trip.rods[0]?.id)
  const [markId, setMarkId] = useState(trip.markIds[0])
  const [asked, setAsked] = useState<Asked>()
  const rod = trip.rods.find(({ id }) => id === rodId)
  const mark = marks.find(({ id }) => id === markId)
  const outfit = outfits.find(({ id }) => id === rod?.outfitId)
  const on = rod && rodNow(rod, events)
  const { setup, told, links } = useRodSetup(on?.trace, outfit)
  const stage = stageOf(trip)
  const { save, isSaving } = useSave({ kind: 'trips', saved })
  const setStage = (change: { startedAt?: string; endedAt?: string | undefined }) =>
    save({ content: { ...trip, ...change }, onto: saved.revision })
  const rodName = (id: string) =>
    outfits.find((each) => each.id === trip.rods.find((each_) => each_.id === id)?.outfitId)?.content.name ?? ''
  const linkName = (key: string) => links.find((link) => link.key === key)?.name ?? key.replaceAll('-', ' ')
  const log = (what: Happening) => {
    if (!rod) return
    const event: TripEvent = {
      formatVersion: 1,
      kind: 'event',
      id: newId(),
      at: new Date().toISOString(),
      tripId: saved.id,
      rod: rod.id,
      what,
      ...(markId === undefined ? {} : { markId }),
      ...(on?.trace ? { trace: on.trace } : {}),
      ...(outfit ? { outfit: { id: outfit.id, revision: outfit.revision } } : {}),
      ...(on?.sinkerKg === undefined ? {} : { sinkerKg: on.sinkerKg }),
      ...(told ? { told } : {}),
    }
    setAsked(undefined)
    navigator.vibrate?.(30)
    void outbox.add(event)
    toast(`${happeningWords(what, linkName)} is logged.`, { action: { label: 'Undo', onClick: () => undo(event) } })
  }
  const undo = ({ id, markId: at }: TripEvent) =>
    void outbox.add({
      formatVersion: 1,
      kind: 'retraction',
      id: newId(),
      at: new Date().toISOString(),
      of: id,
      tripId: saved.id,
      ...(at === undefined ? {} : { markId: at }),
    })
  const castMinutes = on?.castMs === undefined ? undefined : Math.max(0, Math.floor((nowMs - on.castMs) / MINUTE_MS))
  const baitMinutes = trip.baitMinutes ?? DEFAULT_BAIT_MINUTES
  const isOver = stage === 'ended'
  return (
    <div className="mx-auto grid max-w-xl grid-cols-[minmax(0,1fr)] gap-3 p-3">
      <header className="flex flex-wrap items-center gap-x-3">
        <h1 className="mr-auto text-xl font-bold" translate="no">
          {mark?.content.name ?? trip.name}
        </h1>
        <SendingState outbox={outbox} nowMs={nowMs} timeZone={mark?.content.timeZone} />
      </header>
      {error && events.length === 0 && <Fault>{error.message}</Fault>}
      {trip.markIds.length > 1 && (
        <Select
          aria-label="Mark"
          className="min-h-13 w-full rounded-md border border-edge bg-well px-2"
          value={markId}
          onChoose={setMarkId}
          choices={trip.markIds.map((id) => ({
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
              name={rodName(each.id)}
              events={events}
              isChosen={each.id === rodId}
              onChoose={() => setRodId(each.id)}
            />
          ))}
        </div>
      )}
      {stage === 'planned' && (
        <BigButton name="Start the trip" disabled={isSaving} onClick={() => setStage({ startedAt: new Date().toISOString() })} />
      )}
      {rod && !isOver && (
        <>
          <BigButton
            name={happeningName('cast')}
            className="min-h-24! text-lg"
            below={
              castMinutes === undefined ? undefined : `last ${castMinutes} min ago · ${rebaitWords(baitMinutes - castMinutes)}`
            }
            onClick={() => log({ type: 'cast' })}
          />
          <div className="grid grid-cols-3 gap-2">
            {ONE_TOUCH.slice(0, 2).map((type) => (
              <BigButton key={type} name={happeningName(type)} onClick={() => log({ type })} />
            ))}
            <BigButton name={happeningName('fish')} onClick={() => setAsked('fish')} />
            {ONE_TOUCH.slice(2, 4).map((type) => (
              <BigButton key={type} name={happeningName(type)} onClick={() => log({ type })} />
            ))}
            <BigButton name={happeningName('snag')} onClick={() => setAsked('snag')} />
            <BigButton name={happeningName('break')} onClick={() => setAsked('break')} />
            {ONE_TOUCH.slice(4).map((type) => (
              <BigButton key={type} name={happeningName(type)} onClick={() => log({ type })} />
            ))}
            <BigButton
              name="Sinker"
              below={on?.sinkerKg === undefined ? undefined : show.entered('mass', on.sinkerKg)}
              onClick={() => setAsked('sinker')}
            />
            <BigButton name="Bait" below={on?.bait} onClick={() => setAsked('bait')} />
            <BigButton name="Trace" onClick={() => setAsked('trace')} />
            <BigButton name={happeningName('lost')} onClick={() => setAsked('lost')} />
            <BigButton name={happeningName('retied')} onClick={() => log({ type: 'retied' })} />
            <BigButton name={happeningName('seen')} onClick={() => setAsked('seen')} />
          </div>
          {setup && (
            <Later what="What to change">
              <ChangeNow setup={setup} events={events.filter(({ rod: each }) => each === rod.id)} nowMs={nowMs} />
            </Later>
          )}
          {mark && setup && (
            <section aria-label="Sinker now" className="rounded-lg border border-rule bg-sheet p-3">
              <Later what="The sinker of now">
                <SinkerNow mark={mark} date={trip.date} setup={setup} atMs={nowMs} />
              </Later>
            </section>
          )}
        </>
      )}
      {asked === 'fish' && rod && (
        <FishPanel
          fish={fish}
          target={fish.find(({ id }) => id === trip.fishId)}
          hooks={setup ? hookPieces(setup.trace).map((hook) => ({ id: hook.id, name: pieceName(hook) })) : []}
          onSave={log}
          onClose={() => setAsked(undefined)}
        />
      )}
      {asked === 'break' && <BreakPanel links={links} onSave={log} onClose={() => setAsked(undefined)} />}
      {asked && asked !== 'fish' && asked !== 'break' && rod && (
        <AskPanel asked={asked} rod={rod} onSave={log} onClose={() => setAsked(undefined)} />
      )}
      <section aria-label="What happened" className="rounded-lg border border-rule bg-sheet p-3">
        <TripLog events={events} rodName={rodName} linkName={linkName} timeZone={mark?.content.timeZone} onUndo={undo} />
      </section>
      <div className="flex flex-wrap justify-between gap-2">
        <Link to={`/trips/${saved.id}`} className={buttonClass('quiet')}>
          Plan
        </Link>
        {stage === 'underWay' && (
          <BigButton name="End the trip" disabled={isSaving} onClick={() => setStage({ endedAt: new Date().toISOString() })} />
        )}
        {isOver && <BigButton name="Go on fishing" disabled={isSaving} onClick={() => setStage({ endedAt: undefined })} />}
      </div>
    </div>
  )
}

/** A part that loads after the buttons. Without a network it may not: the buttons work on. */
const Later = ({ what, children }: { what: string; children: ReactNode }) => (
  <ErrorBoundary fallback={<p className="text-sm text-quiet">{what} needs a network once.</p>}>
    <Suspense fallback={<p role="status">Calculating …</p>}>{children}</Suspense>
  </ErrorBoundary>
)

const rebaitWords = (minutes: number): string => (minutes > 0 ? `re-bait in ${minutes}` : 'time to re-bait')

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

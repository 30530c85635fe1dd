import { useQueries } from '@tanstack/react-query'
import { type ReactNode, useMemo } from 'react'
import { Link } from 'react-router'
import { hookPieces } from '../../../core/documents/pieces.ts'
import type { Trip } from '../../../core/documents/trip.ts'
import { baitsFor, DEFAULT_BAIT_MINUTES, tripCautions, tripDay, tripSpan } from '../../../core/plan/trip.ts'
import { HOUR_MS } from '../../../core/time/durations.ts'
import { revisionQuery, type SavedMark, type SavedOutfit } from '../../api/documents.ts'
import { useReadiness } from '../../api/tied.ts'
import { useTraceHeads } from '../../api/useTraceHeads.ts'
import { useDay } from '../../plan/useDay.ts'
import { useShow } from '../../settings/preferences.tsx'
import { Button, Sheet } from '../../ui/controls.tsx'
import { Loading } from '../../ui/states.tsx'
import { planAddress } from '../../words/addresses.ts'
import { CAUTION_WORDS } from '../../words/tripWords.ts'

type Props = {
  trip: Trip
  marks: readonly SavedMark[]
  outfits: readonly SavedOutfit[]
  onChange: (change: Partial<Trip>) => void
}

/** What the application proposes for a trip, each with its reason: hours, traces, what to tie, bait, and what to take care of. */
export function Proposals(props: Props) {
  const mark = props.marks.find(({ id }) => id === props.trip.marks[0]?.id)
  return (
    <Sheet title="Proposed">
      <ul className="grid gap-2">
        {mark && <Water key={`${mark.id} ${props.trip.date}`} mark={mark} trip={props.trip} />}
        <Traces {...props} />
        <Baits trip={props.trip} timeZone={mark?.content.timeZone} />
        <Cautions trip={props.trip} mark={mark} />
      </ul>
    </Sheet>
  )
}

function Proposal({ title, children }: { title: string; children: ReactNode }) {
  return (
    <li className="border-rule not-first:border-t not-first:pt-2">
      <strong>{title}</strong>
      <div>{children}</div>
    </li>
  )
}

function Water({ mark, trip }: { mark: SavedMark; trip: Trip }) {
  const show = useShow()
  const { timeZone } = mark.content
  const { fromMs, toMs } = tripSpan(trip, timeZone)
  const day = useMemo(
    () => tripDay({ date: trip.date, from: trip.from, to: trip.to }, timeZone),
    [trip.date, trip.from, trip.to, timeZone],
  )
  const { day: water, isUntyped, windError } = useDay(mark.content, day)
  const clock = (timeMs: number) => show.clock(timeMs, timeZone)
  const within = ({ timeMs }: { timeMs: number }) => timeMs >= fromMs && timeMs <= toMs
  if (isUntyped) return <Proposal title="Tide">The tide table of this mark has nothing for this day.</Proposal>
  if (!water) return <Loading what="the water of the day" />
  const turns = water.tide?.turns.filter(within) ?? []
  const slacks = water.slacks.filter(within)
  const wind = water.winds.filter(within)
  const strongest = Math.max(0, ...wind.map(({ speedMperS }) => speedMperS))
  return (
    <Proposal title="Tide and hours">
      {turns.length > 0 && (
        <p>
          {turns
            .map(
              ({ timeMs, kind, heightM }) => `${kind === 'high' ? 'High' : 'Low'} water ${clock(timeMs)}, ${show.depth(heightM)}`,
            )
            .join('; ')}
          .
        </p>
      )}
      <p>{slacks.length > 0 ? `Slack ${slacks.map(({ timeMs }) => clock(timeMs)).join(', ')}.` : 'No slack in these hours.'}</p>
      <p className="text-sm text-quiet">
        {wind.length > 0
          ? `Wind up to ${show.computed('speed', strongest)} by the forecast.`
          : windError
            ? 'No wind forecast right now; the plan assumes none.'
            : 'No wind is known; the plan assumes none.'}
      </p>
    </Proposal>
  )
}

function Traces({ trip, outfits, onChange }: Props) {
  const heads = useTraceHeads().data ?? []
  const readiness = useReadiness()
  const taken = new Set(trip.rods.map(({ trace }) => trace?.id))
  const suits = heads
    .filter(({ content }) => content.markId !== null && trip.marks.some(({ id }) => id === content.markId))
    .filter(({ content }) => outfits.some(({ id }) => id === content.outfitId))
  const open = suits.filter(({ id }) => !taken.has(id)).slice(0, 4)
  return (
    <Proposal title="Traces">
      {suits.length === 0 && <p className="text-quiet">No trace is made for these marks yet.</p>}
      <ul className="grid gap-1">
        {suits
          .filter(({ id }) => taken.has(id))
          .map(({ id, content }) => {
            const ready = readiness.get(id)?.ready ?? 0
            return (
              <li key={id} className="flex flex-wrap items-center gap-x-3">
                <span className="mr-auto" translate="no">
                  {content.name}
                </span>
                <span className={ready < 2 ? 'text-watch' : 'text-quiet'}>{ready} ready</span>
                <Link to={`/traces/${id}/build`} className="underline">
                  Tie more
                </Link>
              </li>
            )
          })}
        {open.map((head) => (
          <li key={head.id} className="flex flex-wrap items-center gap-x-3">
            <span className="mr-auto">
              <span translate="no">{head.content.name}</span>{' '}
              <span className="text-sm text-quiet">made for this mark, {readiness.get(head.id)?.ready ?? 0} ready</span>
            </span>
            <Button
              onClick={() =>
                head.content.outfitId !== null &&
                onChange({
                  rods: [
                    ...trip.rods,
                    { id: head.id, outfitId: head.content.outfitId, trace: { id: head.id, revision: head.revision } },
                  ],
                })
              }
            >
              Take it
            </Button>
          </li>
        ))}
      </ul>
      {trip.rods[0]?.trace && (
        <Link to={planAddress(trip.rods[0].trace.id, trip.marks[0]?.id, trip.date)} className="underline">
          Sinkers of the day
        </Link>
      )}
    </Proposal>
  )
}

function Baits({ trip, timeZone }: { trip: Trip; timeZone: string | undefined }) {
  const traces = useHooks(trip)
  const { fromMs, toMs } = tripSpan(trip, timeZone ?? 'UTC')
  const hours = (toMs - fromMs) / HOUR_MS
  const minutes = trip.baitMinutes ?? DEFAULT_BAIT_MINUTES
  if (traces === 0) return null
  const baits = baitsFor(traces, hours, minutes)
  return (
    <Proposal title="Bait">
      <p>
        {baits} baits: {traces} {traces === 1 ? 'hook' : 'hooks'}, one every {minutes} minutes for {hours} hours, and a quarter in
        reserve.
      </p>
      <p className="text-sm text-quiet">Half a fish makes two baits.</p>
    </Proposal>
  )
}

/** Hooks on all rods together, of the traces that are loaded. */
function useHooks({ rods }: Trip): number {
  const traces = rods.flatMap(({ trace }) => trace ?? [])
  const designs = useQueries({ queries: traces.map(({ id, revision }) => revisionQuery('traces', id, revision)) })
  return designs.reduce((sum, { data }) => sum + (data ? hookPieces(data.content.trace).length : 0), 0)
}

function Cautions({ trip, mark }: { trip: Trip; mark: SavedMark | undefined }) {
  const cautions = tripCautions(mark?.content.markKind, trip.people.length)
  return (
    <Proposal title="Take care">
      <p>{cautions.map((each) => CAUTION_WORDS[each]).join(' ')}</p>
    </Proposal>
  )
}

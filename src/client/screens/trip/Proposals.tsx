import type { ReactNode } from 'react'
import { Link } from 'react-router'
import type { Trip } from '../../../core/documents/trip.ts'
import type { HoursToFish } from '../../../core/plan/hoursToFish.ts'
import { clockIn } from '../../../core/time/localDay.ts'
import type { SavedMark, SavedOutfit } from '../../api/documents.ts'
import { useReadiness } from '../../api/tied.ts'
import { useTraceHeads } from '../../api/useTraceHeads.ts'
import { RunningOut } from '../../documents/RunningOut.tsx'
import { useShow } from '../../settings/preferences.tsx'
import { Button, Sheet } from '../../ui/controls.tsx'
import { planAddress } from '../../words/addresses.ts'

type Props = {
  trip: Trip
  marks: readonly SavedMark[]
  outfits: readonly SavedOutfit[]
  /** What is said of the hours at each mark. */
  visits: readonly { id: string; title: string; lines: readonly string[]; wayBack: string | undefined }[]
  /** Hours that have something for them at the first mark; undefined while its day is not known. */
  hours: { timeZone: string; choices: readonly HoursToFish[] } | undefined
  /** Why the water is not there, or that it comes. */
  waterNote: string | undefined
  baitLines: readonly string[]
  cautions: readonly string[]
  onChange: (change: Partial<Trip>) => void
}

/** What the application proposes for a trip, each with its reason: hours, sinkers, traces, what to tie, bait, and what to take care of. */
export function Proposals(props: Props) {
  const { visits, waterNote, baitLines, cautions } = props
  return (
    <Sheet title="Proposed">
      <ul className="grid gap-2">
        {waterNote && (
          <li role="status" className="text-quiet">
            {waterNote}
          </li>
        )}
        <Hours {...props} />
        {visits.map(({ id, title, lines, wayBack }) => (
          <Proposal key={id} title={title}>
            {lines.map((line) => (
              <p key={line} className={line === wayBack ? 'font-semibold text-watch' : ''}>
                {line}
              </p>
            ))}
          </Proposal>
        ))}
        <Traces {...props} />
        {baitLines.length > 0 && (
          <Proposal title="Bait">
            {baitLines.map((line) => (
              <p key={line}>{line}</p>
            ))}
          </Proposal>
        )}
        <Proposal title="Running out">
          <RunningOut />
        </Proposal>
        <Proposal title="Take care">
          <p>{cautions.join(' ')}</p>
        </Proposal>
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

const WHY: Record<HoursToFish['why'], string> = {
  rising: 'the tide up to high water',
  falling: 'the tide down from high water',
  slack: 'both sides of slack',
  dark: 'dark without a moon',
}

/** Other hours of the day, each with what speaks for it. */
function Hours({ hours, trip, onChange }: Props) {
  const show = useShow()
  if (!hours || hours.choices.length === 0) return null
  const wall = (timeMs: number) => clockIn(hours.timeZone, timeMs)
  return (
    <Proposal title="Hours">
      <ul className="grid gap-1">
        {hours.choices.map(({ why, atMs, fromMs, toMs }) => {
          const isChosen = wall(fromMs) === trip.from && wall(toMs) === trip.to
          return (
            <li key={why} className="flex flex-wrap items-center gap-x-3">
              <span className="mr-auto">
                {show.clock(fromMs, hours.timeZone)} to {show.clock(toMs, hours.timeZone)}{' '}
                <span className="text-sm text-quiet">
                  {WHY[why]}
                  {why !== 'dark' && `, ${show.clock(atMs, hours.timeZone)}`}
                </span>
              </span>
              {isChosen ? (
                <span className="text-quiet">chosen</span>
              ) : (
                <Button onClick={() => onChange({ from: wall(fromMs), to: wall(toMs) })}>
                  Use these
                  <span className="sr-only">
                    , {wall(fromMs)} to {wall(toMs)}
                  </span>
                </Button>
              )}
            </li>
          )
        })}
      </ul>
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

import { useQuery } from '@tanstack/react-query'
import { lazy, Suspense } from 'react'
import { Link, useParams } from 'react-router'
import { ageDays, remindersOf, TIED_STATES } from '../../../core/documents/tied.ts'
import { outfitsQuery, revisionQuery } from '../../api/documents.ts'
import { type SavedTied, tiedByCodeQuery, useOldDays } from '../../api/tied.ts'
import { MiniReach } from '../../charts/MiniReach.tsx'
import { useTiedState } from '../../documents/useTiedState.ts'
import { useShow } from '../../settings/preferences.tsx'
import { today } from '../../settings/today.ts'
import { buttonClass, Sheet } from '../../ui/controls.tsx'
import { Failed, Fault, Loading } from '../../ui/states.tsx'
import { usePageTitle } from '../../ui/usePageTitle.ts'
import { ageWords, REMINDER_WORDS, TIED_STATE_NAMES } from '../../words/tiedWords.ts'

const OnTheWater = lazy(() => import('../../moments/OnTheWater.tsx'))

/** What a tied trace is, for whoever reads the code on its label with a phone. */
export default function TiedCardScreen() {
  const { code = '' } = useParams()
  const tied = useQuery(tiedByCodeQuery(code.toLowerCase()))
  usePageTitle(tied.data?.content.name ?? 'Tied trace')
  if (tied.error && !tied.data) return <Failed isPage what="This tied trace" error={tied.error} onRetry={() => tied.refetch()} />
  if (!tied.data) return <Loading what="the tied trace" />
  return <Card saved={tied.data} />
}

function Card({ saved }: { saved: SavedTied }) {
  const show = useShow()
  const { content, binnedAt } = saved
  const oldDays = useOldDays()
  const { setState, isSaving } = useTiedState(saved)
  const facts: [string, string | undefined][] = [
    ['tied', `${show.date(content.tiedOn)}, ${ageWords(ageDays(content.tiedOn, today()))}`],
    ['by', content.tiedBy],
    ['kept in', content.keptIn],
    ['differs', content.differs],
    ['substitutes', content.substitutes?.map(({ part, used }) => `${used} for ${part}`).join(', ')],
    ['notes', content.notes],
  ]
  return (
    <article className="mx-auto grid max-w-2xl grid-cols-[minmax(0,1fr)] gap-3 p-3 sm:px-6">
      <header>
        <h1 className="text-xl font-bold" translate="no">
          {content.name}
        </h1>
        <p className="text-quiet">{TIED_STATE_NAMES[content.state]}</p>
      </header>
      {binnedAt !== null && <Fault>This tied trace is in the trash.</Fault>}
      {remindersOf(content, today(), oldDays).map((reminder) => (
        <p key={reminder} className="rounded-lg border border-watch bg-sheet px-3 py-2">
          <strong>{REMINDER_WORDS[reminder].name}</strong>: {REMINDER_WORDS[reminder].why}
        </p>
      ))}
      <fieldset className="grid grid-cols-2 gap-2 sm:grid-cols-5">
        <legend className="sr-only">State</legend>
        {TIED_STATES.map((state) => (
          <button
            key={state}
            type="button"
            aria-pressed={content.state === state}
            disabled={isSaving || binnedAt !== null}
            className={`min-h-14 rounded-md border px-2 ${content.state === state ? 'border-tide bg-tide font-semibold text-on-tide' : 'border-edge bg-sheet'}`}
            onClick={() => setState(state)}
          >
            {TIED_STATE_NAMES[state]}
          </button>
        ))}
      </fieldset>
      <Sheet title="This trace">
        <dl className="grid grid-cols-[6rem_minmax(0,1fr)] gap-x-3 gap-y-1">
          {facts.map(
            ([name, value]) =>
              value && (
                <div key={name} className="contents">
                  <dt className="text-quiet">{name}</dt>
                  <dd translate="no">{value}</dd>
                </div>
              ),
          )}
        </dl>
      </Sheet>
      <Design traceId={content.traceId} revision={content.traceRevision} />
    </article>
  )
}

/** The design at the revision that it was tied by. */
function Design({ traceId, revision }: { traceId: string; revision: number }) {
  const design = useQuery(revisionQuery('traces', traceId, revision))
  const outfits = useQuery(outfitsQuery)
  const error = (design.data ? null : design.error) ?? (outfits.data ? null : outfits.error)
  if (error)
    return <Failed what="Its design" error={error} onRetry={() => void Promise.all([design.refetch(), outfits.refetch()])} />
  if (!design.data || !outfits.data) return <Loading what="its design" />
  const { content } = design.data
  const outfit = outfits.data.find(({ id }) => id === content.outfitId)?.content
  return (
    <>
      <Sheet
        title="Design"
        aside={
          <span className="flex gap-2">
            <Link to={`/traces/${traceId}`} className={buttonClass('quiet')}>
              Bench
            </Link>
            <Link to={`/traces/${traceId}/build`} className={buttonClass('quiet')}>
              Build sheet
            </Link>
          </span>
        }
      >
        <p>
          <span translate="no">{content.trace.name}</span>, <span className="text-quiet">revision {revision}</span>
        </p>
        {outfit && <MiniReach trace={content.trace} outfit={outfit} />}
      </Sheet>
      {outfit ? (
        <Suspense fallback={<Loading what="the verdicts" />}>
          <OnTheWater content={content} outfit={outfit} />
        </Suspense>
      ) : (
        <p className="text-quiet">The outfit of this design is in the trash.</p>
      )}
    </>
  )
}

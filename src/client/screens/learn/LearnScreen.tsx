import { useQuery } from '@tanstack/react-query'
import { Link, useParams } from 'react-router'
import { writeLessonsCsv } from '../../../files/lessonsCsv.ts'
import { pullsQuery } from '../../api/observations.ts'
import { useCatalogue } from '../../catalogue/useCatalogue.ts'
import { Statements } from '../../lessons/Statements.tsx'
import type { KnownLessons } from '../../lessons/useLessons.ts'
import { useNames } from '../../lessons/useNames.ts'
import { useShow } from '../../settings/preferences.tsx'
import { Button, Sheet } from '../../ui/controls.tsx'
import { download } from '../../ui/download.ts'
import { usePageTitle } from '../../ui/usePageTitle.ts'
import { linkKindName, TOPICS, type Topic } from '../../words/lessonWords.ts'
import { BreaksPage } from './BreaksPage.tsx'
import { CalibrationPage } from './CalibrationPage.tsx'
import { FishPage } from './FishPage.tsx'
import { HoldingPage } from './HoldingPage.tsx'
import { LearnFrame } from './LearnFrame.tsx'
import { LossesPage } from './LossesPage.tsx'
import { PriorFields } from './PriorFields.tsx'
import { WeakLinkPage } from './WeakLinkPage.tsx'

const PAGES: Record<Topic, (props: { known: KnownLessons }) => React.ReactNode> = {
  breaks: BreaksPage,
  losses: LossesPage,
  'weak-link': WeakLinkPage,
  holding: HoldingPage,
  fish: FishPage,
  calibration: CalibrationPage,
}

/** What logged trips teach: the largest surprises first, then a page for each part. */
export default function LearnScreen() {
  const { topic } = useParams()
  const page = TOPICS.find(({ id }) => id === topic)
  usePageTitle('Learned', page?.name)
  if (topic !== undefined && !page) return <NoTopic />
  const Page = page ? PAGES[page.id] : InShort
  return <LearnFrame title={page?.name ?? 'What your trips teach'}>{(known) => <Page known={known} />}</LearnFrame>
}

const NoTopic = () => (
  <div>
    <div role="alert">
      <h1>This page does not exist.</h1>
    </div>
    <Link to="/learn" className="text-tide underline">
      What your trips teach
    </Link>
  </div>
)

function InShort({ known }: { known: KnownLessons }) {
  const { sums } = known
  const show = useShow()
  const [first, last] = [sums.trips[0], sums.trips.at(-1)]
  const all = sums.counts.find(({ by }) => by === 'all')?.counts
  return (
    <>
      <p className="text-quiet">
        {sums.trips.length === 1 ? 'One trip' : `${sums.trips.length} trips`}
        {first && last && first.date !== last.date ? `, ${show.date(first.date)} to ${show.date(last.date)}` : ''}
        {all && `: ${all.hours.toFixed(0)} rod hours, ${all.casts} casts, ${all.fish} fish`}. When you correct a log, the lessons
        change.
      </p>
      <Statements known={known} />
      <ul className="grid gap-2 sm:grid-cols-2">
        {TOPICS.map(({ id, name, about }) => (
          <li key={id} className="rounded-lg border border-rule bg-sheet p-3">
            <Link to={`/learn/${id}`} className="font-semibold text-tide underline">
              {name}
            </Link>
            <p className="text-sm text-quiet">{about}</p>
          </li>
        ))}
      </ul>
      <PriorFields />
      <LeftOut />
      <TakeAway known={known} />
    </>
  )
}

/** What does not count, and why. */
function LeftOut() {
  const catalogue = useCatalogue()
  const discarded = (useQuery(pullsQuery).data ?? []).filter((pull) => pull.discarded !== undefined)
  return (
    <Sheet title="Left out">
      <p className="text-sm text-quiet">
        A test that was discarded with its reason, and an event that was removed from its log, do not count here.
      </p>
      {discarded.length > 0 && (
        <ul className="mt-1 grid gap-0.5">
          {discarded.map(({ id, connection, material, discarded: reason }) => (
            <li key={id}>
              {linkKindName(catalogue, `knot ${connection} ${material}`)}: <span translate="no">{reason}</span>
            </li>
          ))}
        </ul>
      )}
    </Sheet>
  )
}

function TakeAway({ known: { sums, lessons } }: { known: KnownLessons }) {
  const catalogue = useCatalogue()
  const nameOf = useNames()
  const save = () =>
    download(
      'what-trips-teach.csv',
      'text/csv',
      writeLessonsCsv(lessons, {
        link: (kind) => linkKindName(catalogue, kind),
        value: (by, value) => nameOf(by, value).text,
        trips: (at) => at.map((place) => sums.trips[place]?.name ?? '').join('; '),
      }),
    )
  return (
    <p>
      <Button onClick={save}>Save it all as a table (CSV)</Button>
    </p>
  )
}

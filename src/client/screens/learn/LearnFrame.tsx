import type { ReactNode } from 'react'
import { NavLink } from 'react-router'
import { JobProgress } from '../../jobs/JobProgress.tsx'
import type { KnownLessons } from '../../lessons/useLessons.ts'
import { useLessons } from '../../lessons/useLessons.ts'
import { Empty, Failed, Loading } from '../../ui/states.tsx'
import { TOPICS } from '../../words/lessonWords.ts'

const linkClass = ({ isActive }: { isActive: boolean }) =>
  `rounded-md px-2 py-1.5 ${isActive ? 'bg-sheet font-semibold' : 'text-quiet underline hover:bg-sheet'}`

/** A page of what was learned: where one is, how far the counting is, and what is known so far. */
export function LearnFrame({ title, children }: { title: string; children: (known: KnownLessons) => ReactNode }) {
  const { known, error, retry, job } = useLessons()
  const waiting = known?.sums.waiting ?? 0
  return (
    <div className="mx-auto grid w-full max-w-4xl grid-cols-[minmax(0,1fr)] gap-3">
      <h1 className="text-xl font-bold">{title}</h1>
      <nav aria-label="What was learned" className="no-print flex flex-wrap gap-x-1">
        <NavLink to="/learn" end className={linkClass}>
          In short
        </NavLink>
        {TOPICS.map(({ id, name }) => (
          <NavLink key={id} to={`/learn/${id}`} className={linkClass}>
            {name}
          </NavLink>
        ))}
      </nav>
      {waiting > 0 && (
        <p role="status" className="text-quiet">
          {waiting === 1 ? 'One trip is' : `${waiting} trips are`} still being counted. What is below has the others.
        </p>
      )}
      {error && !known ? (
        <Failed what="What was learned" error={error} onRetry={retry} />
      ) : known ? (
        known.sums.trips.length === 0 ? (
          <Empty title="Nothing to learn from yet">Start a trip and log what happens. One touch is enough.</Empty>
        ) : (
          children(known)
        )
      ) : job.isRunning ? (
        <JobProgress share={job.share} onStop={job.stop} />
      ) : (
        <Loading what="your trips" />
      )}
    </div>
  )
}

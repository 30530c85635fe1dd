import { Link } from 'react-router'
import { useShow } from '../settings/preferences.tsx'
import { Sheet } from '../ui/controls.tsx'
import { StatementWords } from './Statements.tsx'
import { useLessons } from './useLessons.ts'
import { useNames } from './useNames.ts'

/** What earlier trips taught of some marks: what stands out there, and how often they snag. Nothing where none was fished. */
export function LearnedAtMarks({ markIds }: { markIds: readonly string[] }) {
  const { known } = useLessons()
  const nameOf = useNames()
  const show = useShow()
  if (!known) return null
  const { lessons } = known
  const about = lessons.statements.filter(({ lesson }) => markIds.includes(lesson.value))
  const snags = lessons.losses.find(({ event }) => event === 'snags')?.rows ?? []
  const fished = markIds.flatMap((id) => {
    const row = snags.find(({ by, value }) => by === 'mark' && value === id)
    return row ? [{ id, row, held: lessons.holding.find(({ value }) => value === id) }] : []
  })
  if (fished.length === 0) return null
  return (
    <Sheet
      title="What trips taught here"
      aside={
        <Link to="/learn" className="text-sm text-tide underline">
          All that was learned
        </Link>
      }
    >
      <ul className="grid gap-1">
        {about.map((statement) => (
          <li key={`${statement.kind} ${statement.lesson.value}`}>
            <StatementWords statement={statement} />
          </li>
        ))}
        {fished.map(({ id, row: { counts, perHour }, held }) => (
          <li key={id}>
            <span translate="no">{nameOf('mark', id).text}</span>: {counts.snags} snags and {counts.fish} fish in{' '}
            {show.number(counts.hours, 0)} hours of one rod, {show.number(perHour.mean, 2)} snags an hour
            {held ? `; sinkers held ${held.happened} times of ${held.of}` : ''}.
          </li>
        ))}
      </ul>
    </Sheet>
  )
}

import type { ReactNode } from 'react'
import type { Dimension } from '../../../core/lessons/counts.ts'
import {
  CALLED_BETTER,
  type Catch,
  calledByChance,
  type Loss,
  type Rated,
  type RateLesson,
} from '../../../core/lessons/lessons.ts'
import type { Sums } from '../../../core/lessons/sums.ts'
import { EVENTS_OF, TripLinks } from '../../lessons/TripLinks.tsx'
import { useNames } from '../../lessons/useNames.ts'
import { useShow } from '../../settings/preferences.tsx'
import { DIMENSION_WORDS } from '../../words/lessonWords.ts'
import { LessonRow } from './LessonRow.tsx'

type Props<E extends Loss | Catch> = {
  rated: Rated<E>
  dimensions: readonly Dimension[]
  trips: Sums['trips']
  /** The events in words. */
  words: string
  /** Said under the rows of a dimension. */
  note?: (by: Dimension) => ReactNode
}

/** A rate by each dimension, with its range, and whether it is above the others. */
export function RatedRows<E extends Loss | Catch>({ rated, dimensions, trips, words, note }: Props<E>) {
  const nameOf = useNames()
  const show = useShow()
  const { event, all, rows, comparisons } = rated
  const most = Math.max(0.01, ...rows.map(({ perHour }) => perHour.high))
  const rate = (value: number) => show.number(value, 2)
  const figure = ({ perHour, counts }: RateLesson) =>
    `${counts[event]} in ${show.number(counts.hours, 0)} h: ${rate(perHour.mean)} an hour`
  return (
    <>
      {all && (
        <p className="mt-2">
          In all {figure(all)} ({rate(all.perHour.low)} to {rate(all.perHour.high)})
          {all.perCast && `, one in ${show.number(1 / all.perCast.mean, 0)} casts`}.
        </p>
      )}
      <p className="text-sm text-quiet">
        Hours of one rod, with 90 % ranges. Nothing is called more or fewer under a probability of {show.percent(CALLED_BETTER)}.{' '}
        {comparisons} comparisons were looked at, so about {Math.round(calledByChance(comparisons))} of them would look like a
        difference by chance.
      </p>
      {dimensions.map((by) => {
        const of = rows.filter((row) => row.by === by).toSorted((a, b) => b.perHour.mean - a.perHour.mean)
        if (of.length === 0) return null
        return (
          <section key={by} className="mt-3" aria-label={DIMENSION_WORDS[by]}>
            <h3 className="text-sm font-semibold first-letter:uppercase">{DIMENSION_WORDS[by]}</h3>
            <ul>
              {of.map((row) => (
                <LessonRow
                  key={row.value}
                  name={nameOf(by, row.value)}
                  interval={row.perHour}
                  most={most}
                  isStrong={row.aboveOthers !== undefined && row.aboveOthers >= CALLED_BETTER}
                  figure={figure(row)}
                  aside={<Compared row={row} words={words} />}
                >
                  <TripLinks trips={trips} at={row.trips} only={EVENTS_OF[event]} />
                </LessonRow>
              ))}
            </ul>
            {note?.(by)}
          </section>
        )
      })}
    </>
  )
}

function Compared({ row: { aboveOthers }, words }: { row: RateLesson; words: string }) {
  const show = useShow()
  if (aboveOthers === undefined) return null
  const surest = Math.max(aboveOthers, 1 - aboveOthers)
  if (surest < CALLED_BETTER) return null
  return (
    <span>
      {aboveOthers > 0.5 ? 'more' : 'fewer'} {words} than the others,{' '}
      {show.percent(Math.min(surest, 0.999), surest > 0.99 ? 1 : 0)}
    </span>
  )
}

import { isStated, type Lessons, type Loss, type PredictedLesson, type RateLesson } from './lessons.ts'

/** What stands out of all that was logged, each with its evidence; the surest first. */
export type Statement =
  | { kind: 'breaksMore'; lesson: PredictedLesson }
  | { kind: 'holdsLess'; lesson: PredictedLesson }
  | { kind: 'losesMore'; event: Loss; lesson: RateLesson; others: { events: number; hours: number } }
  | { kind: 'catchesMore'; event: 'bites' | 'fish'; lesson: RateLesson; others: { events: number; hours: number } }

/** So many are read. */
export const MOST_STATEMENTS = 5

/**
 * The largest surprises. Each question allows for how many were looked at, so that by chance alone one crew in twenty reads something
 * that is not so. Of what a mark loses only the first is told: snags, or what they took.
 */
export function statementsOf({ breaks, holding, losses, fish }: Lessons): Statement[] {
  const found: { statement: Statement; doubt: number }[] = []
  for (const lesson of breaks)
    if (lesson.standsOut) found.push({ statement: { kind: 'breaksMore', lesson }, doubt: lesson.atLeast })
  for (const lesson of holding)
    if (lesson.standsOut) found.push({ statement: { kind: 'holdsLess', lesson }, doubt: lesson.atMost })
  const marksTold = new Set<string>()
  for (const { event, all, rows } of losses) {
    const marks = rows.filter(({ by }) => by === 'mark')
    for (const lesson of marks) {
      if (!all || lesson.aboveOthers === undefined || marksTold.has(lesson.value)) continue
      if (!isStated(lesson.aboveOthers, marks.length * losses.length)) continue
      marksTold.add(lesson.value)
      found.push({
        statement: { kind: 'losesMore', event, lesson, others: othersOf(event, all, lesson) },
        doubt: 1 - lesson.aboveOthers,
      })
    }
  }
  const compared = fish.reduce((sum, { comparisons }) => sum + comparisons, 0)
  for (const { event, all, rows } of fish) {
    if (event === 'missed' || !all) continue
    for (const lesson of rows)
      if (lesson.aboveOthers !== undefined && isStated(lesson.aboveOthers, compared))
        found.push({
          statement: { kind: 'catchesMore', event, lesson, others: othersOf(event, all, lesson) },
          doubt: 1 - lesson.aboveOthers,
        })
  }
  return found
    .toSorted((a, b) => a.doubt - b.doubt)
    .slice(0, MOST_STATEMENTS)
    .map(({ statement }) => statement)
}

const othersOf = (event: Loss | 'bites' | 'fish', all: RateLesson, { counts }: RateLesson) => ({
  events: all.counts[event] - counts[event],
  hours: all.counts.hours - counts.hours,
})

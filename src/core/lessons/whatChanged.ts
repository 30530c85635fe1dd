import type { Lessons, Loss, PredictedLesson, RateLesson } from './lessons.ts'
import { type Statement, statementsOf } from './statements.ts'

/** What is thought now that was not before, or no longer. */
export type Change =
  | { kind: 'standsOut' | 'noLonger'; statement: Statement }
  | { kind: 'breaks' | 'holding'; before: PredictedLesson | undefined; after: PredictedLesson }
  | { kind: 'losses'; event: Loss; before: RateLesson | undefined; after: RateLesson }

const keyOf = (statement: Statement): string =>
  [statement.kind, 'event' in statement ? statement.event : '', statement.lesson.value].join(' ')

/** What more trips changed: what stands out or no longer does, then the breaks, holds and losses that were added, each by its place. */
export function whatChanged(before: Lessons, after: Lessons): Change[] {
  const [then, now] = [statementsOf(before), statementsOf(after)]
  const isIn = (among: readonly Statement[], statement: Statement) => among.some((each) => keyOf(each) === keyOf(statement))
  const predicted = (kind: 'breaks' | 'holding'): Change[] =>
    after[kind].flatMap((lesson): Change[] => {
      const known = before[kind].find(({ value }) => value === lesson.value)
      // A kind that could have broken and did not says little by itself.
      const isNew = kind === 'breaks' ? lesson.happened > (known?.happened ?? 0) : lesson.of > (known?.of ?? 0)
      return isNew ? [{ kind, before: known, after: lesson }] : []
    })
  const losses = after.losses.flatMap(({ event, rows }) => {
    const known = before.losses.find((each) => each.event === event)?.rows ?? []
    return rows.flatMap((lesson): Change[] => {
      const was = known.find(({ by, value }) => by === lesson.by && value === lesson.value)
      return lesson.by === 'mark' && lesson.counts.hours > (was?.counts.hours ?? 0)
        ? [{ kind: 'losses', event, before: was, after: lesson }]
        : []
    })
  })
  const standsOut = now.filter((each) => !isIn(then, each))
  // What stands out now says its own numbers.
  const isTold = (change: Change) => 'after' in change && standsOut.some(({ lesson }) => lesson.value === change.after.value)
  return [
    ...standsOut.map((statement) => ({ kind: 'standsOut' as const, statement })),
    ...then.filter((each) => !isIn(now, each)).map((statement) => ({ kind: 'noLonger' as const, statement })),
    ...[...predicted('breaks'), ...predicted('holding'), ...losses].filter((change) => !isTold(change)),
  ]
}

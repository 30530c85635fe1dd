import type { Dimension } from '../core/lessons/counts.ts'
import type { Catch, Lessons, Loss, PredictedLesson, Rated } from '../core/lessons/lessons.ts'
import { writeCsv } from './writeCsv.ts'

const COLUMNS = [
  'what',
  'by',
  'of',
  'events',
  'cases',
  'hours',
  'casts',
  'expected',
  'mean',
  'low',
  'high',
  'chance',
  'trips',
] as const
type Row = Partial<Record<(typeof COLUMNS)[number], string | number>>

/** What things are called. */
type Names = {
  link: (kind: string) => string
  value: (by: Dimension, value: string) => string
  trips: (at: readonly number[]) => string
}

/** Everything that was learned as a table. `chance`: of so much by chance alone, or that a rate is above the others. */
export function writeLessonsCsv(lessons: Lessons, names: Names): string {
  const predicted = (
    what: string,
    by: string,
    rows: readonly PredictedLesson[],
    tail: 'atLeast' | 'atMost',
    nameOf: (value: string) => string,
  ) =>
    rows.map(
      (row): Row => ({
        what,
        by,
        of: nameOf(row.value),
        events: row.happened,
        cases: row.of,
        expected: rounded(row.expected),
        chance: rounded(row[tail]),
        trips: names.trips(row.trips),
      }),
    )
  const rates = (rated: readonly Rated<Loss | Catch>[]) =>
    rated.flatMap(({ event, all, rows }) =>
      [...(all ? [all] : []), ...rows].map(
        ({ by, value, counts, perHour, aboveOthers, trips }): Row => ({
          what: `${event} per hour`,
          by,
          of: by === 'all' ? '' : names.value(by, value),
          events: counts[event],
          hours: rounded(counts.hours),
          casts: counts.casts,
          ...figures(perHour),
          chance: aboveOthers === undefined ? '' : rounded(aboveOthers),
          trips: names.trips(trips),
        }),
      ),
    )
  const bins = (what: string, of: Lessons['calibration']['breaks']) =>
    of.bins.map(
      (bin): Row => ({
        what,
        by: 'predicted',
        of: rounded(bin.said),
        events: bin.happened,
        cases: bin.of,
        ...figures(bin.share),
      }),
    )
  const table: Row[] = [
    ...predicted('breaks', 'link', lessons.breaks, 'atLeast', names.link),
    ...predicted('holds', 'mark', lessons.holding, 'atMost', (id) => names.value('mark', id)),
    ...rates(lessons.losses),
    ...rates(lessons.fish),
    ...lessons.hooked.map(
      ({ hook, lip, deep, foul, deepShare }): Row => ({
        what: 'hooked deep',
        by: 'hook',
        of: names.value('hook', hook),
        events: deep,
        cases: lip + deep + foul,
        ...figures(deepShare),
      }),
    ),
    ...bins('breaks predicted', lessons.calibration.breaks),
    ...bins('holds predicted', lessons.calibration.holds),
  ]
  return writeCsv(
    table.map((row) => ({ ...Object.fromEntries(COLUMNS.map((column) => [column, ''])), ...row })),
    COLUMNS,
  )
}

const rounded = (value: number) => Number(value.toPrecision(6))
const figures = ({ mean, low, high }: { mean: number; low: number; high: number }) => ({
  mean: rounded(mean),
  low: rounded(low),
  high: rounded(high),
})

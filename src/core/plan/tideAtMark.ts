import type { Mark } from '../documents/mark.ts'
import type { Turn } from '../physics/tide/height.ts'
import { heightsBetween, turnsOfTable } from '../physics/tide/heightTable.ts'
import { rangesOfTurns, TIDE_HOURS, type TideSpan } from '../physics/tide/tideSpan.ts'
import { DAY_MS, HOUR_MS, MINUTE_MS } from '../time/durations.ts'

type TideMark = Pick<Mark, 'highWaterAfterMin' | 'heights'>
type Between = { fromMs: number; toMs: number }

/** A port's turn this close to the end of a table is the same turn as the table's. */
const SAME_TURN_MS = 3 * HOUR_MS
const TIDE_MS = TIDE_HOURS * HOUR_MS
const STEP_S = 360
/** A table this long has springs and neaps in it. */
const SPRING_TO_NEAP_MS = 14 * DAY_MS
/** The neap range over the largest that is known, of a shorter table. Nominal, ours. */
const NEAP_SHARE = 0.5

/** The tide at a mark: the port's, so much later, and in its place the mark's own printed table where that reaches. */
export function tideAtMark(mark: TideMark, port: TideSpan): TideSpan {
  const lateMs = mark.highWaterAfterMin * MINUTE_MS
  const later = <T extends { timeMs: number }>(points: readonly T[]) =>
    points.map((point) => ({ ...point, timeMs: point.timeMs + lateMs }))
  const here = { ...port, heights: later(port.heights), turns: later(port.turns) }
  return tableRuns(mark).reduce(overlaid, here)
}

/**
 * The tide at a mark by its own table alone, for a day with at least two of its high and low waters; undefined for any other. Before the
 * first and after the last the nearest tide is repeated. A table of under two weeks counts as springs: the current is then never too weak.
 */
export function tideByTable(mark: TideMark, { fromMs, toMs }: Between): TideSpan | undefined {
  const table = tableRuns(mark).find((run) => run.filter(({ timeMs }) => timeMs >= fromMs && timeMs <= toMs).length >= 2)
  if (!table) return undefined
  const shifted = (turns: readonly Turn[], tides: number) =>
    turns.map((turn) => ({ ...turn, timeMs: turn.timeMs + tides * TIDE_MS }))
  const ends = [-3, -2, -1].flatMap((tides) => shifted(table.slice(0, 2), tides))
  const turns = [...ends, ...table, ...[1, 2, 3].flatMap((tides) => shifted(table.slice(-2), tides))]
  const ranges = rangesOfTurns(turns)
  const springRangeM = Math.max(...ranges)
  const isLong = table.at(-1)!.timeMs - table[0]!.timeMs >= SPRING_TO_NEAP_MS
  return {
    turns,
    heights: heightsBetween(turns, fromMs, toMs + STEP_S * 1_000, STEP_S),
    springRangeM,
    neapRangeM: isLong ? Math.min(...ranges) : NEAP_SHARE * springRangeM,
  }
}

function tableRuns({ heights = [] }: TideMark): Turn[][] {
  const rows = heights.map(({ at, heightM }) => ({ timeMs: Date.parse(at), heightM })).toSorted((a, b) => a.timeMs - b.timeMs)
  const read = turnsOfTable(rows)
  return 'runs' in read ? read.runs : []
}

function overlaid(here: TideSpan, table: readonly Turn[]): TideSpan {
  const [first, last] = [table[0]!.timeMs, table.at(-1)!.timeMs]
  return {
    ...here,
    turns: [
      ...here.turns.filter(({ timeMs }) => timeMs < first - SAME_TURN_MS),
      ...table,
      ...here.turns.filter(({ timeMs }) => timeMs > last + SAME_TURN_MS),
    ],
    heights: here.heights.map((point) =>
      point.timeMs < first || point.timeMs > last ? point : heightsBetween(table, point.timeMs, point.timeMs, 1)[0]!,
    ),
  }
}

import type { Mark } from '../documents/mark.ts'
import type { Turn } from '../physics/tide/height.ts'
import { heightsBetween, turnsOfTable } from '../physics/tide/heightTable.ts'
import type { TideSpan } from '../physics/tide/tideSpan.ts'
import { MINUTE_MS } from '../time/durations.ts'

/** A port's turn this close to the end of a table is the same turn as the table's. */
const SAME_TURN_MS = 3 * 3_600_000

/** The tide at a mark: the port's, so much later, and in its place the mark's own printed table where that reaches. */
export function tideAtMark(mark: Pick<Mark, 'highWaterAfterMin' | 'heights'>, port: TideSpan): TideSpan {
  const lateMs = mark.highWaterAfterMin * MINUTE_MS
  const later = <T extends { timeMs: number }>(points: readonly T[]) =>
    points.map((point) => ({ ...point, timeMs: point.timeMs + lateMs }))
  const here = { ...port, heights: later(port.heights), turns: later(port.turns) }
  const table = tableTurns(mark)
  return table.length < 2 ? here : overlaid(here, table)
}

function tableTurns({ heights = [] }: Pick<Mark, 'heights'>): Turn[] {
  const rows = heights.map(({ at, heightM }) => ({ timeMs: Date.parse(at), heightM })).toSorted((a, b) => a.timeMs - b.timeMs)
  const read = turnsOfTable(rows)
  return 'turns' in read ? read.turns : []
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

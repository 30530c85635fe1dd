import { CoreError } from '../../errors.ts'
import type { HeightPoint, Turn } from './height.ts'

/** A high or low water of a printed table. */
export type TableRow = { timeMs: number; heightM: number }

/** Turns of a table: its rows in order, each a high or a low by its neighbours. Which of them do not alternate is returned instead. */
export function turnsOfTable(rows: readonly TableRow[]): { turns: Turn[] } | { notTurning: number } {
  for (let i = 1; i < rows.length - 1; i += 1)
    if (!((rows[i]!.heightM - rows[i - 1]!.heightM) * (rows[i]!.heightM - rows[i + 1]!.heightM) > 0)) return { notTurning: i }
  return {
    turns: rows.map((row, i) => {
      const beside = rows[i === 0 ? 1 : i - 1]
      return { ...row, kind: !beside || row.heightM > beside.heightM ? 'high' : 'low' }
    }),
  }
}

/**
 * Heights between the high and low waters of a table, each half wave a cosine, at even steps.
 * @throws CoreError 'out-of-range' where the table does not reach.
 * Source: the cosine rule of tide tables. Valid: between one turn and the next, where the tide is near to even.
 */
export function heightsBetween(turns: readonly TableRow[], fromMs: number, toMs: number, stepS: number): HeightPoint[] {
  if (!((turns[0]?.timeMs ?? Number.NaN) <= fromMs && (turns.at(-1)?.timeMs ?? Number.NaN) >= toMs))
    throw new CoreError('out-of-range', 'The table of heights does not reach over that day', {})
  const points: HeightPoint[] = []
  let next = 1
  for (let timeMs = fromMs; timeMs <= toMs; timeMs += stepS * 1_000) {
    while (turns[next]!.timeMs < timeMs) next += 1
    const [a, b] = [turns[next - 1]!, turns[next]!]
    const share = (timeMs - a.timeMs) / (b.timeMs - a.timeMs)
    points.push({ timeMs, heightM: (a.heightM + b.heightM) / 2 + ((a.heightM - b.heightM) / 2) * Math.cos(Math.PI * share) })
  }
  return points
}

import { CoreError } from '../../errors.ts'
import { HOUR_MS } from '../../time/durations.ts'
import type { HeightPoint, Turn } from './height.ts'

/** A high or low water of a printed table. */
export type TableRow = { timeMs: number; heightM: number }

/** From one turn to the next it is about six hours; over this there are turns that the table leaves out. */
const GAP_MS = 9 * HOUR_MS

/**
 * Turns of a table: its rows in order, each a high or a low by its neighbours, in runs without a gap. The first row that is neither is
 * returned instead.
 */
export function turnsOfTable(rows: readonly TableRow[]): { runs: Turn[][] } | { notTurning: number } {
  const isJoined = (i: number) => i > 0 && i < rows.length && rows[i]!.timeMs - rows[i - 1]!.timeMs <= GAP_MS
  const runs: Turn[][] = []
  for (const [i, row] of rows.entries()) {
    const beside = [...(isJoined(i) ? [rows[i - 1]!] : []), ...(isJoined(i + 1) ? [rows[i + 1]!] : [])]
    const isHigh = beside.length > 0 && beside.every(({ heightM }) => row.heightM > heightM)
    if (!isHigh && !(beside.length > 0 && beside.every(({ heightM }) => row.heightM < heightM))) return { notTurning: i }
    if (!isJoined(i)) runs.push([])
    runs.at(-1)!.push({ ...row, kind: isHigh ? 'high' : 'low' })
  }
  return { runs }
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

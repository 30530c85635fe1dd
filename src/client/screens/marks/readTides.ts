import type { Mark } from '../../../core/documents/mark.ts'
import { turnsOfTable } from '../../../core/physics/tide/heightTable.ts'
import { dateIn, instantAt } from '../../../core/time/localDay.ts'

type Heights = NonNullable<Mark['heights']>
/** One row of a day, as text. */
export type TypedTide = { time: string; height: string }
type Day = { date: string; timeZone: string; unitM: number; heights: Heights }

const MAX_HEIGHT_M = 20

/** `half`: the first row that is only half typed; `row`: the one at fault, where it is one alone. */
type ReadTides = { ok: true; heights: Heights; half?: number } | { ok: false; fault: string; row?: number }

/** The table of a mark with the tides typed for a day in place of what it had there; else the first fault, in a sentence. */
export function readTides(rows: readonly TypedTide[], { date, timeZone, unitM, heights }: Day): ReadTides {
  const others = heights.filter(({ at }) => dateIn(timeZone, Date.parse(at)) !== date)
  const typed: { timeMs: number; heightM: number }[] = []
  for (const [row, { time, height }] of rows.entries()) {
    if (time.trim() === '' && height.trim() === '') continue
    if (time.trim() === '' || height.trim() === '') return { ok: true, heights, half: row }
    const heightM = Number(height.trim().replace(',', '.')) * unitM
    if (!(Math.abs(heightM) <= MAX_HEIGHT_M))
      return { ok: false, fault: `“${height}” is not a height up to ${MAX_HEIGHT_M} m.`, row }
    try {
      typed.push({ timeMs: instantAt(date, time, timeZone), heightM })
    } catch (error) {
      return { ok: false, fault: `${(error as Error).message}.`, row }
    }
  }
  if (typed.some(({ timeMs }, i) => i > 0 && timeMs <= typed[i - 1]!.timeMs))
    return { ok: false, fault: 'Each tide must be later than the one before it.' }
  if (typed.length === 1) return { ok: true, heights }
  const all = [...others, ...typed.map(({ timeMs, heightM }) => ({ at: new Date(timeMs).toISOString(), heightM }))].toSorted(
    (a, b) => a.at.localeCompare(b.at),
  )
  const turns = turnsOfTable(all.map(({ at, heightM }) => ({ timeMs: Date.parse(at), heightM })))
  return 'runs' in turns
    ? { ok: true, heights: all }
    : { ok: false, fault: 'High and low water must take turns: one height is neither.' }
}

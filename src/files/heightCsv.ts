import { MAX_TABLE_ROWS, type Mark } from '../core/documents/mark.ts'
import { turnsOfTable } from '../core/physics/tide/heightTable.ts'
import { instantAt } from '../core/time/localDay.ts'
import { cellNumber, type LineFault, type ReadFile, readCsv, refused } from './readCsv.ts'

type Row = NonNullable<Mark['heights']>[number]

const COLUMNS = [['date'], ['time'], ['height_m']] as const
const MAX_HEIGHT_M = 20

/**
 * Reads a printed table of high and low waters, `date,time,height_m`, its times on the clock of a zone. Every line that does not
 * read, goes back in time, or is neither high nor low between its neighbours is named by its number.
 */
export function readHeightCsv(text: string, timeZone: string): ReadFile<Row[]> {
  const read = readCsv(text, COLUMNS)
  if (!read.ok) return read
  if (read.value.length > MAX_TABLE_ROWS)
    return refused(`The table has ${read.value.length} rows; the limit is ${MAX_TABLE_ROWS}`)
  const rows = read.value.map(({ line, cells }) => ({
    line,
    ...instantOf(cells.date!, cells.time!, timeZone),
    heightM: cellNumber(cells.height_m),
  }))
  const faults = rows.flatMap(({ line, timeMs, fault, heightM }, i): LineFault[] => {
    if (fault) return [{ line, message: fault }]
    if (!(Math.abs(heightM) <= MAX_HEIGHT_M))
      return [{ line, message: `height_m is not a height from −${MAX_HEIGHT_M} to ${MAX_HEIGHT_M} m` }]
    return i > 0 && timeMs <= rows[i - 1]!.timeMs ? [{ line, message: 'is not later than the row before it' }] : []
  })
  if (faults.length > 0) return { ok: false, faults }
  const turns = turnsOfTable(rows)
  if ('notTurning' in turns) return refused('is neither higher nor lower than the rows beside it', rows[turns.notTurning]!.line)
  return { ok: true, value: rows.map(({ timeMs, heightM }) => ({ at: new Date(timeMs).toISOString(), heightM })) }
}

function instantOf(date: string, time: string, timeZone: string): { timeMs: number; fault?: string } {
  try {
    return { timeMs: instantAt(date, time, timeZone) }
  } catch (error) {
    return { timeMs: Number.NaN, fault: (error as Error).message }
  }
}

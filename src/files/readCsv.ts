import Papa from 'papaparse'
import { cutText } from '../core/documents/text.ts'
import { unguarded } from './writeCsv.ts'

/** A fault of a file: its line, counted from 1 with the heading, where it is one line's. */
export type LineFault = { line?: number; message: string }
export type ReadFile<T> = { ok: true; value: T } | { ok: false; faults: LineFault[] }

/** Larger than any table or list of marks that is taken in, bytes. */
export const MAX_BYTES = 5_000_000

/** More lines than any table that can be imported. */
const MAX_LINES = 20_000

export type CsvRow = { line: number; cells: Record<string, string> }

/** Reads a table with a heading, and says every line that is not one. Headings are taken in lower case; empty lines are passed over. */
export function readCsv(text: string, columns: readonly (readonly string[])[]): ReadFile<CsvRow[]> {
  if (text.length > MAX_BYTES) return refused('The file is over 5 MB, too large for a table')
  const { data, errors } = Papa.parse<string[]>(text.replace(/^\uFEFF/, ''), { skipEmptyLines: false })
  const unreadable = errors.filter(({ type }) => type === 'Quotes')
  if (unreadable.length > 0)
    return {
      ok: false,
      faults: unreadable.map(({ row, message }) => ({ ...(row === undefined ? {} : { line: row + 1 }), message })),
    }
  if (data.length > MAX_LINES) return refused(`The file has ${data.length} lines. A table can have up to ${MAX_LINES}`)
  const [heading = [], ...rows] = data
  const names = heading.map((name) => name.trim().toLowerCase())
  const missing = columns.filter((either) => !either.some((name) => names.includes(name)))
  if (missing.length > 0)
    return refused(`The first line must name the columns; missing: ${missing.map((either) => either.join(' or ')).join(', ')}`, 1)
  const filled = rows.map((cells, i) => ({ cells, line: i + 2 })).filter(({ cells }) => cells.some((cell) => cell.trim() !== ''))
  const short = filled.filter(({ cells }) => cells.length !== names.length)
  if (short.length > 0)
    return {
      ok: false,
      faults: short.map(({ line, cells }) => ({ line, message: `has ${cells.length} cells, the heading ${names.length}` })),
    }
  if (filled.length === 0) return refused('The file has no rows under its heading')
  return {
    ok: true,
    value: filled.map(({ cells, line }) => ({
      line,
      cells: Object.fromEntries(names.map((name, i) => [name, unguarded(cells[i]!.trim())])),
    })),
  }
}

/** A parser’s message can quote the whole file. */
export const MAX_MESSAGE = 300

export const refused = (message: string, line?: number): { ok: false; faults: LineFault[] } => ({
  ok: false,
  faults: [{ ...(line === undefined ? {} : { line }), message: cutText(message, MAX_MESSAGE) }],
})

/** A number written with a point or a comma; NaN for anything else, the empty cell among them. */
export function cellNumber(cell: string | undefined): number {
  return cell !== undefined && /^[+-]?\d*[.,]?\d+(e[+-]?\d+)?$/i.test(cell) ? Number(cell.replace(',', '.')) : Number.NaN
}

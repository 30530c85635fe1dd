import { type Mark, streamRowSchema } from '../core/documents/mark.ts'
import { QUANTITIES } from '../core/units/quantities.ts'
import { type CsvRow, cellNumber, type LineFault, type ReadFile, readCsv } from './readCsv.ts'
import { writeCsv } from './writeCsv.ts'

const KN = QUANTITIES.speed.units.kn
type Row = Mark['stream'][number]

/** Columns of a stream table; rates in knots or in metres a second. */
const COLUMNS = [['hour'], ['spring_kn', 'spring_mps'], ['neap_kn', 'neap_mps'], ['direction_deg']] as const
/** Fields as the schema names them, as the file does. */
const NAMES: Record<string, string> = { hour: 'hour', springMperS: 'spring', neapMperS: 'neap', directionDeg: 'direction_deg' }

/** Reads a stream table by hour from high water; every wrong line is named by its number. */
export function readStreamCsv(text: string): ReadFile<Row[]> {
  const read = readCsv(text, COLUMNS)
  if (!read.ok) return read
  const rows = read.value.map(({ cells, line }) => ({ line, row: rowOf(cells) }))
  const faults = rows.flatMap(({ line, row }, i): LineFault[] => {
    const parsed = streamRowSchema.safeParse(row)
    if (!parsed.success)
      return parsed.error.issues.map(({ path, code, message }) => ({
        line,
        message: `${NAMES[String(path[0])]} ${code === 'invalid_type' ? 'is not a number' : message}`,
      }))
    const twice = rows.findIndex((other) => other.row.hour === row.hour)
    return twice < i ? [{ line, message: `hour ${row.hour} comestwice, first on line ${rows[twice]!.line}` }] : []
  })
  if (faults.length > 0) return { ok: false, faults }
  return { ok: true, value: rows.map(({ row }) => row).toSorted((a, b) => a.hour - b.hour) }
}

function rowOf(cells: CsvRow['cells']): Row {
  const rate = (name: string) =>
    cells[`${name}_mps`] === undefined ? cellNumber(cells[`${name}_kn`]) * KN : cellNumber(cells[`${name}_mps`])
  return {
    hour: cellNumber(cells.hour),
    springMperS: rate('spring'),
    neapMperS: rate('neap'),
    directionDeg: cellNumber(cells.direction_deg),
  }
}

/** A stream table as it is read back in. */
export function writeStreamCsv(stream: readonly Row[]): string {
  const rows = stream.map(({ hour, springMperS, neapMperS, directionDeg }) => ({
    hour,
    spring_mps: springMperS,
    neap_mps: neapMperS,
    direction_deg: directionDeg,
  }))
  return writeCsv(rows)
}

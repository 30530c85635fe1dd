import { type Fish, fishSchema } from '../core/documents/fish.ts'
import { FISH_VERSION } from '../core/documents/versions.ts'
import { parseQuantity } from '../core/units/parseQuantity.ts'
import { type CsvRow, cellNumber, type LineFault, type ReadFile, readCsv } from './readCsv.ts'
import { writeCsv } from './writeCsv.ts'

/** Columns that hold a quantity: the field, and the unit that a bare number is in and that is written. */
const QUANTITIES = {
  weight: { field: 'typicalMassKg', quantity: 'fish', unit: 'kg' },
  length: { field: 'typicalLengthM', quantity: 'length', unit: 'm' },
  'large weight': { field: 'largeMassKg', quantity: 'fish', unit: 'kg' },
  'large length': { field: 'largeLengthM', quantity: 'length', unit: 'm' },
} as const
/** Columns in hundredths of the length. */
const SHARES = { 'mouth across %': 'mouthWidthShare', 'mouth up and down %': 'mouthHeightShare' } as const
const WORDS = ['teeth', 'feeds', 'takes'] as const
const YES = { 'shakes circles': 'shakesCircles', 'line shy': 'lineShy', released: 'released' } as const

const keysOf = <K extends string>(table: Readonly<Record<K, unknown>>) => Object.keys(table) as K[]
const COLUMNS = ['name', ...keysOf(QUANTITIES), ...keysOf(SHARES), ...WORDS, 'fights', ...keysOf(YES), 'to mind'] as const

/** Reads fish as a table: a line a fish, every column but the last wanted; several ways to fight stand with spaces between. */
export function readFishCsv(text: string): ReadFile<Fish[]> {
  const read = readCsv(
    text,
    COLUMNS.filter((column) => column !== 'to mind').map((column) => [column]),
  )
  if (!read.ok) return read
  const rows = read.value.map((row) => readRow(row))
  const faults = rows.flatMap((row) => ('fault' in row ? [row.fault] : []))
  return faults.length > 0 ? { ok: false, faults } : { ok: true, value: rows.flatMap((row) => ('fish' in row ? [row.fish] : [])) }
}

function readRow({ line, cells }: CsvRow): { fish: Fish } | { fault: LineFault } {
  const raw: Record<string, unknown> = { formatVersion: FISH_VERSION, name: cells.name }
  for (const column of keysOf(QUANTITIES)) {
    const { field, quantity, unit } = QUANTITIES[column]
    const parsed = parseQuantity(quantity, cells[column] ?? '', unit)
    if (!parsed.ok) return { fault: { line, message: `${column}: ${parsed.message}` } }
    raw[field] = parsed.si
  }
  for (const column of keysOf(SHARES)) raw[SHARES[column]] = Number((cellNumber(cells[column]) / 100).toPrecision(12))
  for (const column of WORDS) raw[column] = cells[column]
  raw.fights = (cells.fights ?? '').split(/\s+/).filter(Boolean)
  for (const column of keysOf(YES)) raw[YES[column]] = cells[column]?.toLowerCase() === 'yes'
  if (cells['to mind']) raw.notes = cells['to mind']
  const checked = fishSchema.safeParse(raw)
  if (checked.success) return { fish: checked.data }
  const [issue] = checked.error.issues
  return { fault: { line, message: `${columnOf(String(issue?.path[0] ?? ''))}: ${issue?.message}` } }
}

const columnOf = (field: string): string =>
  keysOf(QUANTITIES).find((column) => QUANTITIES[column].field === field) ??
  keysOf(SHARES).find((column) => SHARES[column] === field) ??
  field

/** The same table of what is there: read again, it is the same. */
export function writeFishCsv(fish: readonly Fish[]): string {
  const plain = (value: number) => Number(value.toPrecision(12))
  const table = fish.map((of) => ({
    name: of.name,
    ...Object.fromEntries(
      keysOf(QUANTITIES).map((column) => [column, `${plain(of[QUANTITIES[column].field])} ${QUANTITIES[column].unit}`]),
    ),
    ...Object.fromEntries(keysOf(SHARES).map((column) => [column, plain(100 * of[SHARES[column]])])),
    ...Object.fromEntries(WORDS.map((column) => [column, of[column]])),
    fights: of.fights.join(' '),
    ...Object.fromEntries(keysOf(YES).map((column) => [column, of[YES[column]] ? 'yes' : ''])),
    'to mind': of.notes ?? '',
  }))
  return writeCsv(table, COLUMNS)
}

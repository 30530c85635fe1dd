import { GEAR_KINDS, type Gear, gearSchema } from '../core/documents/gear.ts'
import { GEAR_VERSION } from '../core/documents/versions.ts'
import { formatEntered } from '../core/units/formatQuantity.ts'
import { parseQuantity } from '../core/units/parseQuantity.ts'
import type { Quantity } from '../core/units/quantities.ts'
import { MAX_QUANTITY } from '../shared/stock.ts'
import { type CsvRow, cellNumber, type LineFault, type ReadFile, readCsv, refused } from './readCsv.ts'
import { writeCsv } from './writeCsv.ts'

/** More lines than a box has. */
const MAX_ROWS = 10_000

/** Columns that hold a quantity: the field, and the unit that a bare number is in and that is written. */
const QUANTITIES = {
  strength: { field: 'strengthN', quantity: 'strength', unit: 'lb' },
  diameter: { field: 'diameterM', quantity: 'diameter', unit: 'mm' },
  gape: { field: 'gapeM', quantity: 'diameter', unit: 'mm' },
  wire: { field: 'wireM', quantity: 'diameter', unit: 'mm' },
  length: { field: 'lengthM', quantity: 'length', unit: 'm' },
  weight: { field: 'massKg', quantity: 'mass', unit: 'g' },
  head: { field: 'headKg', quantity: 'mass', unit: 'g' },
  depth: { field: 'depthM', quantity: 'length', unit: 'm' },
  'rated depth': { field: 'ratedDepthM', quantity: 'length', unit: 'm' },
  'rated speed': { field: 'ratedSpeedMperS', quantity: 'speed', unit: 'm/s' },
  'rated line out': { field: 'ratedLineOutM', quantity: 'length', unit: 'm' },
  'rated line': { field: 'ratedLineDiameterM', quantity: 'diameter', unit: 'mm' },
  'least length': { field: 'minimumM', quantity: 'length', unit: 'm' },
} as const satisfies Record<string, { field: string; quantity: Quantity; unit: string }>
type QuantityColumn = keyof typeof QUANTITIES
const QUANTITY_COLUMNS = Object.keys(QUANTITIES) as QuantityColumn[]
const WORDS = ['kind', 'name', 'material', 'pattern', 'size', 'shape', 'metal', 'number', 'type', 'bait'] as const
/** Columns that hold a plain number, and the field each is. */
const NUMBERS = { least: 'minimumCount', 'in a pack': 'packCount', 'pack cost': 'packCost' } as const
const NUMBER_COLUMNS = Object.keys(NUMBERS) as (keyof typeof NUMBERS)[]
/** Columns that hold a text as it is, and the field each is. */
const TEXTS = { 'kept in': 'keptIn', bought: 'boughtOn' } as const
const TEXT_COLUMNS = Object.keys(TEXTS) as (keyof typeof TEXTS)[]
/** What is there: pieces, or the lengths on the spools with a plus between; empty: not counted. */
const ON_HAND = 'on hand'
const BETWEEN_SPOOLS = ' + '
/** Columns of yes or nothing, and the field each is. */
const YES = { spins: 'spins', floats: 'floats', 'head swings': 'headSwings' } as const
const YES_COLUMNS = Object.keys(YES) as (keyof typeof YES)[]
/** A drag area is a plain number, cm². */
const DRAG_AREA = 'drag area cm2'
const CM2_PER_M2 = 1e4
const COLUMNS = [...WORDS, ...QUANTITY_COLUMNS, DRAG_AREA, ...YES_COLUMNS, ...NUMBER_COLUMNS, ...TEXT_COLUMNS, ON_HAND] as const

/** A line of the table: an item, and what is on hand of it where that is said: pieces, or metres spool by spool. */
export type GearRow = { item: Gear; onHand?: number[] }

/**
 * Reads a box as a table: a line an item, `kind` and `name` on each, and of the other columns those that its kind has. Quantities are
 * read as people write them, a bare number in pounds, millimetres, metres or grams. Every line that is no item is named.
 */
export function readGearCsv(text: string): ReadFile<GearRow[]> {
  const read = readCsv(text, [['kind'], ['name']])
  if (!read.ok) return read
  if (read.value.length > MAX_ROWS) return refused(`The table has ${read.value.length} rows; the limit is ${MAX_ROWS}`)
  const rows = read.value.map((row) => readRow(row))
  const faults = rows.flatMap((row) => ('fault' in row ? [row.fault] : []))
  return faults.length > 0 ? { ok: false, faults } : { ok: true, value: rows.flatMap((row) => ('item' in row ? [row] : [])) }
}

function readRow({ line, cells }: CsvRow): GearRow | { fault: LineFault } {
  const raw: Record<string, unknown> = { formatVersion: GEAR_VERSION }
  for (const column of WORDS) if (cells[column]) raw[column] = cells[column]
  for (const column of YES_COLUMNS) if (cells[column]) raw[YES[column]] = cells[column].toLowerCase() === 'yes'
  if (cells[DRAG_AREA]) {
    const cm2 = Number(cells[DRAG_AREA].replace(',', '.'))
    if (Number.isNaN(cm2)) return { fault: { line, message: `${DRAG_AREA}: “${cells[DRAG_AREA]}” is not a number` } }
    raw.dragAreaM2 = Number((cm2 / CM2_PER_M2).toPrecision(12))
  }
  for (const column of NUMBER_COLUMNS) {
    if (!cells[column]) continue
    const number = cellNumber(cells[column])
    if (Number.isNaN(number)) return { fault: { line, message: `${column}: “${cells[column]}” is not a number` } }
    raw[NUMBERS[column]] = number
  }
  for (const column of TEXT_COLUMNS) if (cells[column]) raw[TEXTS[column]] = cells[column]
  for (const column of QUANTITY_COLUMNS) {
    const { field, quantity, unit } = QUANTITIES[column]
    const cell = cells[column]
    if (!cell) continue
    const parsed = parseQuantity(quantity, cell, unit)
    if (!parsed.ok) return { fault: { line, message: `${column}: ${parsed.message}` } }
    raw[field] = parsed.si
  }
  if (!(GEAR_KINDS as readonly unknown[]).includes(raw.kind))
    return { fault: { line, message: `“${cells.kind}” is not a kind of gear: ${GEAR_KINDS.join(', ')}` } }
  const checked = gearSchema.safeParse(raw)
  if (checked.success) {
    if (!cells[ON_HAND]) return { item: checked.data }
    const onHand = readOnHand(checked.data, cells[ON_HAND])
    return typeof onHand === 'string' ? { fault: { line, message: `${ON_HAND}: ${onHand}` } } : { item: checked.data, onHand }
  }
  const [first] = checked.error.issues
  return { fault: { line, message: faultOf(first) } }
}

/** Pieces, or the metres on each spool; a text says what is wrong. */
function readOnHand(item: Gear, cell: string): number[] | string {
  if (item.kind !== 'line') {
    const count = cellNumber(cell)
    return count >= 0 && count <= MAX_QUANTITY && Number.isInteger(count) ? [count] : `“${cell}” is not a number of pieces`
  }
  const lengthsM: number[] = []
  for (const part of cell.split('+')) {
    const parsed = parseQuantity('length', part, 'm')
    if (!parsed.ok) return parsed.message
    if (!(parsed.si >= 0 && parsed.si <= MAX_QUANTITY)) return `“${part.trim()}” is not a length that is left`
    lengthsM.push(parsed.si)
  }
  return lengthsM
}

function faultOf(issue: { path: PropertyKey[]; message: string; code?: string } | undefined): string {
  if (!issue) return 'is not a piece of gear'
  const field = String(issue.path[0] ?? '')
  const column =
    QUANTITY_COLUMNS.find((each) => QUANTITIES[each].field === field) ??
    NUMBER_COLUMNS.find((each) => NUMBERS[each] === field) ??
    TEXT_COLUMNS.find((each) => TEXTS[each] === field) ??
    field
  return column === '' ? `has a value in a column that its kind does not use: ${issue.message}` : `${column}: ${issue.message}`
}

/** The same table of what is owned: read again, it is the same. */
export function writeGearCsv(rows: readonly GearRow[]): string {
  const table = rows.map(({ item, onHand }) => {
    const of = item as Record<string, unknown>
    const quantities = QUANTITY_COLUMNS.map((column) => {
      const { field, quantity, unit } = QUANTITIES[column]
      const si = of[field]
      return [column, typeof si === 'number' ? written(quantity, si, unit) : '']
    })
    const words = WORDS.map((column) => [column, of[column] ?? ''])
    const yes = YES_COLUMNS.map((column) => [column, of[YES[column]] ? 'yes' : ''])
    const area = typeof of.dragAreaM2 === 'number' ? Number((of.dragAreaM2 * CM2_PER_M2).toPrecision(12)) : ''
    const numbers = NUMBER_COLUMNS.map((column) => [column, of[NUMBERS[column]] ?? ''])
    const texts = TEXT_COLUMNS.map((column) => [column, of[TEXTS[column]] ?? ''])
    const stock = onHand?.map((each) => (item.kind === 'line' ? `${each} m` : String(each))).join(BETWEEN_SPOOLS)
    return Object.fromEntries([...words, ...quantities, [DRAG_AREA, area], ...yes, ...numbers, ...texts, [ON_HAND, stock ?? '']])
  })
  return writeCsv(table, COLUMNS)
}

/** In the column’s unit where that says it exactly, else in SI to the last figure. */
function written(quantity: Quantity, si: number, unit: string): string {
  const shown = formatEntered(quantity, si, unit)
  const text = `${shown.value} ${shown.unit}`
  const back = parseQuantity(quantity, text, unit)
  if (back.ok && Math.abs(back.si - si) <= 1e-12 * si) return text
  const plain = { strength: 'N', diameter: 'mm', length: 'm', depth: 'm', mass: 'kg', fish: 'kg', speed: 'm/s' }[quantity]
  return `${Number((quantity === 'diameter' ? si * 1000 : si).toPrecision(12))} ${plain}`
}

import { type Catalogue, NOMINAL_CATALOGUE } from '../core/catalogue/catalogue.ts'
import { observationSchema, type Pull, type StraightPull } from '../core/documents/observation.ts'
import { KNOT_FACTS, type KnotId } from '../core/knots/facts.ts'
import { parseQuantity } from '../core/units/parseQuantity.ts'
import { idOf } from './idOf.ts'
import { type CsvRow, type LineFault, type ReadFile, readCsv, refused } from './readCsv.ts'
import { writeCsv } from './writeCsv.ts'

/** More pulls than a crew makes in a life. */
const MAX_ROWS = 5_000
const COLUMNS = ['when', 'knot', 'turns', 'material', 'line', 'load', 'parted', 'wet', 'note', 'spool', 'discarded'] as const
/** Columns that tables of before had not. */
const LEFT_OUT: readonly string[] = ['spool', 'discarded']
/** In place of a knot, where the line was pulled by itself; its strength is then its label. */
const NO_KNOT = 'none'
/** A row as it is written. */
export type ToldPull = Pull | StraightPull
const WANTED = ['when', 'knot', 'material', 'line', 'load'].map((column) => [column])

/**
 * Reads pulls as a table: a line a pull, the knot by any of its names or `none`, loads as people write them, a bare number in pounds. Every line
 * that is no pull is named. The same line of the same table is the same pull, however often it is read.
 */
export function readPullCsv(text: string): ReadFile<ToldPull[]> {
  const read = readCsv(text, WANTED)
  if (!read.ok) return read
  if (read.value.length > MAX_ROWS) return refused(`The table has ${read.value.length} rows; the limit is ${MAX_ROWS}`)
  const seen = new Map<string, number>()
  const rows = read.value.map((row) => {
    const content = contentOf(row.cells)
    const before = seen.get(content) ?? 0
    seen.set(content, before + 1)
    return readRow(row, idOf(`${content}\u0000${before}`))
  })
  const faults = rows.flatMap((row) => ('fault' in row ? [row.fault] : []))
  return faults.length > 0 ? { ok: false, faults } : { ok: true, value: rows.flatMap((row) => ('pull' in row ? [row.pull] : [])) }
}

/** What makes a line the line it is. What a table may leave out tells only where it is there: the same table stays the same. */
const contentOf = (cells: CsvRow['cells']) =>
  COLUMNS.flatMap((column) => (cells[column] || !LEFT_OUT.includes(column) ? [cells[column] ?? ''] : [])).join('\u0000')

function readRow({ line, cells }: CsvRow, id: string): { pull: ToldPull } | { fault: LineFault } {
  const fault = (message: string) => ({ fault: { line, message } })
  const straight = plain(cells.knot ?? '') === NO_KNOT
  const connection = knotNamed(NOMINAL_CATALOGUE, cells.knot ?? '')
  if (!connection && !straight) return fault(`knot: “${cells.knot}” is not a known knot`)
  const material = materialNamed(NOMINAL_CATALOGUE, cells.material ?? '')
  if (!material)
    return fault(`material: “${cells.material}” is not one of ${Object.keys(NOMINAL_CATALOGUE.materials).join(', ')}`)
  const at = new Date(cells.when ?? '')
  if (Number.isNaN(at.getTime())) return fault(`when: “${cells.when}” is not a date, such as 2026-11-20`)
  const loads: Record<string, number> = {}
  for (const column of ['line', 'load'] as const) {
    const parsed = parseQuantity('strength', cells[column] ?? '', 'lb')
    if (!parsed.ok) return fault(`${column}: ${parsed.message}`)
    loads[column] = parsed.si
  }
  const checked = observationSchema.safeParse({
    formatVersion: 1,
    id,
    at: at.toISOString(),
    material,
    loadN: loads.load,
    wet: cells.wet?.toLowerCase() === 'yes',
    ...(cells.note ? { note: cells.note } : {}),
    ...(cells.spool ? { spoolId: cells.spool } : {}),
    ...(cells.discarded ? { discarded: cells.discarded } : {}),
    ...(straight
      ? { kind: 'straight', labelN: loads.line }
      : {
          kind: 'pull',
          connection,
          lineN: loads.line,
          parted: cells.parted,
          ...(cells.turns ? { turns: Number(cells.turns) } : {}),
        }),
  })
  if (checked.success && (checked.data.kind === 'pull' || checked.data.kind === 'straight')) return { pull: checked.data }
  const issue = checked.error?.issues[0]
  const field = String(issue?.path[0] ?? '')
  return fault(`${{ lineN: 'line', labelN: 'line', loadN: 'load', spoolId: 'spool' }[field] ?? field}: ${issue?.message}`)
}

const plain = (text: string) =>
  text
    .toLowerCase()
    .replace(/[’']/g, '')
    .replace(/[-\s]+/g, ' ')
    .trim()

/** A knot by any of its names, or by its id. */
function knotNamed({ connections }: Catalogue, typed: string): KnotId | undefined {
  const wanted = plain(typed)
  return (Object.keys(KNOT_FACTS) as KnotId[]).find((id) =>
    [id, connections[id].name, ...KNOT_FACTS[id].also].some((name) => plain(name) === wanted),
  )
}

function materialNamed({ materials }: Catalogue, typed: string): Pull['material'] | undefined {
  const wanted = plain(typed)
  return (Object.keys(materials) as Pull['material'][]).find((id) =>
    [id, materials[id].name].some((name) => plain(name) === wanted),
  )
}

/** The same table of what was pulled. */
export function writePullCsv(pulls: readonly ToldPull[]): string {
  const newtons = (si: number) => `${Number(si.toPrecision(12))} N`
  const table = pulls.map((pull) => ({
    when: pull.at,
    ...(pull.kind === 'straight'
      ? { knot: NO_KNOT, turns: '', line: newtons(pull.labelN), parted: 'line' }
      : {
          knot: NOMINAL_CATALOGUE.connections[pull.connection].name,
          turns: pull.turns ?? '',
          line: newtons(pull.lineN),
          parted: pull.parted,
        }),
    material: pull.material,
    load: newtons(pull.loadN),
    wet: pull.wet ? 'yes' : 'no',
    note: pull.note ?? '',
    spool: pull.spoolId ?? '',
    discarded: pull.discarded ?? '',
  }))
  return writeCsv(table, COLUMNS)
}

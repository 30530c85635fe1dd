import { observationSchema, type TripEvent } from '../core/documents/observation.ts'
import type { Happening } from '../core/documents/tripEvent.ts'
import { idOf } from './idOf.ts'
import { type CsvRow, cellNumber, type LineFault, type ReadFile, readCsv, refused } from './readCsv.ts'
import { writeCsv } from './writeCsv.ts'

/** More than anybody touches on one trip. */
const MAX_ROWS = 5_000
const COLUMNS = [
  ...['utc', 'rod', 'what', 'sinker_g', 'fish', 'size', 'kept', 'hooked', 'hook', 'lost', 'where', 'sign', 'link', 'during'],
  ...['cut_m', 'part', 'to', 'to_g', 'tied', 'mark', 'id'],
] as const
type Cells = Partial<Record<(typeof COLUMNS)[number], string | number>>

/** What is told of the trip that a table is taken in for: its id, and its rods in order. */
export type EventTarget = { tripId: string; rodIds: readonly string[] }

/** What happened on a trip as a table, a line an event; rods by their number. What was said before is left out: it is no fact. */
export function writeEventCsv(events: readonly TripEvent[], rodIds: readonly string[]): string {
  const table = events.map(
    ({ id, at, rod, what, sinkerKg, markId }): Cells => ({
      utc: at,
      rod: rodIds.indexOf(rod) + 1 || rod,
      what: what.type,
      sinker_g: sinkerKg === undefined ? '' : grams(sinkerKg),
      ...cellsOf(what),
      mark: markId ?? '',
      id,
    }),
  )
  return writeCsv(
    table.map((cells) => ({ ...Object.fromEntries(COLUMNS.map((column) => [column, ''])), ...cells })),
    COLUMNS,
  )
}

const grams = (kg: number) => Number((kg * 1000).toFixed(3))

function cellsOf(what: Happening): Cells {
  switch (what.type) {
    case 'fish':
      return { fish: what.name, size: what.size, kept: what.isKept ? 'yes' : 'no', hooked: what.hooked, hook: what.hook ?? '' }
    case 'snag':
      return { lost: what.lost }
    case 'break':
      return { link: what.link ?? '', during: what.during }
    case 'retied':
      return { cut_m: what.cutM ?? '' }
    case 'lost':
      return { where: what.where }
    case 'seen':
      return { sign: what.sign }
    case 'changed':
      return { part: what.part, to: what.to, to_g: what.massKg === undefined ? '' : grams(what.massKg), tied: what.tiedId ?? '' }
    default:
      return { hook: what.hook ?? '' }
  }
}

/**
 * Reads what happened on a trip. Every line that is no event is named. A line with an id is that event, one without is the same event
 * however often the same table is read.
 */
export function readEventCsv(text: string, target: EventTarget): ReadFile<TripEvent[]> {
  const read = readCsv(text, [['utc'], ['rod'], ['what']])
  if (!read.ok) return read
  if (read.value.length > MAX_ROWS) return refused(`The table has ${read.value.length} rows; the limit is ${MAX_ROWS}`)
  const seen = new Map<string, number>()
  const rows = read.value.map((row) => {
    const content = COLUMNS.map((column) => row.cells[column] ?? '').join('\u0000')
    const before = seen.get(content) ?? 0
    seen.set(content, before + 1)
    return eventOf(row, target, idOf(`${target.tripId}\u0000${content}\u0000${before}`))
  })
  const faults = rows.flatMap((row) => ('fault' in row ? [row.fault] : []))
  return faults.length > 0
    ? { ok: false, faults }
    : { ok: true, value: rows.flatMap((row) => ('event' in row ? [row.event] : [])) }
}

function eventOf(
  { line, cells }: CsvRow,
  { tripId, rodIds }: EventTarget,
  id: string,
): { event: TripEvent } | { fault: LineFault } {
  const fault = (message: string) => ({ fault: { line, message } })
  const at = new Date(cells.utc ?? '')
  if (Number.isNaN(at.getTime())) return fault(`utc: “${cells.utc}” is not a time, such as 2026-11-20T18:30:00Z`)
  const rod = rodIds[Number(cells.rod) - 1] ?? rodIds.find((each) => each === cells.rod)
  if (rod === undefined) return fault(`rod: “${cells.rod}” is not one of the ${rodIds.length} rods of this trip`)
  const checked = observationSchema.safeParse({
    formatVersion: 1,
    kind: 'event',
    id: cells.id || id,
    at: at.toISOString(),
    tripId,
    rod,
    what: whatOf(cells),
    ...(cells.mark ? { markId: cells.mark } : {}),
    ...(cells.sinker_g ? { sinkerKg: cellNumber(cells.sinker_g) / 1000 } : {}),
  })
  if (checked.success && checked.data.kind === 'event') return { event: checked.data }
  const issue = checked.error?.issues[0]
  const field = String(issue?.path.at(-1) ?? 'what')
  return fault(`${COLUMN_OF[field] ?? field}: ${issue?.message}`)
}

const COLUMN_OF: Record<string, string> = {
  type: 'what',
  name: 'fish',
  isKept: 'kept',
  cutM: 'cut_m',
  massKg: 'to_g',
  tiedId: 'tied',
  markId: 'mark',
  sinkerKg: 'sinker_g',
}

/** As the cells say; what does not fit is found by the contract. */
function whatOf(cells: CsvRow['cells']): Record<string, unknown> {
  const given = (name: string, value: unknown) => (value === undefined || value === '' ? {} : { [name]: value })
  const number = (cell: string | undefined, per = 1) => (cell ? cellNumber(cell) / per : undefined)
  const type = cells.what
  switch (type) {
    case 'fish':
      return {
        type,
        name: cells.fish,
        size: cells.size || 'usual',
        isKept: cells.kept?.toLowerCase() === 'yes',
        hooked: cells.hooked || 'lip',
        ...given('hook', cells.hook),
      }
    case 'snag':
      return { type, lost: cells.lost || 'nothing' }
    case 'break':
      return { type, during: cells.during, ...given('link', cells.link) }
    case 'retied':
      return { type, ...given('cutM', number(cells.cut_m)) }
    case 'lost':
      return { type, where: cells.where }
    case 'seen':
      return { type, sign: cells.sign }
    case 'changed':
      return {
        type,
        part: cells.part,
        to: cells.to,
        ...given('massKg', number(cells.to_g, 1000)),
        ...given('tiedId', cells.tied),
      }
    default:
      return { type, ...given('hook', cells.hook) }
  }
}

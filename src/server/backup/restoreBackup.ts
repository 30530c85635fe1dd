import { sql, type Transaction } from 'kysely'
import type { RestoreReport } from '../../shared/backup.ts'
import { nameOf } from '../../shared/kindNames.ts'
import type { Database } from '../db/database.ts'
import type { Tables } from '../db/tables.ts'
import { isTooDeep } from '../http/nesting.ts'
import { BackupFault } from './backupFault.ts'
import { checkBackup, jsonOf } from './checkBackup.ts'
import {
  anyRow,
  type CrewRow,
  type DocumentRow,
  type FinishRow,
  type MovementRow,
  type ObservationRow,
  type RevisionRow,
  type Row,
  type TickRow,
} from './format.ts'

/** Rows that go to the database in one statement. */
const MAX_ROWS = 500
const MAX_TEXT = 2_000_000

export type RestoreOptions = {
  /** Only report what would change: everything is done and rolled back. */
  lookOnly: boolean
  /** The crew whose rows are allowed; if absent, any. */
  crewId?: string
  /** Called with the share done. */
  onProgress?: (share: number) => void
}

/**
 * Restores a backup completely or not at all. It never overwrites: missing documents are added, documents with newer revisions in the
 * backup are continued, and documents that were changed in both are left unchanged and reported.
 * @param open gives the lines from the start; called twice, first to check the file.
 * @throws BackupFault if the file is not a backup, was cut or changed, or has rows of another crew.
 */
export async function restoreBackup(
  db: Database,
  open: () => AsyncIterable<string>,
  { lookOnly, crewId, onProgress = () => {} }: RestoreOptions,
): Promise<RestoreReport> {
  const count = await checkBackup(open())
  const transaction = await db.startTransaction().execute()
  try {
    // Without statistics the planner takes just-filled tables for small and scans them for each foreign key check.
    await sql`set local enable_seqscan = off`.execute(transaction)
    // The trigger leaves the levels of stock to `stockLevels` below.
    await sql`set local wide_reach.restoring = 'on'`.execute(transaction)
    const restore = new Restore(transaction, crewId)
    let number = 0
    for await (const line of open()) {
      number += 1
      if (number < count) await restore.add(rowOf(line, number), line.length)
      if (number % MAX_ROWS === 0) onProgress(number / count)
    }
    const report = { ...(await restore.finish()), done: !lookOnly }
    await (lookOnly ? transaction.rollback() : transaction.commit()).execute()
    return report
  } catch (error) {
    await transaction.rollback().execute()
    // 22: a value that the database does not take, such as a NUL in a text; 23: a row without the one it belongs to.
    const isRefused = /^2[23]/.test((error as { code?: string }).code ?? '')
    throw isRefused ? new BackupFault('The file has rows that do not match or cannot be stored.') : error
  }
}

function rowOf(line: string, number: number): Row {
  const value = jsonOf(line)
  if (isTooDeep(value)) throw new BackupFault(`Line ${number} is nested too deeply.`)
  const parsed = anyRow.safeParse(value)
  if (parsed.success) return parsed.data
  const [first] = parsed.error.issues
  throw new BackupFault(`Line ${number} cannot be read: ${first?.path.join('.')}: ${first?.message}.`)
}

/** Rows of one kind for the next statement. */
type Batch = { row: Row['row']; rows: Row[]; text: number }

class Restore {
  private readonly report: RestoreReport = {
    done: false,
    added: 0,
    continued: 0,
    kept: 0,
    apart: [],
    revisions: 0,
    observations: 0,
    stock: 0,
  }
  private readonly db: Transaction<Tables>
  private readonly crewId: string | undefined
  /** Documents that were there before, by key, with the revision that the database has. */
  private readonly known = new Map<string, number>()
  private readonly conflicts = new Set<string>()
  private readonly continued = new Set<string>()
  private batch: Batch = { row: 'crew', rows: [], text: 0 }
  /** The batch that the database is working on while the next one is read. */
  private writing: Promise<void> = Promise.resolve()

  constructor(db: Transaction<Tables>, crewId: string | undefined) {
    this.db = db
    this.crewId = crewId
  }

  async add(row: Row, length: number): Promise<void> {
    const crew = row.row === 'crew' ? row.id : 'crew' in row ? row.crew : this.crewId
    if (this.crewId !== undefined && crew !== this.crewId) throw new BackupFault('The file has rows of another crew.')
    const { batch } = this
    if (batch.row !== row.row || batch.rows.length >= MAX_ROWS || batch.text + length > MAX_TEXT) await this.startWriting()
    this.batch.row = row.row
    this.batch.rows.push(row)
    this.batch.text += length
  }

  async finish(): Promise<RestoreReport> {
    await this.startWriting()
    await this.writing
    await this.orderBySave()
    await this.stockLevels()
    await this.checkWhole()
    for (const key of this.known.keys()) if (!this.continued.has(key) && !this.conflicts.has(key)) this.report.kept += 1
    return { ...this.report, continued: this.continued.size }
  }

  /** Starts writing the collected rows once the previous batch is written. */
  private async startWriting(): Promise<void> {
    const { batch } = this
    this.batch = { row: 'crew', rows: [], text: 0 }
    await this.writing
    this.writing = this.write(batch)
    // The next await reports the error.
    this.writing.catch(() => {})
  }

  private async write({ row, rows }: Batch): Promise<void> {
    if (rows.length === 0) return
    if (row === 'crew') await this.crews(rows as CrewRow[])
    else if (row === 'document') await this.documents(rows as DocumentRow[])
    else if (row === 'revision') await this.revisions(rows as RevisionRow[])
    else if (row === 'observation') await this.observations(rows as ObservationRow[])
    else if (row === 'movement') await this.movements(rows as MovementRow[])
    else if (row === 'tick') await this.ticks(rows as TickRow[])
    else if (row === 'finish') await this.finishes(rows as FinishRow[])
  }

  private async crews(rows: readonly CrewRow[]): Promise<void> {
    await sql`insert into crews (id, name, demo_loaded_at)
      select id, name, "demoLoadedAt" from ${records(rows)} (id uuid, name text, "demoLoadedAt" timestamptz)
      on conflict do nothing`.execute(this.db)
  }

  private async documents(rows: readonly DocumentRow[]): Promise<void> {
    const added = await sql<Key>`insert into documents (crew_id, kind, id, revision, binned_at)
      select crew, kind, id, revision, "binnedAt" from ${records(rows)}
        (crew uuid, kind text, id uuid, revision integer, "binnedAt" timestamptz)
      on conflict do nothing returning crew_id as crew, kind, id`.execute(this.db)
    this.report.added += added.rows.length
    const isNew = new Set(added.rows.map(keyOf))
    const there = rows.filter((row) => !isNew.has(keyOf(row)))
    if (there.length === 0) return
    const heads = await sql<Key & { revision: number }>`select crew, there.kind, there.id, head.revision
      from ${records(there)} (crew uuid, kind text, id uuid)
      join documents head on head.crew_id = crew and head.kind = there.kind and head.id = there.id`.execute(this.db)
    for (const head of heads.rows) this.known.set(keyOf(head), head.revision)
  }

  /** Revisions come in order, so earlier ones are compared before later ones are added. */
  private async revisions(rows: readonly RevisionRow[]): Promise<void> {
    const isThere = (row: RevisionRow) => row.revision <= (this.known.get(keyOf(row)) ?? 0)
    await this.markConflicts(rows.filter(isThere))
    const added = rows.filter((row) => !isThere(row) && !this.conflicts.has(keyOf(row)))
    if (added.length === 0) return
    await this.moveHeads(added.filter((row) => this.known.has(keyOf(row))))
    await sql`insert into document_revisions (crew_id, kind, id, revision, saved_at, content)
      select crew, kind, id, revision, "savedAt", content from ${records(added)}
        (crew uuid, kind text, id uuid, revision integer, "savedAt" timestamptz, content jsonb)`.execute(this.db)
    this.report.revisions += added.length
  }

  /** Must run before the revisions are added: the trigger updates a head when the revision it names is inserted. */
  private async moveHeads(further: readonly RevisionRow[]): Promise<void> {
    if (further.length === 0) return
    for (const row of further) this.continued.add(keyOf(row))
    await sql`update documents head set revision = latest.revision
      from (
        select crew, kind, id, max(revision) as revision
        from ${records(further)} (crew uuid, kind text, id uuid, revision integer) group by crew, kind, id
      ) latest
      where head.crew_id = latest.crew and head.kind = latest.kind and head.id = latest.id`.execute(this.db)
  }

  /** Marks documents whose content differs at the same revision; they are left unchanged. */
  private async markConflicts(rows: readonly RevisionRow[]): Promise<void> {
    if (rows.length === 0) return
    const differing = await sql<Key & { revision: number }>`select crew, there.kind, there.id, there.revision
      from ${records(rows)} (crew uuid, kind text, id uuid, revision integer, content jsonb)
      left join document_revisions here
        on here.crew_id = crew and here.kind = there.kind and here.id = there.id and here.revision = there.revision
      where here.content is distinct from there.content`.execute(this.db)
    const differ = new Set(differing.rows.map((row) => `${keyOf(row)} ${row.revision}`))
    for (const row of rows) {
      const key = keyOf(row)
      if (!differ.has(`${key} ${row.revision}`) || this.conflicts.has(key)) continue
      this.conflicts.add(key)
      this.report.apart.push({ kind: row.kind, id: row.id, name: nameOf(row.content) ?? row.id })
    }
  }

  private async observations(rows: readonly ObservationRow[]): Promise<void> {
    await this.addMissing(
      'observations',
      sql`
        insert into observations (crew_id, id, kind, at, mark_id, trace_id, trace_revision, outfit_id, outfit_revision,
          observer, details, recorded_at)
        select crew, id, kind, at, "markId", "traceId", "traceRevision", "outfitId", "outfitRevision",
          observer, details, "recordedAt"
        from ${records(rows)} (crew uuid, id uuid, kind text, at timestamptz, "markId" uuid, "traceId" uuid,
          "traceRevision" integer, "outfitId" uuid, "outfitRevision" integer, observer text, details jsonb,
          "recordedAt" timestamptz)`,
    )
  }

  /** A movement that was undone here and in the backup is undone once. */
  private async movements(rows: readonly MovementRow[]): Promise<void> {
    await this.addMissing(
      'stock',
      sql`
        insert into stock_movements (crew_id, id, item_id, spool, quantity, reason, undoes, finish_id, note, observer, recorded_at)
        select crew, id, "itemId", spool, quantity, reason, undoes, "finishId", note, observer, "recordedAt"
        from ${records(rows)} (crew uuid, id uuid, "itemId" uuid, spool integer, quantity numeric, reason text, undoes uuid,
          "finishId" uuid, note text, observer text, "recordedAt" timestamptz)`,
    )
  }

  private async ticks(rows: readonly TickRow[]): Promise<void> {
    await this.addMissing(
      'stock',
      sql`
        insert into batch_ticks (crew_id, id, batch_id, part, change, observer, recorded_at)
        select crew, id, "batchId", part, change, observer, "recordedAt"
        from ${records(rows)} (crew uuid, id uuid, "batchId" uuid, part text, change integer, observer text,
          "recordedAt" timestamptz)`,
    )
  }

  private async finishes(rows: readonly FinishRow[]): Promise<void> {
    await this.addMissing(
      'stock',
      sql`
        insert into batch_finishes (crew_id, id, batch_id, tied, undoes, observer, recorded_at)
        select crew, id, "batchId", tied, undoes, observer, "recordedAt"
        from ${records(rows)} (crew uuid, id uuid, "batchId" uuid, tied uuid[], undoes uuid, observer text,
          "recordedAt" timestamptz)`,
    )
  }

  /** Runs an insert without the rows that the database has already, and adds their number to the report. */
  private async addMissing(counted: 'observations' | 'stock', insert: ReturnType<typeof sql>): Promise<void> {
    const { numAffectedRows } = await sql`${insert} on conflict do nothing`.execute(this.db)
    this.report[counted] += Number(numAffectedRows ?? 0)
  }

  /**
   * Works out the levels of the items that moved. What was used here and in the backup can be more than was ever bought: such a level
   * is corrected to zero, by a movement that says so.
   */
  private async stockLevels(): Promise<void> {
    if (this.report.stock === 0) return
    await sql`insert into stock_movements (id, crew_id, item_id, spool, quantity, reason, note, observer)
      select gen_random_uuid(), crew_id, item_id, spool, -sum(quantity), 'counted', 'restored from a backup', 'backup'
      from stock_movements group by crew_id, item_id, spool having sum(quantity) < 0`.execute(this.db)
    await sql`insert into stock_levels (crew_id, item_id, spool, quantity)
      select crew_id, item_id, spool, sum(quantity) from stock_movements group by crew_id, item_id, spool
      on conflict (crew_id, item_id, spool) do update set quantity = excluded.quantity`.execute(this.db)
  }

  /** Puts the added documents in the order they were saved, not the order of the file. */
  private async orderBySave(): Promise<void> {
    await sql`update documents head set saved_order = latest.place
      from (
        select *, nextval('document_saves') as place from (
          select crew_id, kind, id from documents where xmin = pg_current_xact_id()::xid order by saved_at, id
        ) each
      ) latest
      where head.crew_id = latest.crew_id and head.kind = latest.kind and head.id = latest.id`.execute(this.db)
  }

  private async checkWhole(): Promise<void> {
    const torn = await sql<{ id: string }>`select head.id from documents head
      left join document_revisions revision using (crew_id, kind, id, revision)
      where revision.id is null limit 1`.execute(this.db)
    if (torn.rows[0]) throw new BackupFault(`The newest revision is missing in the file: document ${torn.rows[0].id}.`)
  }
}

type Key = Pick<DocumentRow, 'crew' | 'kind' | 'id'>
const keyOf = ({ crew, kind, id }: Key) => `${crew} ${kind} ${id}`

/** Rows as a table in a statement; the columns that are read of it follow in brackets. */
const records = (rows: readonly object[]) => sql`jsonb_to_recordset(${JSON.stringify(rows)}::jsonb) as there`

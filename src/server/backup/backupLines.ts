import { type SelectQueryBuilder, sql } from 'kysely'
import type { Database } from '../db/database.ts'
import type { Tables } from '../db/tables.ts'
import {
  BACKUP_VERSION,
  Checksum,
  type CrewRow,
  type DocumentRow,
  type FinishRow,
  type MovementRow,
  type ObservationRow,
  type RevisionRow,
  type Row,
  type TickRow,
} from './format.ts'

/** Rows that are read at a time. */
const PAGE = 500

/** An instant with all that the database knows of it: a JavaScript date would cut it at the millisecond. */
const instant = (column: string) => sql<string>`to_char(${sql.ref(column)} at time zone 'UTC', 'YYYY-MM-DD"T"HH24:MI:SS.US"Z"')`

/** The lines of a backup of one crew, or of all, as they stand at one moment. */
export async function* backupLines(db: Database, crewId?: string): AsyncGenerator<string> {
  const checksum = new Checksum()
  const lineOf = (row: Row): string => {
    const line = JSON.stringify(row)
    checksum.add(line)
    return line
  }
  yield lineOf({ row: 'wide-reach-backup', version: BACKUP_VERSION })
  const transaction = await db.startTransaction().setIsolationLevel('repeatable read').execute()
  try {
    for (const rows of [crews, documents, revisions, observations, movements, ticks, finishes])
      for await (const row of rows(transaction as unknown as Database, crewId)) yield lineOf(row)
  } finally {
    await transaction.rollback().execute()
  }
  yield JSON.stringify({ row: 'checksum', sha256: checksum.end() } satisfies Row)
}

type Rows<T extends Row> = AsyncGenerator<T>

async function* crews(db: Database, crewId: string | undefined): Rows<CrewRow> {
  const rows = await db
    .selectFrom('crews')
    .select(['id', 'name', instant('demo_loaded_at').as('demoLoadedAt')])
    .$if(crewId !== undefined, (query) => query.where('id', '=', crewId!))
    .orderBy('id')
    .execute()
  for (const row of rows) yield { row: 'crew', ...row }
}

async function* documents(db: Database, crewId: string | undefined): Rows<DocumentRow> {
  const query = db
    .selectFrom('documents')
    .select(['crewId as crew', 'kind', 'id', 'revision', instant('binned_at').as('binnedAt')])
    .$if(crewId !== undefined, (each) => each.where('crewId', '=', crewId!))
  for await (const row of paged(query, ['crewId', 'kind', 'id'], ({ crew, kind, id }) => [crew, kind, id]))
    yield { row: 'document', ...row } as DocumentRow
}

async function* revisions(db: Database, crewId: string | undefined): Rows<RevisionRow> {
  const query = db
    .selectFrom('documentRevisions')
    .select(['crewId as crew', 'kind', 'id', 'revision', instant('saved_at').as('savedAt'), 'content'])
    .$if(crewId !== undefined, (each) => each.where('crewId', '=', crewId!))
  const key = ['crewId', 'kind', 'id', 'revision']
  for await (const row of paged(query, key, ({ crew, kind, id, revision }) => [crew, kind, id, revision]))
    yield { row: 'revision', ...row } as RevisionRow
}

async function* observations(db: Database, crewId: string | undefined): Rows<ObservationRow> {
  const query = db
    .selectFrom('observations')
    .select(['crewId as crew', 'id', 'kind', instant('at').as('at'), 'markId', 'traceId', 'traceRevision', 'outfitId'])
    .select(['outfitRevision', 'observer', 'details', instant('recorded_at').as('recordedAt')])
    .$if(crewId !== undefined, (each) => each.where('crewId', '=', crewId!))
  for await (const row of paged(query, ['crewId', 'id'], ({ crew, id }) => [crew, id]))
    yield { row: 'observation', ...row } as ObservationRow
}

async function* movements(db: Database, crewId: string | undefined): Rows<MovementRow> {
  const query = db
    .selectFrom('stockMovements')
    .select(['crewId as crew', 'id', 'itemId', 'spool', 'quantity', 'reason', 'undoes', 'finishId', 'note', 'observer'])
    .select(instant('recorded_at').as('recordedAt'))
    .$if(crewId !== undefined, (each) => each.where('crewId', '=', crewId!))
  for await (const row of paged(query, ['crewId', 'id'], ({ crew, id }) => [crew, id]))
    yield { row: 'movement', ...row, quantity: Number(row.quantity) } as MovementRow
}

async function* ticks(db: Database, crewId: string | undefined): Rows<TickRow> {
  const query = db
    .selectFrom('batchTicks')
    .select(['crewId as crew', 'id', 'batchId', 'part', 'change', 'observer', instant('recorded_at').as('recordedAt')])
    .$if(crewId !== undefined, (each) => each.where('crewId', '=', crewId!))
  for await (const row of paged(query, ['crewId', 'id'], ({ crew, id }) => [crew, id])) yield { row: 'tick', ...row } as TickRow
}

async function* finishes(db: Database, crewId: string | undefined): Rows<FinishRow> {
  const query = db
    .selectFrom('batchFinishes')
    .select(['crewId as crew', 'id', 'batchId', 'tied', 'undoes', 'observer', instant('recorded_at').as('recordedAt')])
    .$if(crewId !== undefined, (each) => each.where('crewId', '=', crewId!))
  for await (const row of paged(query, ['crewId', 'id'], ({ crew, id }) => [crew, id]))
    yield { row: 'finish', ...row } as FinishRow
}

/** All rows of a query in the order of their key, a page at a time from where the page before ended. */
async function* paged<T>(
  // biome-ignore lint/suspicious/noExplicitAny: the columns differ from table to table
  query: SelectQueryBuilder<Tables, any, T>,
  key: readonly string[],
  keyOf: (row: T) => readonly (string | number)[],
): AsyncGenerator<T> {
  const columns = sql.join(key.map((column) => sql.ref(column)))
  const ordered = key.reduce((each, column) => each.orderBy(sql.ref(column)), query).limit(PAGE)
  let page = await ordered.execute()
  while (page.length > 0) {
    yield* page as T[]
    const last = sql.join(keyOf(page.at(-1) as T).map((value) => sql`${value}`))
    page = page.length < PAGE ? [] : await ordered.where(sql<boolean>`(${columns}) > (${last})`).execute()
  }
}

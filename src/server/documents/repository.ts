import { sql, type Transaction } from 'kysely'
import type { DocumentKind } from '../../shared/kindNames.ts'
import type { ListPage, SavedRow } from '../../shared/versioned.ts'
import type { Database } from '../db/database.ts'
import type { Tables } from '../db/tables.ts'

type Created = { created: boolean; document: SavedRow | undefined }
type SaveOutcome = { outcome: 'saved' | 'stale'; document: SavedRow } | { outcome: 'missing' } | { outcome: 'in-trash' }
/** Which document is meant; every statement names the crew. */
export type DocumentKey = { crewId: string; kind: DocumentKind; id: string }
export type ListQuery = { isTrash: boolean; after?: string | undefined; limit: number }
type HeadsQuery = ListQuery & { outfitId?: string | undefined }
type Executor = Database | Transaction<Tables>

/** Documents of every kind: heads with their revisions. Contents go in and out as they are. */
export class DocumentRepository {
  private readonly db: Database

  constructor(db: Database) {
    this.db = db
  }

  /** A page of a list with contents, limited by count and, except for the first document, by bytes. */
  async list(crewId: string, kind: DocumentKind, { isTrash, after, limit }: ListQuery): Promise<ListPage> {
    const { rows } = await sql<Row & { savedOrder: string; found: string }>`
      with heads as (
        -- Chosen before their contents are looked at: the running sum would be taken over all that come after.
        select crew_id, kind, id, revision, binned_at, saved_order
        from documents head where ${onPage(crewId, kind, isTrash, after)}
        order by saved_order desc limit ${limit + 1}
      ), page as (
        select id, revision, binned_at, revision.saved_at, content, saved_order,
          sum(pg_column_size(content)) over (order by saved_order desc) - pg_column_size(content) as bytes_before
        from heads join document_revisions revision using (crew_id, kind, id, revision)
      )
      select page.*, (select count(*) from page) as found from page
      where bytes_before < ${MAX_PAGE_BYTES} order by saved_order desc limit ${limit}`.execute(this.db)
    const hasMore = rows.length > 0 && Number(rows[0]!.found) > rows.length
    return { documents: rows.map(savedOf), next: hasMore ? rows.at(-1)!.savedOrder : null }
  }

  /** A page of heads, of one outfit’s traces or of all, as the JSON text of a `ListPage`. The database writes it. */
  async listHeads(crewId: string, kind: DocumentKind, { isTrash, after, limit, outfitId }: HeadsQuery): Promise<string> {
    const onOutfit = outfitId === undefined ? sql`` : sql`and head.head->>'outfitId' = ${outfitId}`
    const { rows } = await sql<{ json: string }>`
      with page as (
        select id, revision, binned_at, saved_at, head.head as content, saved_order,
          row_number() over (order by saved_order desc) as place
        from documents head where ${onPage(crewId, kind, isTrash, after)} ${onOutfit}
        order by saved_order desc limit ${limit + 1}
      )
      select json_build_object(
        'documents', coalesce(json_agg(json_build_object('id', id, 'revision', revision, 'savedAt', ${instant('saved_at')},
          'binnedAt', ${instant('binned_at')}, 'content', content) order by place) filter (where place <= ${limit}), '[]'),
        'next', case when count(*) > ${limit} then max(saved_order::text) filter (where place = ${limit}) end
      )::text as json from page`.execute(this.db)
    return rows[0]!.json
  }

  /** Those of the ids that are there, in any order. */
  async findSome(crewId: string, kind: DocumentKind, ids: readonly string[]): Promise<SavedRow[]> {
    const rows = await current(this.db, crewId, kind).select('revision.content').where('head.id', 'in', ids).execute()
    return rows.map(savedOf)
  }

  /** Those of a kind whose ids lie between two. */
  async findBetween(crewId: string, kind: DocumentKind, [first, last]: readonly [string, string]): Promise<SavedRow[]> {
    const rows = await current(this.db, crewId, kind)
      .select('revision.content')
      .where('head.id', '>=', first)
      .where('head.id', '<=', last)
      .execute()
    return rows.map(savedOf)
  }

  find(key: DocumentKey): Promise<SavedRow | undefined> {
    return find(this.db, key)
  }

  async findRevision({ crewId, kind, id }: DocumentKey, revision: number): Promise<SavedRow | undefined> {
    const row = await revisionsOf(this.db, crewId, kind)
      .select('revision.content')
      .where('head.id', '=', id)
      .where('revision.revision', '=', revision)
      .executeTakeFirst()
    return row && savedOf(row)
  }

  async listRevisions({ crewId, kind, id }: DocumentKey): Promise<{ revision: number; savedAt: string }[]> {
    const rows = await this.db
      .selectFrom('documentRevisions')
      .select(['revision', 'savedAt'])
      .where('crewId', '=', crewId)
      .where('kind', '=', kind)
      .where('id', '=', id)
      .orderBy('revision', 'desc')
      .execute()
    return rows.map(({ revision, savedAt }) => ({ revision, savedAt: savedAt.toISOString() }))
  }

  /** Adds a document; one that is there already with the same content is a request sent twice, and is answered as saved. */
  create(key: DocumentKey, content: object): Promise<Created> {
    return this.db.transaction().execute((transaction) => createDocument(transaction, key, content))
  }

  /** Adds documents of a kind, all or none; those that are there already are left as they are. @returns the number added. */
  createMany(crewId: string, kind: DocumentKind, documents: readonly { id: string; content: object }[]): Promise<number> {
    return this.db.transaction().execute(async (transaction) => {
      const added = await transaction
        .insertInto('documents')
        .values(documents.map(({ id }) => ({ crewId, kind, id, revision: 1 })))
        .onConflict((conflict) => conflict.doNothing())
        .returning('id')
        .execute()
      const isNew = new Set(added.map(({ id }) => id))
      const rows = documents.filter(({ id }) => isNew.has(id))
      if (rows.length > 0)
        await transaction
          .insertInto('documentRevisions')
          .values(rows.map(({ id, content }) => ({ crewId, kind, id, revision: 1, content: JSON.stringify(content) })))
          .execute()
      return rows.length
    })
  }

  /**
   * Saves the next revision if `baseRevision` is the current one. A save that was acknowledged but whose answer was lost comes
   * again with the same content: it is answered as saved, not as stale. What is answered is read in the transaction that decided,
   * so that a save is never answered with another’s revision.
   */
  save(key: DocumentKey, baseRevision: number, content: object): Promise<SaveOutcome> {
    return this.db.transaction().execute(async (transaction): Promise<SaveOutcome> => {
      const head = await transaction
        .updateTable('documents')
        .set({ revision: baseRevision + 1 })
        .where('crewId', '=', key.crewId)
        .where('kind', '=', key.kind)
        .where('id', '=', key.id)
        .where('revision', '=', baseRevision)
        .where('binnedAt', 'is', null)
        .returning('revision')
        .executeTakeFirst()
      if (head) return { outcome: 'saved', document: await addRevision(transaction, key, head.revision, content) }
      const document = await find(transaction, key)
      if (!document) return { outcome: 'missing' }
      if (document.binnedAt !== null) return { outcome: 'in-trash' }
      const repeated = document.revision === baseRevision + 1 && (await isContent(transaction, key, document.revision, content))
      return { outcome: repeated ? 'saved' : 'stale', document }
    })
  }

  /** Deletes the trash of a kind for good, with every revision. @returns the number of documents deleted. */
  emptyTrash(crewId: string, kind: DocumentKind): Promise<number> {
    return this.db.transaction().execute(async (transaction) => {
      // Locked first: a document that is restored meanwhile is either restored before, or deleted with the rest.
      const isTrash = (await trashOf(transaction, crewId, kind).forUpdate().execute()).map(({ id }) => id)
      if (isTrash.length === 0) return 0
      for (const table of ['documentRevisions', 'documents'] as const)
        await transaction
          .deleteFrom(table)
          .where('crewId', '=', crewId)
          .where('kind', '=', kind)
          .where('id', 'in', isTrash)
          .execute()
      return isTrash.length
    })
  }

  /** Moves a document to the trash or restores it; nothing is deleted. */
  setTrashed(key: DocumentKey, binnedAt: Date | null): Promise<SavedRow | undefined> {
    return this.db.transaction().execute(async (transaction) => {
      await transaction
        .updateTable('documents')
        .set({ binnedAt })
        .where('crewId', '=', key.crewId)
        .where('kind', '=', key.kind)
        .where('id', '=', key.id)
        .execute()
      return find(transaction, key)
    })
  }
}

/** Adds a document as part of a transaction; one that is there already with the same content counts as created. */
export async function createDocument(transaction: Transaction<Tables>, key: DocumentKey, content: object): Promise<Created> {
  const head = await transaction
    .insertInto('documents')
    .values({ ...key, revision: 1 })
    .onConflict((conflict) => conflict.doNothing())
    .returning('id')
    .executeTakeFirst()
  if (head) return { created: true, document: await addRevision(transaction, key, 1, content) }
  const document = await find(transaction, key)
  return { created: document?.revision === 1 && (await isContent(transaction, key, 1, content)), document }
}

/** The documents of a kind in a crew’s trash. */
const trashOf = (db: Executor, crewId: string, kind: DocumentKind) =>
  db.selectFrom('documents').select('id').where('crewId', '=', crewId).where('kind', '=', kind).where('binnedAt', 'is not', null)

/** Every revision of a kind of document, each with its head. */
function revisionsOf(db: Executor, crewId: string, kind: DocumentKind) {
  return db
    .selectFrom('documents as head')
    .innerJoin('documentRevisions as revision', (join) =>
      join
        .onRef('revision.id', '=', 'head.id')
        .onRef('revision.kind', '=', 'head.kind')
        .onRef('revision.crewId', '=', 'head.crewId'),
    )
    .select(['head.id', 'revision.revision', 'head.binnedAt', 'revision.savedAt'])
    .where('head.crewId', '=', crewId)
    .where('head.kind', '=', kind)
}

const current = (db: Executor, crewId: string, kind: DocumentKind) =>
  revisionsOf(db, crewId, kind).whereRef('revision.revision', '=', 'head.revision')

/** Bytes of a page’s contents as stored, compressed to about a quarter. */
const MAX_PAGE_BYTES = 500_000

const onPage = (crewId: string, kind: DocumentKind, isTrash: boolean, after: string | undefined) => sql`
  head.crew_id = ${crewId} and head.kind = ${kind} and head.binned_at is ${sql.raw(isTrash ? 'not null' : 'null')}
  and head.saved_order < ${after ?? MAX_ORDER}::bigint`

/** The largest bigint, for the first page. */
const MAX_ORDER = '9223372036854775807'

const instant = (column: string) => sql`to_char(${sql.ref(column)} at time zone 'UTC', 'YYYY-MM-DD"T"HH24:MI:SS.MS"Z"')`

/** As text, since it is asked most of all: built from parts, it took the server longer than it takes the database. */
async function find(db: Executor, { crewId, kind, id }: DocumentKey): Promise<SavedRow | undefined> {
  const { rows } = await sql<Row>`select id, revision, binned_at, revision.saved_at, content
    from documents join document_revisions revision using (crew_id, kind, id, revision)
    where crew_id = ${crewId} and kind = ${kind} and id = ${id}`.execute(db)
  return rows[0] && savedOf(rows[0])
}

/** Adds a revision and answers with just what was written. */
async function addRevision(db: Executor, key: DocumentKey, revision: number, content: object): Promise<SavedRow> {
  const written = await db
    .insertInto('documentRevisions')
    .values({ ...key, revision, content: JSON.stringify(content) })
    .returning(['id', 'revision', 'savedAt', 'content'])
    .executeTakeFirstOrThrow()
  return savedOf({ ...written, binnedAt: null })
}

async function isContent(db: Executor, { crewId, kind, id }: DocumentKey, revision: number, content: object): Promise<boolean> {
  const row = await db
    .selectFrom('documentRevisions')
    .select(sql<boolean>`content = ${JSON.stringify(content)}::jsonb`.as('same'))
    .where('crewId', '=', crewId)
    .where('kind', '=', kind)
    .where('id', '=', id)
    .where('revision', '=', revision)
    .executeTakeFirst()
  return row?.same ?? false
}

type Row = { id: string; revision: number; binnedAt: Date | null; savedAt: Date; content: object }

function savedOf({ id, revision, binnedAt, savedAt, content }: Row): SavedRow {
  return { id, revision, savedAt: savedAt.toISOString(), binnedAt: binnedAt?.toISOString() ?? null, content }
}

import { type Kysely, type Migration, sql } from 'kysely'

/** Lists go from what was saved last, page by page. */
export const listOrder: Migration = {
  up: async (db: Kysely<unknown>) => {
    await sql`create index document_revisions_latest on document_revisions (crew_id, kind, saved_at desc, id desc)`.execute(db)
  },
}

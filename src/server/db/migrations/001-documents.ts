import type { Kysely, Migration } from 'kysely'
import { createDocumentTables } from './documentTables.ts'

/** Crews, and for each kind of document its heads and their revisions. */
export const documents: Migration = { up }

async function up(db: Kysely<unknown>): Promise<void> {
  await db.schema
    .createTable('crews')
    .addColumn('id', 'uuid', (column) => column.primaryKey())
    .addColumn('name', 'text', (column) => column.notNull())
    .addColumn('demo_loaded_at', 'timestamptz')
    .execute()
  await createDocumentTables(db, 'traces', 'trace_revisions')
  await createDocumentTables(db, 'outfits', 'outfit_revisions')
  await createDocumentTables(db, 'gear', 'gear_revisions')
}

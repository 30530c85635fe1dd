import { type Kysely, sql } from 'kysely'

/** The two tables of a kind of document: its heads, and their revisions, which are only ever added. */
export async function createDocumentTables(db: Kysely<unknown>, head: string, revisions: string): Promise<void> {
  await db.schema
    .createTable(head)
    .addColumn('id', 'uuid', (column) => column.notNull())
    .addColumn('crew_id', 'uuid', (column) => column.notNull().references('crews.id'))
    .addColumn('revision', 'integer', (column) => column.notNull())
    .addColumn('binned_at', 'timestamptz')
    .addPrimaryKeyConstraint(`${head}_key`, ['crew_id', 'id'])
    .execute()
  await db.schema
    .createTable(revisions)
    .addColumn('id', 'uuid', (column) => column.notNull())
    .addColumn('crew_id', 'uuid', (column) => column.notNull())
    .addColumn('revision', 'integer', (column) => column.notNull())
    .addColumn('content', 'jsonb', (column) => column.notNull())
    .addColumn('saved_at', 'timestamptz', (column) => column.notNull().defaultTo(sql`clock_timestamp()`))
    .addPrimaryKeyConstraint(`${revisions}_key`, ['crew_id', 'id', 'revision'])
    .addForeignKeyConstraint(`${revisions}_head`, ['crew_id', 'id'], head, ['crew_id', 'id'])
    .execute()
}

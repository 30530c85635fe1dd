import { type Kysely, type Migration, sql } from 'kysely'

/** Crews, and for each kind of document its heads and their revisions. */
export const documents: Migration = { up }

async function up(db: Kysely<unknown>): Promise<void> {
  await db.schema
    .createTable('crews')
    .addColumn('id', 'uuid', (column) => column.primaryKey())
    .addColumn('name', 'text', (column) => column.notNull())
    .addColumn('demo_loaded_at', 'timestamptz')
    .execute()
  for (const [head, revisions] of [
    ['traces', 'trace_revisions'],
    ['outfits', 'outfit_revisions'],
    ['gear', 'gear_revisions'],
  ] as const) {
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
}

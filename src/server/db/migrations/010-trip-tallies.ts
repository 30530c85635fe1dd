import { type Kysely, type Migration, sql } from 'kysely'

/** What each trip counted, so that learning from many trips does not read every event again. Worked out anew where `version` is not that of the trip. */
export const tripTallies: Migration = {
  up: async (db: Kysely<unknown>) => {
    await db.schema
      .createTable('trip_tallies')
      .addColumn('crew_id', 'uuid', (column) => column.notNull().references('crews.id'))
      .addColumn('trip_id', 'uuid', (column) => column.notNull())
      .addColumn('version', 'text', (column) => column.notNull())
      .addColumn('tally', sql`jsonb`, (column) => column.notNull())
      .addPrimaryKeyConstraint('trip_tallies_key', ['crew_id', 'trip_id'])
      .execute()
  },
}

import { type Kysely, type Migration, sql } from 'kysely'

/** The events of a trip are found by it; other observations have no trip. */
export const tripEvents: Migration = {
  up: async (db: Kysely<unknown>) => {
    await sql`create index observations_of_trip on observations (crew_id, (details ->> 'tripId'))
      where details ? 'tripId'`.execute(db)
  },
}

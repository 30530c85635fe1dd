import { sql } from 'kysely'
import type { Database } from '../db/database.ts'

/** Raised when a tally changes its fields or counts differently: all are then calculated again. */
const TALLY_VERSION = 3

/** A trip that was begun: its name and day, and what its tally depends on. */
export type TripHead = { id: string; name: string; date: string; version: string; isTallied: boolean }
/** What a tally is worked out from, as stored. */
export type TripRecord = { id: string; content: unknown; observations: unknown[] }
export type StoredRevision = { id: string; revision: number; content: unknown }

/** What each trip counted: kept until the trip, its events or a mark change. */
export class TallyRepository {
  private readonly db: Database

  constructor(db: Database) {
    this.db = db
  }

  /** Every trip that was begun, the oldest first. */
  async heads(crewId: string): Promise<TripHead[]> {
    const { rows } = await sql<TripHead>`
      with logged as (
        select details->>'tripId' as trip_id, count(*) as events from observations
        where crew_id = ${crewId} and details ? 'tripId' group by 1
      ), begun as (
        select id, content->>'name' as name, content->>'date' as date,
          concat_ws('.', ${TALLY_VERSION}::int, revision, coalesce(events, 0),
            (select max(saved_order) from documents where crew_id = ${crewId} and kind = 'marks')) as version
        from documents join document_revisions using (crew_id, kind, id, revision) left join logged on trip_id = id::text
        where crew_id = ${crewId} and kind = 'trips' and binned_at is null and content ? 'startedAt'
      )
      select begun.*, kept.version is not distinct from begun.version as is_tallied
      from begun left join trip_tallies kept on kept.crew_id = ${crewId} and kept.trip_id = begun.id
      order by date, begun.id`.execute(this.db)
    return rows
  }

  /** Some trips with what was logged on them, in the order it was added. */
  async records(crewId: string, ids: readonly string[]): Promise<TripRecord[]> {
    const { rows } = await sql<TripRecord>`
      select id, content, (
        select coalesce(json_agg(details || jsonb_strip_nulls(jsonb_build_object('id', o.id, 'kind', o.kind, 'markId', mark_id,
          'at', to_char(at at time zone 'UTC', 'YYYY-MM-DD"T"HH24:MI:SS.MS"Z"'),
          'outfit', case when outfit_id is not null then jsonb_build_object('id', outfit_id, 'revision', outfit_revision) end))
          order by recorded_at, at), '[]')
        from observations o where o.crew_id = ${crewId} and o.details ? 'tripId' and o.details->>'tripId' = documents.id::text
          and o.kind in ('event', 'retraction')
      ) as observations
      from documents join document_revisions using (crew_id, kind, id, revision)
      where crew_id = ${crewId} and kind = 'trips' and id = any(${[...ids]}::uuid[])`.execute(this.db)
    return rows
  }

  /** Some revisions of traces or outfits; without one, the current. */
  async revisions(
    crewId: string,
    kind: 'traces' | 'outfits' | 'marks',
    wanted: readonly { id: string; revision?: number | undefined }[],
  ): Promise<StoredRevision[]> {
    if (wanted.length === 0) return []
    const { rows } = await sql<StoredRevision>`
      select distinct on (revision.id, revision.revision) revision.id, revision.revision, revision.content
      from documents head join document_revisions revision using (crew_id, kind, id)
      join unnest(${wanted.map(({ id }) => id)}::uuid[], ${wanted.map(({ revision }) => revision ?? null)}::int[])
        as wanted(id, revision) on wanted.id = head.id and revision.revision = coalesce(wanted.revision, head.revision)
      where head.crew_id = ${crewId} and head.kind = ${kind}`.execute(this.db)
    return rows
  }

  async keep(crewId: string, tallies: readonly { id: string; version: string; tally: object }[]): Promise<void> {
    if (tallies.length === 0) return
    await this.db
      .insertInto('tripTallies')
      .values(tallies.map(({ id, version, tally }) => ({ crewId, tripId: id, version, tally: JSON.stringify(tally) })))
      .onConflict((conflict) =>
        conflict
          .columns(['crewId', 'tripId'])
          .doUpdateSet((eb) => ({ version: eb.ref('excluded.version'), tally: eb.ref('excluded.tally') })),
      )
      .execute()
  }

  /** The tallies of some trips as one text of JSON, by id; to be parsed in another thread. */
  async asJson(crewId: string, ids: readonly string[]): Promise<string> {
    const { rows } = await sql<{ json: string | null }>`
      select json_object_agg(trip_id, tally)::text as json from trip_tallies
      where crew_id = ${crewId} and trip_id = any(${[...ids]}::uuid[])`.execute(this.db)
    return rows[0]?.json ?? '{}'
  }
}

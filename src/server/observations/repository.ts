import { sql } from 'kysely'
import type { Observation } from '../../core/documents/observation.ts'
import type { Database } from '../db/database.ts'

const PULLS: Observation['kind'][] = ['pull', 'retraction']

type ObservationQuery = {
  markId?: string | undefined
  tripId?: string | undefined
  kind?: Observation['kind'] | undefined
}

/** What happened on the water: rows that are only ever added. */
export class ObservationRepository {
  private readonly db: Database

  constructor(db: Database) {
    this.db = db
  }

  /** Adds some, all or none; one that is there already is a request sent twice. */
  async add(crewId: string, observer: string, observations: readonly Observation[]): Promise<void> {
    const rows = observations.map(({ id, kind, at, markId, trace, outfit, ...details }) => ({
      id,
      crewId,
      kind,
      at: new Date(at),
      markId: markId ?? null,
      traceId: trace?.id ?? null,
      traceRevision: trace?.revision ?? null,
      outfitId: outfit?.id ?? null,
      outfitRevision: outfit?.revision ?? null,
      observer,
      details: JSON.stringify(details),
    }))
    if (rows.length === 0) return
    await this.db
      .insertInto('observations')
      .values(rows)
      .onConflict((conflict) => conflict.doNothing())
      .execute()
  }

  /**
   * The observations of a crew, in the order they were added: if two are about one thing, the later counts. The query limits them to a
   * mark, a trip or a kind; retractions are always included.
   */
  async list(crewId: string, { markId, tripId, kind }: ObservationQuery = {}): Promise<unknown[]> {
    const rows = await this.db
      .selectFrom('observations')
      .selectAll()
      .where('crewId', '=', crewId)
      .$if(markId !== undefined, (query) => query.where('markId', '=', markId ?? null))
      .$if(tripId !== undefined, (query) => query.where(sql<boolean>`details ? 'tripId' and details ->> 'tripId' = ${tripId}`))
      .$if(kind !== undefined, (query) => query.where('kind', 'in', [kind ?? '', 'retraction']))
      .orderBy('recordedAt')
      .orderBy('at')
      .execute()
    return rows.map(
      ({ id, kind: rowKind, at, markId: mark, traceId, traceRevision, outfitId, outfitRevision, observer, details }) => ({
        ...details,
        id,
        kind: rowKind,
        at: at.toISOString(),
        observer,
        ...(mark === null ? {} : { markId: mark }),
        ...(traceId === null ? {} : { trace: { id: traceId, revision: traceRevision } }),
        ...(outfitId === null ? {} : { outfit: { id: outfitId, revision: outfitRevision } }),
      }),
    )
  }

  /** The number of pulls and retractions. It only grows. */
  async countPulls(crewId: string): Promise<number> {
    const { count } = await this.db
      .selectFrom('observations')
      .select(({ fn }) => fn.countAll<string>().as('count'))
      .where('crewId', '=', crewId)
      .where('kind', 'in', PULLS)
      .executeTakeFirstOrThrow()
    return Number(count)
  }

  /** Pulls and retractions as JSON text, in the order of `list`, to be parsed in another thread. */
  async pullsAsJson(crewId: string): Promise<string> {
    const { rows } = await sql<{ json: string | null }>`
      select json_agg(details || jsonb_build_object('id', id, 'kind', kind,
        'at', to_char(at at time zone 'UTC', 'YYYY-MM-DD"T"HH24:MI:SS.MS"Z"')) order by recorded_at, at)::text as json
      from observations where crew_id = ${crewId} and kind in (${sql.join(PULLS)})`.execute(this.db)
    return rows[0]?.json ?? '[]'
  }
}

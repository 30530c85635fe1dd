import { type Kysely, type Migration, sql } from 'kysely'
import { CREW_SETTINGS_ID } from '../../../core/documents/crewSettings.ts'

/**
 * All kinds of document in one pair of tables, so that a new kind needs none of its own; observations in a table of theirs, with
 * what marks had seen to hold and drag; the rule set in force and the mark of a trace named by id.
 */
export const oneShape: Migration = { up }

/** The kinds by the names of their addresses, and the tables each had before. */
const BEFORE = [
  ['traces', 'traces', 'trace_revisions'],
  ['outfits', 'outfits', 'outfit_revisions'],
  ['gear', 'gear', 'gear_revisions'],
  ['rule-sets', 'rule_sets', 'rule_set_revisions'],
  ['marks', 'marks', 'mark_revisions'],
] as const

async function up(db: Kysely<unknown>): Promise<void> {
  await db.schema
    .createTable('documents')
    .addColumn('kind', 'text', (column) => column.notNull())
    .addColumn('id', 'uuid', (column) => column.notNull())
    .addColumn('crew_id', 'uuid', (column) => column.notNull().references('crews.id'))
    .addColumn('revision', 'integer', (column) => column.notNull())
    .addColumn('binned_at', 'timestamptz')
    .addPrimaryKeyConstraint('documents_key', ['crew_id', 'kind', 'id'])
    .execute()
  await db.schema
    .createTable('document_revisions')
    .addColumn('kind', 'text', (column) => column.notNull())
    .addColumn('id', 'uuid', (column) => column.notNull())
    .addColumn('crew_id', 'uuid', (column) => column.notNull())
    .addColumn('revision', 'integer', (column) => column.notNull())
    .addColumn('content', 'jsonb', (column) => column.notNull())
    .addColumn('saved_at', 'timestamptz', (column) => column.notNull().defaultTo(sql`clock_timestamp()`))
    .addPrimaryKeyConstraint('document_revisions_key', ['crew_id', 'kind', 'id', 'revision'])
    .addForeignKeyConstraint('document_revisions_head', ['crew_id', 'kind', 'id'], 'documents', ['crew_id', 'kind', 'id'])
    .execute()
  await createObservations(db)
  for (const [kind, head, revisions] of BEFORE) {
    await sql`insert into documents (kind, id, crew_id, revision, binned_at)
      select ${kind}, id, crew_id, revision, binned_at from ${sql.table(head)}`.execute(db)
    await sql`insert into document_revisions (kind, id, crew_id, revision, content, saved_at)
      select ${kind}, id, crew_id, revision, content, saved_at from ${sql.table(revisions)}`.execute(db)
  }
  await moveHolds(db)
  await nameRuleSetInForce(db)
  await nameMarks(db)
  await forbidChanges(db)
  for (const [, head, revisions] of BEFORE) {
    await db.schema.dropTable(revisions).execute()
    await db.schema.dropTable(head).execute()
  }
}

async function createObservations(db: Kysely<unknown>): Promise<void> {
  await db.schema
    .createTable('observations')
    .addColumn('id', 'uuid', (column) => column.notNull())
    .addColumn('crew_id', 'uuid', (column) => column.notNull().references('crews.id'))
    .addColumn('kind', 'text', (column) => column.notNull())
    .addColumn('at', 'timestamptz', (column) => column.notNull())
    .addColumn('mark_id', 'uuid')
    .addColumn('trace_id', 'uuid')
    .addColumn('trace_revision', 'integer')
    .addColumn('outfit_id', 'uuid')
    .addColumn('outfit_revision', 'integer')
    .addColumn('observer', 'text', (column) => column.notNull())
    .addColumn('details', 'jsonb', (column) => column.notNull())
    .addColumn('recorded_at', 'timestamptz', (column) => column.notNull().defaultTo(sql`clock_timestamp()`))
    .addPrimaryKeyConstraint('observations_key', ['crew_id', 'id'])
    .execute()
  await db.schema.createIndex('observations_of_mark').on('observations').columns(['crew_id', 'mark_id', 'at']).execute()
}

const CURRENT = sql`documents head join document_revisions revision using (crew_id, kind, id, revision)`

/** Each hold of the marks as they stand, in the bin too; its id follows from the mark and its place, so that it is the same again. */
async function moveHolds(db: Kysely<unknown>): Promise<void> {
  await sql`insert into observations (id, crew_id, kind, at, mark_id, observer, details)
    select md5(head.id::text || ' hold ' || hold.place)::uuid, head.crew_id, 'hold', (hold.value ->> 'at')::timestamptz, head.id,
      crews.name, (hold.value - 'at') || '{"formatVersion": 1}'
    from ${CURRENT} join crews on crews.id = head.crew_id,
      jsonb_array_elements(revision.content -> 'holds') with ordinality as hold (value, place)
    where head.kind = 'marks' and jsonb_typeof(revision.content -> 'holds') = 'array'`.execute(db)
}

/** Of several that said they were in force, the one saved last was gone by. */
async function nameRuleSetInForce(db: Kysely<unknown>): Promise<void> {
  await sql`with in_force as (
      select distinct on (head.crew_id) head.crew_id, head.id
      from ${CURRENT}
      where head.kind = 'rule-sets' and head.binned_at is null and (revision.content ->> 'inForce')::boolean
      order by head.crew_id, revision.saved_at desc
    ), made as (
      insert into documents (kind, id, crew_id, revision)
      select 'settings', ${CREW_SETTINGS_ID}::uuid, crew_id, 1 from in_force
    )
    insert into document_revisions (kind, id, crew_id, revision, content)
    select 'settings', ${CREW_SETTINGS_ID}::uuid, crew_id, 1,
      jsonb_build_object('formatVersion', 1, 'ruleSetId', id, 'conditions', '{}'::jsonb)
    from in_force`.execute(db)
}

/** A trace was for the mark that its name began with: it says so by id from now on. */
async function nameMarks(db: Kysely<unknown>): Promise<void> {
  await sql`update document_revisions revision
    set content = revision.content || jsonb_build_object('markId', named.mark_id)
    from (
      select distinct on (head.crew_id, head.id) head.crew_id, head.id, head.revision, mark.id as mark_id
      from ${CURRENT} join (
        select head.crew_id, head.id, revision.content ->> 'name' as name
        from ${CURRENT} where head.kind = 'marks' and head.binned_at is null
      ) mark on mark.crew_id = head.crew_id and starts_with(revision.content -> 'trace' ->> 'name', mark.name)
      where head.kind = 'traces'
      order by head.crew_id, head.id, length(mark.name) desc
    ) named
    where revision.crew_id = named.crew_id and revision.kind = 'traces' and revision.id = named.id
      and revision.revision = named.revision`.execute(db)
}

/** From here on the database itself refuses to change what was acknowledged. */
async function forbidChanges(db: Kysely<unknown>): Promise<void> {
  await sql`create function only_added() returns trigger language plpgsql as
    $$ begin raise exception 'rows of % are only ever added', tg_table_name; end $$`.execute(db)
  for (const table of ['observations', 'document_revisions'])
    await sql`create trigger only_added before update or delete on ${sql.table(table)} for each row execute function only_added()`.execute(
      db,
    )
}

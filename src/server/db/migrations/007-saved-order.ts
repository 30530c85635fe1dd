import { type Kysely, type Migration, sql } from 'kysely'

/**
 * A list goes by the order of the saves, whatever the clock said, and reads what it shows of a trace from the document's own row. A
 * trigger keeps both when a revision is added, however that comes in.
 */
export const savedOrder: Migration = {
  up: async (db: Kysely<unknown>) => {
    await sql`create sequence document_saves`.execute(db)
    await sql`alter table documents add column saved_order bigint, add column saved_at timestamptz, add column head jsonb`.execute(
      db,
    )
    // A long content is unpacked by every operator that looks into it, so it is taken apart once.
    await sql`create function document_head(kind text, content jsonb) returns jsonb language sql immutable as $$
      select case when kind = 'traces' then (
        select jsonb_build_object(
          'name', trace -> 'name', 'family', trace -> 'family', 'tags', trace -> 'tags', 'notes', trace -> 'notes',
          'outfitId', "outfitId", 'markId', "markId",
          'castStyle', conditions -> 'castStyle', 'method', conditions #> '{water,method}'
        ) from jsonb_to_record(content) as part (trace jsonb, conditions jsonb, "outfitId" jsonb, "markId" jsonb)
      ) end $$`.execute(db)
    await sql`update documents head set saved_order = saved.place, saved_at = saved.saved_at, head = saved.head
      from (
        select crew_id, kind, id, revision.saved_at, document_head(kind, content) as head,
          row_number() over (order by revision.saved_at, id) as place
        from documents join document_revisions revision using (crew_id, kind, id, revision)
      ) saved
      where head.crew_id = saved.crew_id and head.kind = saved.kind and head.id = saved.id`.execute(db)
    await sql`select setval('document_saves', (select count(*) + 1 from documents))`.execute(db)
    await sql`alter table documents alter column saved_order set default nextval('document_saves')`.execute(db)
    // Always by the key’s index: a database that was just filled still counts as small, and would be read whole for each row.
    await sql`create function keep_heads() returns trigger language plpgsql set enable_seqscan = off as $$ begin
      update documents head
      set saved_order = nextval('document_saves'), saved_at = added.saved_at, head = document_head(added.kind, added.content)
      from added
      where head.crew_id = added.crew_id and head.kind = added.kind and head.id = added.id and head.revision = added.revision;
      return null;
    end $$`.execute(db)
    await sql`create trigger keep_heads after insert on document_revisions
      referencing new table as added for each statement execute function keep_heads()`.execute(db)
    // Partial, so that what looks for one document never takes them for its key, which costs the same in a table that seems small.
    for (const [name, where] of [
      ['documents_latest', 'binned_at is null'],
      ['documents_in_trash', 'binned_at is not null'],
    ] as const)
      await sql`create index ${sql.id(name)} on documents (crew_id, kind, saved_order desc) where ${sql.raw(where)}`.execute(db)
    await sql`drop index document_revisions_latest`.execute(db)
    // Pulls are counted at each evaluation.
    await sql`create index observations_of_kind on observations (crew_id, kind)`.execute(db)
  },
}

import { type Kysely, type Migration, sql } from 'kysely'

/** Revisions stay forbidden to change, and go only with a document that is in the bin. */
export const emptyBin: Migration = {
  up: async (db: Kysely<unknown>) => {
    await sql`create function goes_with_the_bin() returns trigger language plpgsql as $$ begin
      if not exists (
        select from documents head
        where head.crew_id = old.crew_id and head.kind = old.kind and head.id = old.id and head.binned_at is not null
      ) then
        raise exception 'rows of document_revisions are only ever added';
      end if;
      return old;
    end $$`.execute(db)
    await sql`drop trigger only_added on document_revisions`.execute(db)
    await sql`create trigger only_added before update on document_revisions for each row execute function only_added()`.execute(
      db,
    )
    await sql`create trigger goes_with_the_bin before delete on document_revisions
      for each row execute function goes_with_the_bin()`.execute(db)
  },
}

import { createHash } from 'node:crypto'
import pg from 'pg'

export const APP_ROLE = 'wide_reach_app'
export const MIGRATIONS_ROLE = 'wide_reach_migrations'

/** A role’s own password, made from the cluster’s. */
export const passwordOf = (role: string, password: string): string =>
  createHash('sha256').update(`${role} ${password}`).digest('hex')

/**
 * The two roles that the application works under, neither a superuser: one owns the schema and migrates it, the other may only do what
 * the migrations grant it. What an earlier version made as superuser is handed over.
 */
export async function prepareRoles(adminUrl: string, password: string): Promise<void> {
  const client = new pg.Client(adminUrl)
  await client.connect()
  try {
    for (const role of [APP_ROLE, MIGRATIONS_ROLE]) {
      const { rowCount } = await client.query('select 1 from pg_roles where rolname = $1', [role])
      const verb = rowCount === 0 ? 'create' : 'alter'
      await client.query(
        `${verb} role ${role} login nosuperuser nocreatedb nocreaterole noreplication password '${passwordOf(role, password)}'`,
      )
    }
    await client.query(`alter schema public owner to ${MIGRATIONS_ROLE}`)
    await client.query(`grant usage on schema public to ${APP_ROLE}`)
    await client.query(`
      do $$ declare found record; begin
        for found in select tablename from pg_tables where schemaname = 'public' and tableowner <> '${MIGRATIONS_ROLE}' loop
          execute format('alter table public.%I owner to ${MIGRATIONS_ROLE}', found.tablename);
        end loop;
        for found in select oid::regprocedure as name from pg_proc where pronamespace = 'public'::regnamespace loop
          execute format('alter function %s owner to ${MIGRATIONS_ROLE}', found.name);
        end loop;
      end $$`)
  } finally {
    await client.end()
  }
}

import { type Migration, Migrator, sql } from 'kysely'
import type { Database } from './database.ts'
import { documents } from './migrations/001-documents.ts'
import { ruleSets } from './migrations/002-rule-sets.ts'
import { marks } from './migrations/003-marks.ts'
import { oneShape } from './migrations/004-one-shape.ts'
import { emptyBin } from './migrations/005-empty-bin.ts'
import { listOrder } from './migrations/006-list-order.ts'
import { savedOrder } from './migrations/007-saved-order.ts'
import { stock } from './migrations/008-stock.ts'
import { tripEvents } from './migrations/009-trip-events.ts'
import { tripTallies } from './migrations/010-trip-tallies.ts'

/** Every migration by its number, oldest first. They only run forward. */
const MIGRATIONS: Record<string, Migration> = {
  '001-documents': documents,
  '002-rule-sets': ruleSets,
  '003-marks': marks,
  '004-one-shape': oneShape,
  '005-empty-bin': emptyBin,
  '006-list-order': listOrder,
  '007-saved-order': savedOrder,
  '008-stock': stock,
  '009-trip-events': tripEvents,
  '010-trip-tallies': tripTallies,
}

/** The names that the first seven had until 2026-11-30, as a database from before lists them. */
const NAMES_BEFORE: Record<string, string> = {
  '2026-11-23-documents': '001-documents',
  '2026-11-23-rule-sets': '002-rule-sets',
  '2026-11-23-s-marks': '003-marks',
  '2026-11-25-one-shape': '004-one-shape',
  '2026-11-25-p-empty-bin': '005-empty-bin',
  '2026-11-25-q-list-order': '006-list-order',
  '2026-11-29-saved-order': '007-saved-order',
}

/** Brings the database to the newest shape; throws what a migration threw. */
export async function migrate(db: Database): Promise<void> {
  const tables = await db.introspection.getTables({ withInternalKyselyTables: true })
  if (tables.some(({ name }) => name === 'kysely_migration')) await renameMigrations(db)
  const { error } = await new Migrator({ db, provider: { getMigrations: async () => MIGRATIONS } }).migrateToLatest()
  if (error) throw error
}

const renameMigrations = (db: Database) =>
  db.transaction().execute(async (transaction) => {
    for (const [before, name] of Object.entries(NAMES_BEFORE))
      await sql`update kysely_migration set name = ${name} where name = ${before}`.execute(transaction)
  })

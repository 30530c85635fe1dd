import { type Migration, Migrator } from 'kysely'
import type { Database } from './database.ts'
import { documents } from './migrations/2026-11-23-documents.ts'
import { ruleSets } from './migrations/2026-11-23-rule-sets.ts'
import { marks } from './migrations/2026-11-23-s-marks.ts'
import { oneShape } from './migrations/2026-11-25-one-shape.ts'
import { emptyBin } from './migrations/2026-11-25-p-empty-bin.ts'
import { listOrder } from './migrations/2026-11-25-q-list-order.ts'
import { savedOrder } from './migrations/2026-11-29-saved-order.ts'

/** Every migration under its date and name, oldest first, a letter before the name where a day has several. They only run forward. */
const MIGRATIONS: Record<string, Migration> = {
  '2026-11-23-documents': documents,
  '2026-11-23-rule-sets': ruleSets,
  '2026-11-23-s-marks': marks,
  '2026-11-25-one-shape': oneShape,
  '2026-11-25-p-empty-bin': emptyBin,
  '2026-11-25-q-list-order': listOrder,
  '2026-11-29-saved-order': savedOrder,
}

/** Brings the database to the newest shape; throws what a migration threw. */
export async function migrate(db: Database): Promise<void> {
  const { error } = await new Migrator({ db, provider: { getMigrations: async () => MIGRATIONS } }).migrateToLatest()
  if (error) throw error
}

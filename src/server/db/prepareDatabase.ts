import type { Logger } from 'pino'
import { openDatabase } from './database.ts'
import { grantTo } from './grants.ts'
import { migrate } from './migrate.ts'

/** Brings the database to the newest shape, and lets the application’s role do with it what it does. */
export async function prepareDatabase(databaseUrl: string, migrationsUrl: string, log: Logger): Promise<void> {
  const migrations = openDatabase(migrationsUrl, log)
  try {
    await migrate(migrations)
    if (migrationsUrl !== databaseUrl) await grantTo(migrations, decodeURIComponent(new URL(databaseUrl).username))
  } finally {
    await migrations.destroy()
  }
}

import { join } from 'node:path'
import pino from 'pino'
import { type Database, openDatabase } from '../../src/server/db/database.ts'
import { prepareDatabase } from '../../src/server/db/prepareDatabase.ts'
import { startPostgres } from './postgres/postgres.ts'
import { DATA_FOLDER } from './project.ts'

/** The application's database for a command: that of DATABASE_URL, or the project's own, shared with a run that uses it. */
export async function withDatabase<T>(use: (db: Database) => Promise<T>): Promise<T> {
  const log = pino({ level: 'silent' })
  const own = process.env.DATABASE_URL ? undefined : await startPostgres(join(DATA_FOLDER, 'postgres'), { durable: true })
  try {
    const databaseUrl = process.env.DATABASE_URL ?? own!.appUrl
    await prepareDatabase(databaseUrl, own?.migrationsUrl ?? databaseUrl, log)
    const db = openDatabase(databaseUrl, log)
    try {
      return await use(db)
    } finally {
      await db.destroy()
    }
  } finally {
    await own?.stop()
  }
}

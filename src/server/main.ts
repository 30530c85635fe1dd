import type { Server } from 'node:http'
import pino, { type Logger } from 'pino'
import { createApp } from './app.ts'
import { openDatabase } from './db/database.ts'
import { loadDemo } from './db/demo/loadDemo.ts'
import { grantTo } from './db/grants.ts'
import { migrate } from './db/migrate.ts'
import { JobPool } from './jobs/jobPool.ts'

export type ServerOptions = {
  databaseUrl: string
  /** Whose the schema is, where that is another role than the application’s. */
  migrationsUrl?: string
  host: string
  port: number
  logLevel: string
  clientFolder?: string
  /** Names that the server goes by beside loopback's and `host`. */
  names?: readonly string[]
  mostRequests?: number
}
export type RunningServer = { url: string; close: () => Promise<void> }

/** Migrates, loads the demonstration data where there is none yet, and listens. Rejects if the port is taken. */
export async function startServer({
  databaseUrl,
  migrationsUrl = databaseUrl,
  host,
  port,
  logLevel,
  names = [],
  ...options
}: ServerOptions): Promise<RunningServer> {
  const log = pino({ level: logLevel })
  await prepare(databaseUrl, migrationsUrl, log)
  const db = openDatabase(databaseUrl, log)
  await loadDemo(db)
  const jobs = new JobPool(log)
  const app = createApp({ db, log, jobs, doors: { host, names }, ...options })
  const server = await new Promise<Server>((resolve, reject) => {
    const listening = app.listen(port, host, () => resolve(listening))
    listening.once('error', reject)
  })
  jobs.warm().catch((error: unknown) => log.error({ err: error }, 'the threads did not start'))
  return {
    url: `http://${host}:${port}`,
    close: async () => {
      await new Promise<void>((resolve) => {
        server.close(() => resolve())
        server.closeAllConnections()
      })
      await jobs.close()
      await db.destroy()
    },
  }
}

/** Brings the database to the newest shape, and lets the application’s role do with it what it does. */
async function prepare(databaseUrl: string, migrationsUrl: string, log: Logger): Promise<void> {
  const migrations = openDatabase(migrationsUrl, log)
  try {
    await migrate(migrations)
    const role = decodeURIComponent(new URL(databaseUrl).username)
    if (migrationsUrl !== databaseUrl) await grantTo(migrations, role)
  } finally {
    await migrations.destroy()
  }
}

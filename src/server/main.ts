import type { Server } from 'node:http'
import { createApp } from './app.ts'
import { BackupDesk } from './backup/backupDesk.ts'
import { KeptBackups } from './backup/keptBackups.ts'
import { openDatabase } from './db/database.ts'
import { prepareDatabase } from './db/prepareDatabase.ts'
import { loadDemo } from './demo/loadDemo.ts'
import { JobPool } from './jobs/jobPool.ts'
import { openLog } from './openLog.ts'

export type ServerOptions = {
  databaseUrl: string
  /** The role that owns the schema, where that is another than the application’s. */
  migrationsUrl?: string
  host: string
  port: number
  logLevel: string
  clientFolder?: string
  /** Where a backup a day is kept; absent, none is. */
  backupFolder?: string
  /** Names that the server goes by beside loopback's and `host`. */
  names?: readonly string[]
  mostRequests?: number
}
const IDLE_CONNECTION_MS = 60_000

export type RunningServer = { url: string; close: () => Promise<void> }

/** Migrates, loads the demonstration data where there is none yet, and listens. Rejects if the port is taken. */
export async function startServer({
  databaseUrl,
  migrationsUrl = databaseUrl,
  host,
  port,
  logLevel,
  names = [],
  backupFolder,
  ...options
}: ServerOptions): Promise<RunningServer> {
  const log = openLog(logLevel)
  await prepareDatabase(databaseUrl, migrationsUrl, log)
  const db = openDatabase(databaseUrl, log)
  await loadDemo(db)
  const jobs = new JobPool(log)
  const backups = new BackupDesk(databaseUrl, log)
  const keptBackups = backupFolder === undefined ? undefined : new KeptBackups(backupFolder, db, log)
  const app = createApp({
    db,
    log,
    jobs,
    backups,
    allowedHosts: { host, names },
    ...(keptBackups ? { keptBackups } : {}),
    ...options,
  })
  const server = await new Promise<Server>((resolve, reject) => {
    const listening = app.listen(port, host, () => resolve(listening))
    listening.once('error', reject)
  })
  // Close idle connections, such as those of clients that do not read their answer.
  server.setTimeout(IDLE_CONNECTION_MS)
  // A request fails if the server closes its idle connection at that moment. Node’s default is five seconds.
  server.keepAliveTimeout = IDLE_CONNECTION_MS
  keptBackups?.start()
  jobs.warm().catch((error: unknown) => log.error({ err: error }, 'the threads did not start'))
  return {
    url: `http://${host}:${port}`,
    close: async () => {
      await new Promise<void>((resolve) => {
        server.close(() => resolve())
        server.closeAllConnections()
      })
      await keptBackups?.stop()
      await backups.close()
      await jobs.close()
      await db.destroy()
    },
  }
}

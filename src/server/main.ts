import type { Server } from 'node:http'
import pino from 'pino'
import { createApp } from './app.ts'
import { openDatabase } from './db/database.ts'
import { loadDemo } from './db/demo/loadDemo.ts'
import { migrate } from './db/migrate.ts'

export type ServerOptions = { databaseUrl: string; host: string; port: number; logLevel: string; clientFolder?: string }
export type RunningServer = { url: string; close: () => Promise<void> }

/** Migrates, loads the demonstration data where there is none yet, and listens. Rejects if the port is taken. */
export async function startServer({ databaseUrl, host, port, logLevel, ...client }: ServerOptions): Promise<RunningServer> {
  const log = pino({ level: logLevel })
  const db = openDatabase(databaseUrl, log)
  await migrate(db)
  await loadDemo(db)
  const app = createApp({ db, log, ...client })
  const server = await new Promise<Server>((resolve, reject) => {
    const listening = app.listen(port, host, () => resolve(listening))
    listening.once('error', reject)
  })
  return {
    url: `http://${host}:${port}`,
    close: async () => {
      await new Promise<void>((resolve) => {
        server.close(() => resolve())
        server.closeAllConnections()
      })
      await db.destroy()
    },
  }
}

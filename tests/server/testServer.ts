import { once } from 'node:events'
import type { AddressInfo } from 'node:net'
import { inject } from 'vitest'
import { type Content, temporaryDatabase } from '../../scripts/lib/temporaryDatabases.ts'
import { type AppOptions, createApp } from '../../src/server/app.ts'
import { BackupDesk } from '../../src/server/backup/backupDesk.ts'
import type { ReceiveLimits } from '../../src/server/backup/receiveFile.ts'
import { type Database, openDatabase } from '../../src/server/db/database.ts'
import { migrate } from '../../src/server/db/migrate.ts'
import { loadDemo } from '../../src/server/demo/loadDemo.ts'
import { type JobLimits, JobPool } from '../../src/server/jobs/jobPool.ts'
import { openLog } from '../../src/server/openLog.ts'

type More = { jobs?: Partial<JobLimits>; app?: Partial<AppOptions>; receive?: Partial<ReceiveLimits> }

export type TestServer = {
  port: number
  db: Database
  databaseUrl: string
  logged: string[]
  send: (
    method: string,
    path: string,
    body?: unknown,
    headers?: Record<string, string>,
  ) => Promise<{ status: number; body: any; headers: Headers }>
  close: () => Promise<void>
}

/** A database of its own on the tests' PostgreSQL; the last part of its address is its name. */
export async function freshDatabase(content: Content): Promise<string> {
  return (await temporaryDatabase(inject('postgres'), content)).adminUrl
}

/** The whole server on a database: a fresh one, with the demonstration data, where none is named. */
export async function startTestServer(existingUrl?: string, more: More = {}): Promise<TestServer> {
  const logged: string[] = []
  const log = openLog('info', { write: (line: string) => void logged.push(line) })
  const databaseUrl = existingUrl ?? (await freshDatabase('demo'))
  const db = openDatabase(databaseUrl, log)
  await migrate(db)
  await loadDemo(db)
  const jobs = new JobPool(log, more.jobs)
  const backups = new BackupDesk(databaseUrl, log, more.receive)
  const server = createApp({ db, log, jobs, backups, allowedHosts: { host: '127.0.0.1' }, ...more.app }).listen(0, '127.0.0.1')
  // A test that blocks this process, server and client both, must not find its connection closed for idling.
  server.keepAliveTimeout = 0
  await once(server, 'listening')
  const { port } = server.address() as AddressInfo
  return {
    db,
    port,
    databaseUrl,
    logged,
    send: async (method, path, body, headers = {}) => {
      const raw = typeof body === 'string' ? body : JSON.stringify(body)
      const response = await fetch(`http://127.0.0.1:${port}/api${path}`, {
        method,
        headers: { 'Content-Type': 'application/json', ...headers },
        ...(body === undefined ? {} : { body: raw }),
      })
      return { status: response.status, body: await response.json().catch(() => undefined), headers: response.headers }
    },
    close: async () => {
      await new Promise((done) => {
        server.close(done)
        server.closeAllConnections()
      })
      await jobs.close()
      await backups.close()
      await db.destroy()
    },
  }
}

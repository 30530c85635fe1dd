import { once } from 'node:events'
import { join } from 'node:path'
import { ROOT } from '../../src/server/root.ts'
import { freePort } from './freePort.ts'
import { removePostgres, startPostgres } from './postgres/postgres.ts'
import { CLIENT_FOLDER } from './project.ts'
import { startServerProcess } from './serverProcess.ts'

export type BuiltApp = { url: string; close: () => Promise<void> }

let started = 0

/**
 * The built application on a database of its own, gone when it is closed: with the demonstration data, or with what `fill` puts there
 * before the server first sees it.
 */
export async function startBuiltApp(fill?: (databaseUrl: string) => Promise<void>): Promise<BuiltApp> {
  const postgres = await startPostgres(join(ROOT, '.data', `passing-postgres-${process.pid}-${started++}`), { durable: false })
  await fill?.(postgres.migrationsUrl)
  const port = await freePort()
  const server = await startServerProcess({
    DATABASE_URL: postgres.appUrl,
    MIGRATIONS_URL: postgres.migrationsUrl,
    PORT: String(port),
    CLIENT_FOLDER,
  })
  return {
    url: `http://127.0.0.1:${port}`,
    close: async () => {
      server.kill()
      await once(server, 'exit')
      await removePostgres(postgres)
    },
  }
}

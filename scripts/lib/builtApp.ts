import { join } from 'node:path'
import { type RunningServer, startServer } from '../../src/server/main.ts'
import { ROOT } from '../../src/server/root.ts'
import { freePort } from './freePort.ts'
import { removePostgres, startPostgres } from './postgres/postgres.ts'
import { CLIENT_FOLDER } from './project.ts'

let started = 0

/**
 * The built application on a database of its own, gone when it is closed: with the demonstration data, or with what `fill` puts there
 * before the server first sees it.
 */
export async function startBuiltApp(fill?: (databaseUrl: string) => Promise<void>): Promise<RunningServer> {
  const postgres = await startPostgres(join(ROOT, '.data', `passing-postgres-${process.pid}-${started++}`), { durable: false })
  await fill?.(postgres.migrationsUrl)
  const server = await startServer({
    databaseUrl: postgres.appUrl,
    migrationsUrl: postgres.migrationsUrl,
    host: '127.0.0.1',
    port: await freePort(),
    clientFolder: CLIENT_FOLDER,
    logLevel: 'silent',
  })
  return {
    url: server.url,
    close: async () => {
      await server.close()
      await removePostgres(postgres)
    },
  }
}

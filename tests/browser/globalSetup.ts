import { join } from 'node:path'
import { freePort, removePostgres, startPostgres } from '../../scripts/lib/postgres.ts'
import { CLIENT_FOLDER, ROOT } from '../../scripts/lib/project.ts'
import { startServer } from '../../src/server/main.ts'

/** The built application on a PostgreSQL of the tests' own, gone afterwards. */
export default async function setup(): Promise<() => Promise<void>> {
  const postgres = await startPostgres(join(ROOT, '.data', `browser-postgres-${process.pid}`), { durable: false })
  const server = await startServer({
    databaseUrl: postgres.url,
    host: '127.0.0.1',
    port: await freePort(),
    clientFolder: CLIENT_FOLDER,
    logLevel: 'silent',
  })
  process.env.WIDE_REACH_URL = server.url
  return async () => {
    await server.close()
    removePostgres(postgres)
  }
}

import { join } from 'node:path'
import { type RunningServer, startServer } from '../../src/server/main.ts'
import { freePort, removePostgres, startPostgres } from './postgres.ts'
import { CLIENT_FOLDER, ROOT } from './project.ts'

/** The built application with the demonstration data on a database of its own, gone when it is closed. */
export async function startBuiltApp(): Promise<RunningServer> {
  const postgres = await startPostgres(join(ROOT, '.data', `passing-postgres-${process.pid}`), { durable: false })
  const server = await startServer({
    databaseUrl: postgres.url,
    host: '127.0.0.1',
    port: await freePort(),
    clientFolder: CLIENT_FOLDER,
    logLevel: 'silent',
  })
  return {
    url: server.url,
    close: async () => {
      await server.close()
      removePostgres(postgres)
    },
  }
}

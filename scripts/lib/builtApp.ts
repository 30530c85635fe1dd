import { once } from 'node:events'
import { freePort } from './freePort.ts'
import { removePostgres } from './postgres/postgres.ts'
import { CLIENT_FOLDER } from './project.ts'
import { startServerProcess } from './serverProcess.ts'
import { type Content, type DatabaseUrls, startTemporaryPostgres, temporaryDatabase } from './temporaryDatabases.ts'

export type BuiltApp = { url: string; close: () => Promise<void> }

export type Start = {
  content?: Content
  /** What it puts into the database is there before the server first sees it. */
  fill?: (databaseUrl: string) => Promise<void>
  clientFolder?: string
}

/** The built application on a new database of a PostgreSQL server that ends after it. */
export async function startAppOn(
  postgres: DatabaseUrls,
  { content = 'demo', fill, clientFolder = CLIENT_FOLDER }: Start = {},
): Promise<BuiltApp> {
  const { appUrl, migrationsUrl } = await temporaryDatabase(postgres, content)
  await fill?.(migrationsUrl)
  const port = await freePort()
  const server = await startServerProcess({
    DATABASE_URL: appUrl,
    MIGRATIONS_URL: migrationsUrl,
    PORT: String(port),
    CLIENT_FOLDER: clientFolder,
  })
  return {
    url: `http://127.0.0.1:${port}`,
    close: async () => {
      server.kill()
      await once(server, 'exit')
    },
  }
}

/** The built application with the demonstration data, on a PostgreSQL server of its own. */
export async function startBuiltApp(): Promise<BuiltApp> {
  const postgres = await startTemporaryPostgres()
  const app = await startAppOn(postgres)
  return {
    url: app.url,
    close: async () => {
      await app.close()
      await removePostgres(postgres)
    },
  }
}

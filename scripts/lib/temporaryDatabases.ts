import { once } from 'node:events'
import { join } from 'node:path'
import pg from 'pg'
import { ROOT } from '../../src/server/root.ts'
import { freePort } from './freePort.ts'
import { type Postgres, removePostgres, startPostgres } from './postgres/postgres.ts'
import { startServerProcess } from './serverProcess.ts'

/** One database, for each of the roles that open it. */
export type DatabaseUrls = Pick<Postgres, 'adminUrl' | 'migrationsUrl' | 'appUrl'>

/** What is in a database when it is made. Each is the name of a database to copy. */
export type Content = 'empty' | 'demo'

/** A PostgreSQL server for one run, removed with its data when that ends. Its databases are made by `temporaryDatabase`. */
export async function startTemporaryPostgres(): Promise<Postgres> {
  const postgres = await startPostgres(join(ROOT, '.data', `temporary-postgres-${process.pid}`), { durable: false })
  try {
    await create(postgres, 'empty', 'postgres')
    const { appUrl, migrationsUrl } = await create(postgres, 'demo', 'empty')
    // The server fills it when it starts.
    const server = await startServerProcess({
      DATABASE_URL: appUrl,
      MIGRATIONS_URL: migrationsUrl,
      PORT: String(await freePort()),
    })
    server.kill()
    await once(server, 'exit')
    return postgres
  } catch (error) {
    await removePostgres(postgres)
    throw error
  }
}

/** A new database on such a server: a copy, because filling one takes ten times as long. */
export const temporaryDatabase = (postgres: DatabaseUrls, content: Content): Promise<DatabaseUrls> =>
  create(postgres, `copy_${process.pid}_${process.hrtime.bigint()}`, content)

async function create(postgres: DatabaseUrls, name: string, template: string): Promise<DatabaseUrls> {
  const admin = new pg.Client(postgres.adminUrl)
  await admin.connect()
  try {
    await admin.query(`create database ${name} template ${template}`)
  } finally {
    await admin.end()
  }
  const within = (url: string) => url.replace(/\/[^/]*$/, `/${name}`)
  return { adminUrl: within(postgres.adminUrl), migrationsUrl: within(postgres.migrationsUrl), appUrl: within(postgres.appUrl) }
}

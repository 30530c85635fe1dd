// npm start: everything a fresh clone needs, then the application on loopback.
import { createConnection } from 'node:net'
import { join } from 'node:path'
import { startServer } from '../src/server/main.ts'
import { Lifetime } from './lib/lifetime.ts'
import { startPostgres } from './lib/postgres/postgres.ts'
import { Problem, runMain } from './lib/problem.ts'
import { buildClient, CLIENT_FOLDER, DATA_FOLDER } from './lib/project.ts'

const lifetime = new Lifetime()

await runMain(async () => {
  try {
    await begin()
    await lifetime.told
  } catch (error) {
    // What was cut short by being told to stop is no trouble.
    if (!lifetime.isEnding) throw error
  } finally {
    await lifetime.end()
  }
  process.exit(0)
})

async function begin(): Promise<void> {
  const host = process.env.HOST ?? '127.0.0.1'
  const port = Number(process.env.PORT ?? 4173)
  if (!Number.isInteger(port) || port < 1 || port > 65_535)
    throw new Problem(`PORT is “${process.env.PORT}”; it must be a number from 1 to 65535.`)
  if (await isTaken(host, port))
    throw new Problem(`Port ${port} is taken by another program. Stop it, or choose another port: PORT=4180 npm start.`)

  const urls = process.env.DATABASE_URL ? { databaseUrl: process.env.DATABASE_URL } : await ownDatabase()
  if (lifetime.isEnding) return
  await buildClient()
  if (lifetime.isEnding) return
  const server = await startServer({
    ...urls,
    host,
    port,
    names: namesOf(process.env.ALLOWED_HOSTS ?? ''),
    clientFolder: CLIENT_FOLDER,
    backupFolder: join(DATA_FOLDER, 'backups'),
    logLevel: process.env.LOG_LEVEL ?? 'warn',
  }).catch((error: Error & { code?: string }) => {
    if (error.code !== undefined) throw databaseProblem(error)
    throw error
  })
  lifetime.onEnd(server.close)
  console.log(`Wide Reach is at ${server.url} (Ctrl-C stops it)`)
}

async function ownDatabase(): Promise<{ databaseUrl: string; migrationsUrl: string }> {
  const own = await startPostgres(join(DATA_FOLDER, 'postgres'), { durable: true })
  lifetime.onEnd(own.stop)
  if (own.sharedWith.length > 0)
    console.error(
      `The database in ${own.folder} is in use by run ${own.sharedWith.join(', ')} of this checkout; this run shares it.`,
    )
  return { databaseUrl: own.appUrl, migrationsUrl: own.migrationsUrl }
}

function namesOf(list: string): string[] {
  return list
    .split(',')
    .map((name) => name.trim())
    .filter(Boolean)
}

/** What is said of a database that answers with an error before anything runs. */
function databaseProblem({ code, message }: Error & { code?: string }): Problem {
  const said = message || code
  return process.env.DATABASE_URL
    ? new Problem(
        `The database of DATABASE_URL cannot be used (${said}). Start it or correct the address, or leave DATABASE_URL out.`,
      )
    : new Problem(
        `The database in ${join(DATA_FOLDER, 'postgres')} cannot be read (${said}). Nothing was changed; “npm run restore -- FILE” brings back a backup into a new one.`,
      )
}

function isTaken(host: string, port: number): Promise<boolean> {
  return new Promise((done) => {
    const probe = createConnection({ host, port })
    probe.once('connect', () => {
      probe.destroy()
      done(true)
    })
    probe.once('error', () => done(false))
  })
}

// npm start: everything a fresh clone needs, then the application on loopback.
import { createConnection } from 'node:net'
import { join } from 'node:path'
import { startServer } from '../src/server/main.ts'
import { startPostgres } from './lib/postgres.ts'
import { Problem, runMain } from './lib/problem.ts'
import { buildClient, CLIENT_FOLDER, ROOT } from './lib/project.ts'

await runMain(async () => {
  const host = process.env.HOST ?? '127.0.0.1'
  const port = Number(process.env.PORT ?? 4173)
  if (!Number.isInteger(port) || port < 1 || port > 65_535)
    throw new Problem(`PORT is “${process.env.PORT}”; it must be a number from 1 to 65535.`)
  if (await isTaken(host, port))
    throw new Problem(`Port ${port} is taken by another program. Stop it, or choose another port: PORT=4180 npm start.`)

  const own = process.env.DATABASE_URL ? undefined : await startPostgres(join(ROOT, '.data', 'postgres'), { durable: true })
  try {
    buildClient()
    const server = await startServer({
      databaseUrl: process.env.DATABASE_URL ?? own!.url,
      host,
      port,
      names: (process.env.ALLOWED_HOSTS ?? '')
        .split(',')
        .map((name) => name.trim())
        .filter(Boolean),
      clientFolder: CLIENT_FOLDER,
      logLevel: process.env.LOG_LEVEL ?? 'warn',
    }).catch((error: Error & { code?: string }) => {
      if (process.env.DATABASE_URL && /^(E[A-Z]+|28|3D|08)/.test(error.code ?? ''))
        throw new Problem(
          `The database of DATABASE_URL cannot be used (${error.message || error.code}). Start it or correct the address, or leave DATABASE_URL out.`,
        )
      throw error
    })
    let closing = false
    const close = async () => {
      if (closing) return
      closing = true
      await server.close()
      own?.stop()
      process.exit(0)
    }
    process.on('SIGINT', close)
    process.on('SIGTERM', close)
    console.log(`Wide Reach is at ${server.url} (Ctrl-C stops it)`)
  } catch (error) {
    own?.stop()
    throw error
  }
})

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

// npm run dev: the database, the server that restarts when its own sources change, and the client with hot reload.
import { spawn } from 'node:child_process'
import { join } from 'node:path'
import { createServer } from 'vite'
import { ROOT } from '../src/server/root.ts'
import { Lifetime } from './lib/lifetime.ts'
import { startPostgres } from './lib/postgres/postgres.ts'
import { runMain } from './lib/problem.ts'
import { DATA_FOLDER } from './lib/project.ts'

const SERVER_FOLDERS = ['server', 'core', 'shared'].map((name) => join(ROOT, 'src', name))
const lifetime = new Lifetime()

await runMain(async () => {
  const own = process.env.DATABASE_URL ? undefined : await startPostgres(join(DATA_FOLDER, 'postgres'), { durable: true })
  if (own) lifetime.onEnd(own.stop)
  const env = {
    ...process.env,
    DATABASE_URL: process.env.DATABASE_URL ?? own?.appUrl,
    MIGRATIONS_URL: own?.migrationsUrl,
    LOG_LEVEL: 'info',
  }
  const run = () => spawn(process.execPath, ['scripts/run.mjs', 'scripts/lib/server.ts'], { cwd: ROOT, env, stdio: 'inherit' })
  let api = run()
  lifetime.onEnd(() => void api.kill('SIGTERM'))
  const client = await createServer({ configFile: join(ROOT, 'vite.config.ts') })
  lifetime.onEnd(() => client.close())
  const runAgain = () => {
    if (!lifetime.isEnding) api = run()
  }
  const restart = () => {
    const isGone = (api.exitCode ?? api.signalCode) !== null
    if (isGone) runAgain()
    else if (!api.killed) {
      api.once('exit', runAgain)
      api.kill('SIGTERM')
    }
  }
  client.watcher.add(SERVER_FOLDERS).on('all', (_event, path) => {
    if (SERVER_FOLDERS.some((folder) => path.startsWith(folder)) && !path.endsWith('.test.ts')) restart()
  })
  await client.listen()
  console.log(`Wide Reach is at ${client.resolvedUrls?.local[0]} with hot reload (Ctrl-C stops it)`)
  await lifetime.told
  await lifetime.end()
  process.exit(0)
})

// npm run dev: the database, the server that restarts when its own sources change, and the client with hot reload.
import { type ChildProcess, spawn } from 'node:child_process'
import { join } from 'node:path'
import { createServer } from 'vite'
import { Lifetime } from './lib/lifetime.ts'
import { startPostgres } from './lib/postgres/postgres.ts'
import { runMain } from './lib/problem.ts'
import { DATA_FOLDER, ROOT } from './lib/project.ts'

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
  const api: ChildProcess = spawn(
    process.execPath,
    [join(ROOT, 'node_modules', 'tsx', 'dist', 'cli.mjs'), 'watch', 'scripts/lib/apiServer.ts'],
    { cwd: ROOT, env, stdio: 'inherit' },
  )
  lifetime.onEnd(() => void api.kill('SIGTERM'))
  const client = await createServer({ configFile: join(ROOT, 'vite.config.ts') })
  lifetime.onEnd(() => client.close())
  await client.listen()
  console.log(`Wide Reach is at ${client.resolvedUrls?.local[0]} with hot reload (Ctrl-C stops it)`)
  await lifetime.told
  await lifetime.end()
  process.exit(0)
})

// npm run dev: the database, the server that restarts when its own sources change, and the client with hot reload.
import { type ChildProcess, spawn } from 'node:child_process'
import { join } from 'node:path'
import { createServer } from 'vite'
import { startPostgres } from './lib/postgres.ts'
import { runMain } from './lib/problem.ts'
import { ROOT } from './lib/project.ts'

await runMain(async () => {
  const own = process.env.DATABASE_URL ? undefined : await startPostgres(join(ROOT, '.data', 'postgres'), { durable: true })
  const env = { ...process.env, DATABASE_URL: process.env.DATABASE_URL ?? own?.url, LOG_LEVEL: 'info' }
  const api: ChildProcess = spawn(
    process.execPath,
    [join(ROOT, 'node_modules', 'tsx', 'dist', 'cli.mjs'), 'watch', 'scripts/lib/apiServer.ts'],
    { cwd: ROOT, env, stdio: 'inherit' },
  )
  const client = await createServer({ configFile: join(ROOT, 'vite.config.ts') })
  await client.listen()
  console.log(`Wide Reach is at ${client.resolvedUrls?.local[0]} with hot reload (Ctrl-C stops it)`)
  const close = async () => {
    api.kill('SIGTERM')
    await client.close()
    own?.stop()
    process.exit(0)
  }
  process.on('SIGINT', close)
  process.on('SIGTERM', close)
})

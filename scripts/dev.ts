// npm run dev: the database, the server that restarts on change, and the client with hot reload.
import { type ChildProcess, spawn } from 'node:child_process'
import { join } from 'node:path'
import { startPostgres } from './lib/postgres.ts'
import { runMain } from './lib/problem.ts'
import { ROOT } from './lib/project.ts'

await runMain(async () => {
  const own = process.env.DATABASE_URL ? undefined : await startPostgres(join(ROOT, '.data', 'postgres'), { durable: true })
  const env = { ...process.env, DATABASE_URL: process.env.DATABASE_URL ?? own!.url, LOG_LEVEL: 'info' }
  const run = (tool: string, ...args: string[]): ChildProcess =>
    spawn(process.execPath, [join(ROOT, 'node_modules', tool), ...args], { cwd: ROOT, env, stdio: 'inherit' })
  const children = [run('tsx/dist/cli.mjs', 'watch', 'scripts/start.ts'), run('vite/bin/vite.js')]
  const close = () => {
    for (const child of children) child.kill('SIGTERM')
    own?.stop()
    process.exit(0)
  }
  process.on('SIGINT', close)
  process.on('SIGTERM', close)
})

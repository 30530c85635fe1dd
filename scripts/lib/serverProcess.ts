import { type ChildProcess, fork } from 'node:child_process'
import { join } from 'node:path'
import { ROOT } from '../../src/server/root.ts'

/** Runs a script as a process of its own and waits until it sends word that it listens. It ends with whoever started it. */
export async function startProcess(script: string, env: Record<string, string>): Promise<ChildProcess> {
  const child = fork(join(ROOT, 'scripts', 'run.mjs'), [script], {
    cwd: ROOT,
    env: { ...process.env, LOG_LEVEL: 'silent', ...env },
  })
  await new Promise<void>((resolve, reject) => {
    child.once('message', () => resolve())
    child.once('exit', (code) => reject(new Error(`${script} ended with ${code}`)))
  })
  return child
}

/** The server on a database; where no client is named, without one. */
export const startServerProcess = (env: { DATABASE_URL: string; MIGRATIONS_URL?: string; PORT: string; CLIENT?: string }) =>
  startProcess('scripts/lib/server.ts', env)

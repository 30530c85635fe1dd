import { type ChildProcess, fork } from 'node:child_process'
import { join } from 'node:path'
import { ROOT } from '../../src/server/root.ts'

/** Runs a script as a separate process. Resolves when the script reports that it listens. The process ends when this one does. */
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

/** The server on a database, with the built client where its folder is given. */
export const startServerProcess = (env: {
  DATABASE_URL: string
  MIGRATIONS_URL?: string
  PORT: string
  CLIENT_FOLDER?: string
}) => startProcess('scripts/lib/server.ts', env)

import { type ChildProcess, spawn } from 'node:child_process'
import { ROOT } from '../../src/server/root.ts'

/** Starts the server as a process of its own and waits for the line that says it listens. */
export async function startProcess(databaseUrl: string, port: number): Promise<ChildProcess> {
  const child = spawn(process.execPath, ['scripts/run.mjs', 'tests/server/serve.ts'], {
    cwd: ROOT,
    env: { ...process.env, DATABASE_URL: databaseUrl, PORT: String(port) },
    stdio: ['ignore', 'pipe', 'inherit'],
  })
  await new Promise<void>((resolve, reject) => {
    child.stdout!.on('data', (chunk) => String(chunk).includes('listening') && resolve())
    child.once('exit', (code) => reject(new Error(`the server ended with ${code}`)))
  })
  return child
}

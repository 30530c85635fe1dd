import { spawn } from 'node:child_process'
import { chmodSync, mkdtempSync, readdirSync, rmSync } from 'node:fs'
import { createServer } from 'node:net'
import { join } from 'node:path'
import { setTimeout } from 'node:timers/promises'
import pg from 'pg'
import { afterAll, describe, expect, inject, test } from 'vitest'
import { freePort } from '../../scripts/lib/freePort.ts'
import { serverOn } from '../../scripts/lib/postgres/processes.ts'
import { ROOT } from '../../src/server/root.ts'
import { sampleOf } from '../depth.ts'

/** Runs npm start's script to its end, or until it says where it is. */
async function start(
  env: Record<string, string>,
): Promise<{ said: string; code: number | null; stop: () => Promise<number | null> }> {
  const child = spawn(process.execPath, ['scripts/run.mjs', 'scripts/start.ts'], {
    cwd: ROOT,
    env: { ...process.env, ...env },
    stdio: ['ignore', 'pipe', 'pipe'],
  })
  let said = ''
  const ended = new Promise<number | null>((resolve) => child.once('exit', resolve))
  const ready = new Promise<void>((resolve) => {
    for (const stream of [child.stdout, child.stderr])
      stream.on('data', (chunk) => {
        said += String(chunk)
        if (said.includes('Wide Reach is at')) resolve()
      })
  })
  const code = await Promise.race([ended, ready.then(() => null)])
  return {
    said,
    code,
    stop: () => {
      child.kill('SIGINT')
      return ended
    },
  }
}

test('a port in use, a port that is none, and a database that is away are each one sentence that says what to do', async () => {
  const taken = createServer()
  await new Promise<void>((done) => taken.listen(0, '127.0.0.1', done))
  const { port } = taken.address() as { port: number }
  expect(await start({ PORT: String(port) })).toMatchObject({
    code: 1,
    said: expect.stringMatching(/^Port \d+ is taken by another program\. .* PORT=\d+ npm start\.\n$/),
  })
  taken.close()
  expect(await start({ PORT: '99999' })).toMatchObject({ code: 1, said: expect.stringMatching(/^PORT is “99999”/) })
  const away = await start({ PORT: String(await freePort()), DATABASE_URL: 'postgres://nobody:x@127.0.0.1:1/none' })
  expect(away.code).toBe(1)
  expect(away.said).toMatch(/The database of DATABASE_URL cannot be used .* leave DATABASE_URL out\.\n$/)
})

test('with DATABASE_URL it uses that server, says where it is in its last line, and ends cleanly on Ctrl-C', async () => {
  const port = await freePort()
  const running = await start({ PORT: String(port), DATABASE_URL: inject('postgres').adminUrl })
  expect(running.said.trim().split('\n').at(-1)).toBe(`Wide Reach is at http://127.0.0.1:${port} (Ctrl-C stops it)`)
  // Health has little patience with a database that other tests keep busy.
  const health = async () => (await fetch(`http://127.0.0.1:${port}/api/health`)).status
  await expect.poll(health, { timeout: 20_000 }).toBe(200)
  const page = await fetch(`http://127.0.0.1:${port}/traces/any`)
  expect([page.status, await page.text()]).toEqual([200, expect.stringContaining('<div id="root">')])
  // By itself it would end a connection after five seconds.
  expect(page.headers.get('keep-alive')).toBe('timeout=60')
  expect(await running.stop()).toBe(0)
  const client = new pg.Client(inject('postgres').adminUrl)
  await client.connect()
  await client.end()
})

describe('with a database of its own', () => {
  const folder = mkdtempSync('/var/tmp/wide-reach-lifecycle-')
  const env = async () => ({ DATA_FOLDER: folder, PORT: String(await freePort()) })
  const answering = async ({ PORT }: { PORT: string }) => (await fetch(`http://127.0.0.1:${PORT}/api/traces`)).status
  const dataFolders = () =>
    readdirSync('/var/tmp')
      .filter((name) => name.startsWith('wide-reach-'))
      .map((name) => join('/var/tmp', name, 'data'))
  const anyServer = () => [join(folder, 'postgres', 'data'), ...dataFolders()].map(serverOn).find((each) => each !== undefined)
  chmodSync(folder, 0o755)
  afterAll(() => rmSync(folder, { recursive: true, force: true }))

  test('interrupted at any moment of its start it ends cleanly, leaves nothing running, and the next start has all it needs', async () => {
    for (const afterMs of sampleOf([150, 700, 1_500, 2_500], 2)) {
      const child = spawn(process.execPath, ['scripts/run.mjs', 'scripts/start.ts'], {
        cwd: ROOT,
        env: { ...process.env, ...(await env()) },
        stdio: 'ignore',
      })
      const ended = new Promise<number | null>((resolve) => child.once('exit', resolve))
      await setTimeout(afterMs)
      child.kill('SIGINT')
      await ended
      expect(anyServer()).toBeUndefined()
    }
    const settings = await env()
    const running = await start(settings)
    expect(running.code).toBe(null)
    expect(await answering(settings)).toBe(200)
    expect(await running.stop()).toBe(0)
  })

  test('a second start says whose the database is and shares it; it goes on when the first has ended', async () => {
    const [first, second] = [await env(), await env()]
    const running = await start(first)
    const guest = await start(second)
    expect(guest.said).toMatch(/The database in .* is in use by run \d+ of this checkout; this run shares it\./)
    expect(await running.stop()).toBe(0)
    expect(await answering(second)).toBe(200)
    expect(await guest.stop()).toBe(0)
    expect(anyServer()).toBeUndefined()
  })
})

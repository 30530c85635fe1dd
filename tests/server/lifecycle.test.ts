import { spawn } from 'node:child_process'
import { existsSync } from 'node:fs'
import { createServer } from 'node:net'
import { join } from 'node:path'
import pg from 'pg'
import { expect, inject, test } from 'vitest'
import { freePort, removePostgres, startPostgres } from '../../scripts/lib/postgres.ts'
import { ROOT } from '../../scripts/lib/project.ts'

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
  const running = await start({ PORT: String(port), DATABASE_URL: inject('postgresUrl') })
  expect(running.said.trim().split('\n').at(-1)).toBe(`Wide Reach is at http://127.0.0.1:${port} (Ctrl-C stops it)`)
  expect((await fetch(`http://127.0.0.1:${port}/api/health`)).status).toBe(200)
  const page = await fetch(`http://127.0.0.1:${port}/traces/any`)
  expect([page.status, await page.text()]).toEqual([200, expect.stringContaining('<div id="root">')])
  expect(await running.stop()).toBe(0)
  const client = new pg.Client(inject('postgresUrl'))
  await client.connect()
  await client.end()
})

test('a PostgreSQL of the project’s own asks for its password, listens on loopback alone, and is gone when removed', async () => {
  const folder = join(ROOT, '.data', `lifecycle-postgres-${process.pid}`)
  const postgres = await startPostgres(folder, { durable: false })
  const stranger = new pg.Client(postgres.url.replace(/:[0-9a-f]{48}@/, ':guess@'))
  await expect(stranger.connect()).rejects.toThrow(/password/)
  const client = new pg.Client(postgres.url)
  await client.connect()
  expect((await client.query('show listen_addresses')).rows[0]).toEqual({ listen_addresses: '127.0.0.1' })
  await client.end()
  // A second run in the same folder shares the server, and leaves it running when it goes.
  const guest = await startPostgres(folder, { durable: false })
  expect(guest.url).toBe(postgres.url)
  guest.stop()
  const again = new pg.Client(postgres.url)
  await again.connect()
  await again.end()
  removePostgres(postgres)
  expect(existsSync(postgres.folder)).toBe(false)
})

import { randomUUID } from 'node:crypto'
import { once } from 'node:events'
import { join } from 'node:path'
import { expect, test } from 'vitest'
import { freePort } from '../../scripts/lib/freePort.ts'
import { removePostgres, startPostgres } from '../../scripts/lib/postgres/postgres.ts'
import { serverOn } from '../../scripts/lib/postgres/processes.ts'
import { startServerProcess } from '../../scripts/lib/serverProcess.ts'
import { ROOT } from '../../src/server/root.ts'
import { healthBody } from '../../src/shared/health.ts'
import { atDepth } from '../depth.ts'
import { freshDatabase, startTestServer } from './testServer.ts'

const SAVES_BEFORE_KILL = 60

test('a server killed in the middle of saves loses no acknowledged save', async () => {
  const databaseUrl = await freshDatabase('demo')
  const port = await freePort()
  const send = async (method: string, path: string, body?: unknown) => {
    const response = await fetch(`http://127.0.0.1:${port}/api${path}`, {
      method,
      headers: { 'Content-Type': 'application/json' },
      ...(body ? { body: JSON.stringify(body) } : {}),
    })
    return { status: response.status, body: (await response.json()) as any }
  }
  let child = await startServerProcess({ DATABASE_URL: databaseUrl, PORT: String(port) })
  const { content } = (await send('GET', '/traces')).body.documents[0]
  const named = (name: string) => ({ ...content, trace: { ...content.trace, name } })
  const ids = Array.from({ length: 8 }, () => randomUUID())
  for (const id of ids) await send('POST', '/traces', { id, content: named('start') })

  for (let round = 0; round < atDepth(1, 3); round += 1) {
    let saves = 0
    const acknowledged = new Map<string, { revision: number; name: string }>()
    const savers = ids.map(async (id) => {
      for (;;) {
        try {
          const { revision } = acknowledged.get(id) ?? (await send('GET', `/traces/${id}`)).body
          const name = `round ${round}, after ${revision}`
          const answer = await send('PUT', `/traces/${id}`, { baseRevision: revision, content: named(name) })
          if (answer.status === 200) acknowledged.set(id, { revision: answer.body.revision, name })
          // Killed while the other savers are each in the middle of a save.
          if (answer.status === 200 && ++saves === SAVES_BEFORE_KILL) child.kill('SIGKILL')
        } catch {
          return
        }
      }
    })
    await Promise.all([once(child, 'exit'), ...savers])
    child = await startServerProcess({ DATABASE_URL: databaseUrl, PORT: String(port) })
    for (const [id, { revision, name }] of acknowledged) {
      expect((await send('GET', `/traces/${id}/revisions/${revision}`)).body.content.trace.name).toBe(name)
      // A save on its way when the server died was either taken whole or not at all.
      expect([revision, revision + 1]).toContain((await send('GET', `/traces/${id}`)).body.revision)
    }
  }
  child.kill('SIGKILL')
  await once(child, 'exit')
})

/** Longest that the database may be away before it is back by itself, over the time of its first start. */
const BACK = 3
/** What is not back by then hangs. */
const HANGS_MS = 30_000

test('PostgreSQL killed at once is told by health and by 503 with a time to retry, and is back by itself', async () => {
  const beganMs = performance.now()
  const postgres = await startPostgres(join(ROOT, '.data', `killed-postgres-${process.pid}`), { durable: true })
  const startMs = performance.now() - beganMs
  const server = await startTestServer(postgres.migrationsUrl)
  const runningPid = () => serverOn(join(postgres.folder, 'data'))?.pid
  const databaseState = async () => healthBody.parse((await server.send('GET', '/health')).body).database
  const killed = async (): Promise<number> => {
    await expect.poll(databaseState, { timeout: HANGS_MS }).toBe('up')
    const old = runningPid()!
    process.kill(old, 'SIGKILL')
    const killedMs = performance.now()
    // A backend that has not yet seen its server die may still answer: it is back when another server answers.
    const isBack = ({ status }: { status: number }) => status === 200 && ![undefined, old].includes(runningPid())
    const answers = [await server.send('GET', '/traces')]
    while (!isBack(answers.at(-1)!) && performance.now() - killedMs < HANGS_MS) {
      expect(await databaseState()).toMatch(/up|slow|down/)
      answers.push(await server.send('GET', '/traces'))
    }
    for (const { status, body, headers } of answers.filter((answer) => answer.status !== 200))
      expect([status, body.error.code, Number(headers.get('Retry-After')) > 0]).toEqual([503, 'database-away', true])
    expect(answers.at(-1)!.body.documents).toHaveLength(14)
    return performance.now() - killedMs
  }
  // A busy machine may hold up one start; not every one.
  const awayMs = [await killed(), await killed(), await killed()]
  expect(Math.min(...awayMs) / startMs).toBeLessThan(BACK)
  await server.close()
  await removePostgres(postgres)
})

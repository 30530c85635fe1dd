import { afterAll, beforeAll, expect, test } from 'vitest'
import { manySnoods } from '../fixtures/longTraces.ts'
import { braidOutfit } from '../fixtures/outfits.ts'
import { startTestServer, type TestServer } from './testServer.ts'

const body = { trace: manySnoods(200), outfit: braidOutfit(50) }
const ASKED = 12

let server: TestServer
beforeAll(async () => {
  server = await startTestServer()
  expect((await server.send('POST', '/evaluate', body)).status).toBe(200)
})
afterAll(() => server.close())

test('while traces of 200 parts are worked out one after another, health answers at once', async () => {
  let left = ASKED
  const evaluations = Array.from({ length: ASKED }, async () => {
    const { status } = await server.send('POST', '/evaluate', body)
    left -= 1
    return status
  })
  let answers = 0
  for (; left > 0; answers += 1) expect((await server.send('GET', '/health')).body.server).toBe('up')
  // On a busy machine the last of them may take too long, and say so.
  const statuses = new Set(await Promise.all(evaluations))
  statuses.delete(503)
  expect(statuses).toEqual(new Set([200]))
  // On any machine: a server that works them out itself answers about once between two of them.
  expect(answers).toBeGreaterThan(2 * ASKED)
})

test.each([
  ['what takes too long is stopped', { timeMs: 1 }, 'too-long'],
  ['what finds too many waiting is sent away', { waiting: 0 }, 'busy'],
])('%s, and told when to come again; all else goes on', async (_what, jobs, code) => {
  const narrow = await startTestServer(server.databaseUrl, { jobs })
  const answer = await narrow.send('POST', '/evaluate', body)
  expect([answer.status, answer.body.error.code]).toEqual([503, code])
  expect(Number(answer.headers.get('Retry-After'))).toBeGreaterThan(0)
  expect((await narrow.send('GET', '/traces')).status).toBe(200)
  await narrow.close()
})

test('the time of a job begins when its threads have started (2026-11-29: the first on a busy machine were refused)', async () => {
  // Far less than a thread takes to start, and far more than this calculation takes.
  const cold = await startTestServer(server.databaseUrl, { jobs: { timeMs: 400 } })
  const { status } = await cold.send('POST', '/calculations/gear.barMass', {
    diameterM: 0.03,
    lengthM: 0.4,
    densityKgperM3: 7850,
  })
  expect(status).toBe(200)
  await cold.close()
})

test('a client that sends more than a person does is told to wait; health still answers', async () => {
  const strict = await startTestServer(server.databaseUrl, { app: { mostRequests: 5 } })
  const statuses: number[] = []
  for (let i = 0; i < 7; i += 1) statuses.push((await strict.send('POST', '/calculations/none', {})).status)
  expect(statuses).toEqual([404, 404, 404, 404, 404, 429, 429])
  const refused = await strict.send('GET', '/traces')
  expect([refused.body.error.code, Number(refused.headers.get('Retry-After')) > 0]).toEqual(['too-many', true])
  expect((await strict.send('GET', '/health')).status).toBe(200)
  await strict.close()
})

test('who changed what and who was refused is in the log under the request’s id; no contents are', async () => {
  const secret = 'the secret mark off the point'
  const refused = await server.send('PUT', '/traces/b7e2d0f1-62a8-4c2d-9b45-2e3a81c7d211', { baseRevision: 0, content: secret })
  const line = server.logged.find((each) => each.includes(refused.body.error.requestId))
  expect(JSON.parse(line!)).toMatchObject({
    method: 'PUT',
    path: '/api/traces/b7e2d0f1-62a8-4c2d-9b45-2e3a81c7d211',
    status: 400,
    crew: expect.any(String),
  })
  expect(server.logged.join()).not.toContain(secret)
})

import fc from 'fast-check'
import { afterAll, beforeAll, describe, expect, test } from 'vitest'
import type { z } from 'zod'
import { CALCULATIONS } from '../../src/core/calculations/registry.ts'
import { observationSchema } from '../../src/core/documents/observation.ts'
import { DOCUMENT_KINDS, readContent } from '../../src/shared/documentKinds.ts'
import { DOCUMENT_KIND_NAMES } from '../../src/shared/kindNames.ts'
import { atDepth } from '../depth.ts'
import { contractArb } from '../fixtures/contractArb.ts'
import { rawRequest } from './rawRequest.ts'
import { startTestServer, type TestServer } from './testServer.ts'

const HOUND = 'b7e2d0f1-62a8-4c2d-9b45-2e3a81c7d211'
/** `SEED=… REQUESTS=… npx vitest run --project server attack` tries others. */
const SEED = Number(process.env.SEED ?? 20261125)
const REQUESTS = Number(process.env.REQUESTS ?? atDepth(600, 10_000))
const AT_ONCE = 8
const LONGEST_MS = 1_000

let server: TestServer
beforeAll(async () => {
  server = await startTestServer(undefined, { app: { mostRequests: 1e9 } })
  await server.send('POST', '/calculations/gear.barMass', {})
})
afterAll(() => server.close())

type Asked = { method: string; path: string; body?: unknown; headers?: Record<string, string> }

/** Deeper than any document, up to where whatever calls itself runs out of stack. */
const deep: fc.Arbitrary<unknown> = fc
  .tuple(fc.constantFrom<[string, string]>(['[', ']'], ['{"trace":', '}']), fc.integer({ min: 60, max: 10_000 }))
  .map(([[open, close], depth]) => `${open.repeat(depth)}1${close.repeat(depth)}`)

/** As wide as a body may be. */
const wide: fc.Arbitrary<unknown> = fc
  .tuple(fc.boolean(), fc.integer({ min: 1_000, max: 20_000 }))
  .map(([isList, width]) =>
    isList
      ? Array.from({ length: width }, (_, i) => i)
      : Object.fromEntries(Array.from({ length: width }, (_, i) => [`k${i}`, i])),
  )

const spoilt = (body: fc.Arbitrary<unknown>): fc.Arbitrary<unknown> =>
  fc.oneof({ weight: 3, arbitrary: body }, { weight: 1, arbitrary: fc.jsonValue() })
const id = fc.oneof(
  fc.uuid(),
  fc.constantFrom('outfit', '__proto__', '%00', '..', '%5c..', '0', '', 'b7e2d0f1-62a8-4c2d-9b45-2e3a81c7d211', 'é'),
)
const revision = fc.oneof(fc.integer(), fc.double(), fc.constantFrom(2 ** 31, 2 ** 53, 1e308, -1))

const documentsAsked = DOCUMENT_KIND_NAMES.flatMap((kind): fc.Arbitrary<Asked>[] => {
  const content = spoilt(contractArb(DOCUMENT_KINDS[kind].content as z.ZodType))
  const at = id.map((each) => `/${kind}/${each}`)
  return [
    fc.record({ method: fc.constant('POST'), path: fc.constant(`/${kind}`), body: spoilt(fc.record({ id, content })) }),
    fc.record({ method: fc.constant('PUT'), path: at, body: spoilt(fc.record({ baseRevision: revision, content })) }),
    fc.record({ method: fc.constantFrom('GET', 'DELETE', 'PATCH', 'POST'), path: at }),
    fc.record({ method: fc.constant('GET'), path: fc.tuple(at, revision).map(([path, each]) => `${path}/revisions/${each}`) }),
  ]
})
const othersAsked: fc.Arbitrary<Asked>[] = [
  ...Object.entries(CALCULATIONS).map(([name, { input }]) =>
    fc.record({
      method: fc.constant('POST'),
      path: fc.constant(`/calculations/${name}`),
      body: spoilt(contractArb(input as z.ZodType)),
    }),
  ),
  fc.record({ method: fc.constant('POST'), path: fc.constant('/observations'), body: spoilt(contractArb(observationSchema)) }),
  fc.record({ method: fc.constant('POST'), path: fc.constant('/evaluate'), body: fc.jsonValue() }),
  fc.record({
    method: fc.constant('POST'),
    path: fc.constantFrom('/evaluate', '/calculations/cast.load', '/traces', '/observations'),
    body: fc.oneof(
      deep,
      wide,
      wide.map((content) => ({ id: HOUND, content })),
    ),
  }),
  fc.record({
    method: fc.constant('GET'),
    path: fc
      .tuple(
        fc.constantFrom('/wind', '/ports/hesk/tide', '/observations', '/traces', '/API/traces'),
        fc.dictionary(fc.constantFrom('from', 'to', 'lat', 'lon', 'mark', 'bin', 'after'), fc.string()),
      )
      .map(([path, query]) => `${path}?${new URLSearchParams(query)}`),
  }),
  fc.record({
    method: fc.constant('POST'),
    path: fc.constant('/traces'),
    body: fc.string(),
    headers: fc.constantFrom(
      { 'Content-Encoding': 'gzip' },
      { 'Content-Encoding': 'br' },
      { 'Content-Type': 'text/plain' },
      { 'Content-Type': 'application/json; charset=utf-99' },
      { 'Content-Encoding': 'x-none' },
    ) as fc.Arbitrary<Record<string, string>>,
  }),
]

test(`${REQUESTS} requests made from the contracts: no answer of 500 or more, none over a second, no unsound row`, async () => {
  const asked = fc.sample(fc.oneof(...documentsAsked, ...othersAsked), { numRuns: REQUESTS, seed: SEED })
  const inWords = ({ method, path, body }: Asked) => `${method} ${path} ${JSON.stringify(body)}`.slice(0, 400)
  const failed: string[] = []
  const slow: Asked[] = []
  const tookMs = async (each: Asked) => {
    const beganMs = performance.now()
    const { status } = await server.send(each.method, each.path, each.body, each.headers)
    if (status >= 500) failed.push(`${status}: ${inWords(each)}`)
    return performance.now() - beganMs
  }
  const left = asked.toReversed()
  await Promise.all(
    Array.from({ length: AT_ONCE }, async () => {
      for (let next = left.pop(); next; next = left.pop()) if ((await tookMs(next)) > LONGEST_MS) slow.push(next)
    }),
  )
  expect(failed).toEqual([])
  // A busy machine holds up now one, now another; what is slow by itself stays slow.
  for (const each of slow) {
    const againMs = Math.min(await tookMs(each), await tookMs(each), await tookMs(each))
    expect([inWords(each), againMs < LONGEST_MS]).toEqual([inWords(each), true])
  }
  for (const { kind, content } of await server.db
    .selectFrom('documents as head')
    .innerJoin('documentRevisions as revision', (join) =>
      join.onRef('revision.id', '=', 'head.id').onRef('revision.kind', '=', 'head.kind'),
    )
    .select(['head.kind', 'revision.content'])
    .execute())
    expect(readContent(kind as keyof typeof DOCUMENT_KINDS, content)).toMatchObject({ ok: true })
})

describe('whatever the address, the method and the headers, the answer is a refusal in words', () => {
  test.each([
    ['GET', '/api/traces/..%2f..%2fetc', 404],
    ['GET', '/..%5c..%5cwindows', 404],
    ['GET', '/assets/../../package.json', 404],
    ['GET', '/%00', 404],
    ['GET', '/%', 404],
    ['GET', '/api/traces/outfit', 404],
    ['GET', '/API/TRACES/x', 404],
    ['PROPFIND', '/api/traces', 405],
    ['PATCH', '/api/traces', 405],
    ['DELETE', '/api/health', 405],
    ['GET', '/api/traces/b7e2d0f1-62a8-4c2d-9b45-2e3a81c7d211/revisions/99999999999999', 404],
  ])('%s %s', async (method, path, status) => {
    const answer = await rawRequest(server.port, { method, path })
    expect([answer.status, answer.body]).toEqual([status, expect.stringContaining('"message"')])
  })

  test('a body that is not packed as it claims, and one in an unknown coding', async () => {
    for (const [coding, status] of [
      ['gzip', 400],
      ['deflate', 400],
      ['br', 400],
      ['zap', 415],
    ] as const)
      expect((await server.send('POST', '/traces', 'not packed', { 'Content-Encoding': coding })).status).toBe(status)
  })

  test('a base revision beyond an integer is refused with the path to it', async () => {
    const answer = await server.send('PUT', '/traces/b7e2d0f1-62a8-4c2d-9b45-2e3a81c7d211', {
      baseRevision: 2 ** 31,
      content: {},
    })
    expect([answer.status, answer.body.error.issues[0].path]).toEqual([400, ['baseRevision']])
  })
})

describe('doors', () => {
  const port = () => server.port
  const trace = JSON.stringify({ id: '00000000-0000-4000-8000-000000000001', content: {} })

  test.each(['evil.example', 'localhost.evil.example', '192.168.1.9', ''])(
    'under the name “%s” nothing is read',
    async (name) => {
      const answer = await rawRequest(port(), { path: '/api/traces', headers: { Host: name === '' ? '' : `${name}:${port()}` } })
      expect([answer.status, JSON.parse(answer.body).error.code]).toEqual([403, 'wrong-host'])
    },
  )

  test.each(['localhost', '127.0.0.1', '[::1]'])('under %s it answers', async (name) => {
    expect((await rawRequest(port(), { path: '/api/health', headers: { Host: `${name}:${port()}` } })).status).toBe(200)
  })

  test.each([
    ['a foreign page', { Origin: 'http://evil.example' }],
    ['a page without an origin of its own', { Origin: 'null' }],
    ['another program on this machine', { Origin: 'http://127.0.0.1:1' }],
    ['a foreign page of a browser that says so', { 'Sec-Fetch-Site': 'cross-site' }],
    ['a sister site', { 'Sec-Fetch-Site': 'same-site' }],
  ])('%s changes nothing', async (_who, headers) => {
    for (const method of ['POST', 'PUT', 'DELETE']) {
      const answer = await server.send(method, '/traces', trace, headers)
      expect([answer.status, answer.body.error.code]).toEqual([403, 'foreign-page'])
    }
  })

  test('listening on every address it goes by its numbers and the names it was told, and by no other', async () => {
    const open = await startTestServer(server.databaseUrl, {
      app: { allowedHosts: { host: '0.0.0.0', names: ['Fulmar.local'] } },
    })
    const statusAs = async (name: string) =>
      (await rawRequest(open.port, { path: '/api/calculations', headers: { Host: `${name}:${open.port}` } })).status
    for (const name of ['192.168.1.9', '[fe80::1]', 'fulmar.local', 'localhost'])
      expect([name, await statusAs(name)]).toEqual([name, 200])
    for (const name of ['evil.example', 'fulmar.local.evil.example', '192.168.1.9.evil.example'])
      expect([name, await statusAs(name)]).toEqual([name, 403])
    await open.close()
  })

  test('a form’s post is no JSON; the application’s own page may change things', async () => {
    const form = { 'Content-Type': 'application/x-www-form-urlencoded' }
    expect((await server.send('POST', '/traces', 'id=1', form)).status).toBe(415)
    const own = { Origin: `http://127.0.0.1:${port()}`, 'Sec-Fetch-Site': 'same-origin' }
    expect((await server.send('POST', '/traces', trace, own)).status).toBe(400)
  })
})

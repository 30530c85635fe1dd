import { randomUUID } from 'node:crypto'
import { sql } from 'kysely'
import { afterAll, beforeAll, describe, expect, test } from 'vitest'
import { loadDemo } from '../../src/server/demo/loadDemo.ts'
import { DocumentRepository } from '../../src/server/documents/repository.ts'
import { readList } from '../../src/shared/documentKinds.ts'
import { errorBody } from '../../src/shared/errors.ts'
import type { TraceContent } from '../../src/shared/traceContent.ts'
import { revisionList } from '../../src/shared/versioned.ts'
import { startTestServer, type TestServer } from './testServer.ts'

let server: TestServer
beforeAll(async () => {
  server = await startTestServer()
})
afterAll(() => server.close())

const HOUND = 'b7e2d0f1-62a8-4c2d-9b45-2e3a81c7d211'

async function newTrace(name = 'a trace'): Promise<{ id: string; content: TraceContent }> {
  const { body } = await server.send('GET', `/traces/${HOUND}`)
  const content = { ...body.content, trace: { ...body.content.trace, name } }
  const id = randomUUID()
  const created = await server.send('POST', '/traces', { id, content })
  expect(created.status).toBe(201)
  return { id, content }
}
const renamed = (content: TraceContent, name: string): TraceContent => ({ ...content, trace: { ...content.trace, name } })
const save = (id: string, baseRevision: number, content: TraceContent) =>
  server.send('PUT', `/traces/${id}`, { baseRevision, content })

describe('the demonstration data', () => {
  test('is a dozen traces, five outfits and the gear, every answer under its contract', async () => {
    const traces = await server.send('GET', '/traces')
    expect(readList('traces', traces.body.documents)).toMatchObject({ documents: { length: 14 }, unreadable: [] })
    expect((await server.send('GET', '/outfits')).body.documents).toHaveLength(5)
    expect((await server.send('GET', '/gear')).body.documents.length).toBeGreaterThan(30)
    const rules = readList('rule-sets', (await server.send('GET', '/rule-sets')).body.documents).documents
    const { content } = readList('settings', (await server.send('GET', '/settings')).body.documents).documents[0]!
    expect(rules.map(({ id }) => id)).toContain(content.ruleSetId)
  })

  test('is loaded once, and never over what a user changed or isTrash', async () => {
    const before = (await server.send('GET', `/traces/${HOUND}`)).body
    await save(HOUND, before.revision, renamed(before.content, 'my own name'))
    const pier = 'b7e2d0f1-62a8-4c2d-9b45-2e3a81c7d210'
    await server.send('DELETE', `/traces/${pier}`)
    await server.db.updateTable('crews').set({ demoLoadedAt: null }).execute()
    await loadDemo(server.db)
    expect((await server.send('GET', `/traces/${HOUND}`)).body.content.trace.name).toBe('my own name')
    expect((await server.send('GET', `/traces/${pier}`)).body.binnedAt).not.toBeNull()
  })
})

describe('saving', () => {
  test('a save makes the next revision, and every earlier one stays readable', async () => {
    const { id, content } = await newTrace('first')
    expect((await save(id, 1, renamed(content, 'second'))).body).toMatchObject({
      revision: 2,
      content: { trace: { name: 'second' } },
    })
    const revisions = revisionList.parse((await server.send('GET', `/traces/${id}/revisions`)).body)
    expect(revisions.map(({ revision }) => revision)).toEqual([2, 1])
    expect((await server.send('GET', `/traces/${id}/revisions/1`)).body.content.trace.name).toBe('first')
    expect((await server.send('GET', `/traces/${id}/revisions/3`)).status).toBe(404)
  })

  test('what was saved comes back to the last bit', async () => {
    const { id, content } = await newTrace()
    const odd = { ...content, conditions: { ...content.conditions, dragN: 0.1 + 0.2, lineOutM: 1e-7 } }
    await save(id, 1, odd)
    expect((await server.send('GET', `/traces/${id}`)).body.content.conditions).toEqual(odd.conditions)
  })

  test('a stale save is answered 409 with the current revision, and changes nothing', async () => {
    const { id, content } = await newTrace()
    await save(id, 1, renamed(content, 'theirs'))
    const stale = await save(id, 1, renamed(content, 'mine'))
    expect([stale.status, stale.body.error.code, stale.body.current.content.trace.name]).toEqual([409, 'stale', 'theirs'])
    expect((await server.send('GET', `/traces/${id}`)).body).toMatchObject({
      revision: 2,
      content: { trace: { name: 'theirs' } },
    })
  })

  test('of many saves at once from one revision, one is taken', async () => {
    const { id, content } = await newTrace()
    const answers = await Promise.all(Array.from({ length: 12 }, (_, i) => save(id, 1, renamed(content, `hand ${i}`))))
    const taken = answers.flatMap(({ status, body }, i) => (status === 200 ? [[i, body.content.trace.name]] : []))
    expect(taken).toHaveLength(1)
    // Who is told that it was saved is told of its own, not of another’s.
    for (const [i, name] of taken) expect(name).toBe(`hand ${i}`)
    expect(answers.filter(({ status }) => status === 409)).toHaveLength(11)
  })

  test('a save or a creation sent twice, because its answer was lost, is one', async () => {
    const { id, content } = await newTrace()
    const next = renamed(content, 'twice')
    expect([(await save(id, 1, next)).status, (await save(id, 1, next)).status]).toEqual([200, 200])
    expect((await server.send('GET', `/traces/${id}`)).body.revision).toBe(2)
    await save(id, 2, content)
    await save(id, 3, next)
    // Others saved since then; that the newest is the same is by chance.
    expect((await save(id, 1, next)).status).toBe(409)
    const again = randomUUID()
    const create = () => server.send('POST', '/traces', { id: again, content })
    expect([(await create()).status, (await create()).status]).toEqual([201, 201])
    expect((await server.send('POST', '/traces', { id: again, content: next })).status).toBe(409)
  })

  test('deleting is a way to the bin, and back', async () => {
    const { id, content } = await newTrace('isTrash')
    await server.send('DELETE', `/traces/${id}`)
    const ids = async (query: string) =>
      (await server.send('GET', `/traces${query}`)).body.documents.map((trace: { id: string }) => trace.id)
    expect(await ids('')).not.toContain(id)
    expect(await ids('?trash=true')).toContain(id)
    const refused = await save(id, 1, content)
    expect([refused.status, refused.body.error.code]).toEqual([409, 'in-trash'])
    expect(refused.body.error.message).toContain('in the trash')
    await server.send('POST', `/traces/${id}/restore`)
    expect(await ids('')).toContain(id)
  })

  test('another crew sees and changes nothing of it', async () => {
    const { id, content } = await newTrace()
    const stranger = randomUUID()
    await server.db.insertInto('crews').values({ id: stranger, name: 'others' }).execute()
    const repository = new DocumentRepository(server.db)
    const theirs = { crewId: stranger, kind: 'traces', id } as const
    expect(await repository.find(theirs)).toBeUndefined()
    expect(await repository.findRevision(theirs, 1)).toBeUndefined()
    expect(await repository.list(stranger, 'traces', { isTrash: false, limit: 10 })).toEqual({ documents: [], next: null })
    expect(await repository.listRevisions(theirs)).toEqual([])
    expect(await repository.save(theirs, 1, content)).toEqual({ outcome: 'missing' })
    expect(await repository.setTrashed(theirs, new Date())).toBeUndefined()
    expect((await server.send('GET', `/traces/${id}`)).body).toMatchObject({ revision: 1, binnedAt: null })
    await server.send('DELETE', `/traces/${id}`)
    expect(await repository.emptyTrash(stranger, 'traces')).toBe(0)
    expect((await server.send('GET', `/traces/${id}`)).body).toMatchObject({ id, binnedAt: expect.any(String) })
    await server.send('POST', `/traces/${id}/restore`)
  })
})

describe('what is refused', () => {
  const cases: [string, string, string, unknown, Record<string, string>, number, string][] = [
    ['bad JSON', 'POST', '/traces', '{"id":', {}, 400, 'bad-json'],
    ['a body that is no object', 'POST', '/traces', '7', {}, 400, 'invalid'],
    ['a body of two megabytes', 'POST', '/traces', JSON.stringify({ id: 'x'.repeat(2_000_000) }), {}, 413, 'too-large'],
    ['another content type', 'POST', '/traces', '<trace/>', { 'Content-Type': 'text/xml' }, 415, 'wrong-type'],
    ['an id that is none', 'GET', '/traces/seven', undefined, {}, 404, 'not-found'],
    ['an unknown id', 'GET', '/traces/00000000-0000-4000-8000-000000000000', undefined, {}, 404, 'not-found'],
    ['an unknown address', 'GET', '/nothing', undefined, {}, 404, 'no-such-route'],
    ['a wrong query', 'GET', '/traces?trash=perhaps', undefined, {}, 400, 'invalid-query'],
    ['a calculation that is none', 'POST', '/calculations/cast.magic', {}, {}, 404, 'not-found'],
    ['a calculation’s bad input', 'POST', '/calculations/cast.load', { massKg: 'heavy' }, {}, 400, 'invalid'],
  ]
  test.each(cases)('%s', async (_name, method, path, body, headers, status, code) => {
    const answer = await server.send(method, path, body, headers)
    expect([answer.status, errorBody.parse(answer.body).error.code]).toEqual([status, code])
  })

  test('a document that does not hold, with the path to its fault', async () => {
    const { content } = await newTrace()
    const broken = structuredClone(content) as any
    broken.trace.pieces[2].lengthM = -1
    const answer = await server.send('POST', '/traces', { id: randomUUID(), content: broken })
    expect([answer.status, answer.body.error.issues[0].path]).toEqual([400, ['content', 'trace', 'pieces', 2, 'lengthM']])
    const unsound = structuredClone(content) as any
    unsound.trace.pieces[1].attach.to = 'ghost'
    expect((await server.send('POST', '/traces', { id: randomUUID(), content: unsound })).body.error.issues[0].message).toMatch(
      /ghost/,
    )
    const homeless = await server.send('POST', '/traces', { id: randomUUID(), content: { ...content, outfitId: randomUUID() } })
    expect([homeless.status, homeless.body.error.code]).toEqual([400, 'unknown-outfit'])
  })

  test('a calculation outside its range is 422 with its code', async () => {
    const input = {
      capacityLengthM: 100,
      capacityDiameterM: 0.0003,
      arborRadiusM: 0.01,
      fullRadiusM: 0.02,
      layers: [{ id: 'main', diameterM: 0.0003, lengthM: 50 }],
      lineOutM: 51,
    }
    const answer = await server.send('POST', '/calculations/spool.fill', input)
    expect([answer.status, answer.body.error.code]).toEqual([422, 'line-out-over-spool'])
  })
})

test('the registry and a whole evaluation answer over HTTP', async () => {
  expect((await server.send('GET', '/calculations')).body.map(({ name }: { name: string }) => name)).toContain('strength.chain')
  expect(
    (await server.send('POST', '/calculations/strength.waterDrag', { lineOutM: 200, diameterM: 0.00028, speedMperS: 5 })).body
      .dragN,
  ).toBeCloseTo(21.525, 9)
  const { content } = await newTrace()
  const { body: outfit } = await server.send('GET', `/outfits/${content.outfitId}`)
  const report = await server.send('POST', '/evaluate', {
    trace: content.trace,
    outfit: outfit.content,
    conditions: content.conditions,
  })
  expect(report.body.moments.map(({ moment }: { moment: string }) => moment)).toEqual([
    'cast',
    'settle',
    'take',
    'run',
    'snag',
    'hand',
  ])
})

test('security headers are set, and a 500 says nothing of its inside but is logged with its id', async () => {
  const healthy = await server.send('GET', '/health')
  expect(healthy.headers.get('content-security-policy')).toMatch(/default-src 'self'/)
  expect(healthy.headers.get('x-content-type-options')).toBe('nosniff')
  const broken = await startTestServer()
  await broken.db.schema.dropTable('document_revisions').cascade().execute()
  const answer = await broken.send('GET', '/gear')
  expect(answer.status).toBe(500)
  expect(JSON.stringify(answer.body)).not.toMatch(/document_revisions|relation|select/)
  expect(broken.logged.join('')).toContain(answer.body.error.requestId)
  await broken.close()
})

test('a disk that is full is told as that, nothing is changed, and with room again the same save is taken', async () => {
  const { id, content } = await newTrace()
  // What PostgreSQL throws where it cannot extend a file.
  await sql`create function no_room() returns trigger language plpgsql as
    $$ begin raise exception 'could not extend file' using errcode = '53100'; end $$`.execute(server.db)
  await sql`create trigger no_room before insert on document_revisions for each row execute function no_room()`.execute(server.db)
  const refused = await save(id, 1, renamed(content, 'no room'))
  expect([refused.status, refused.body.error.code, refused.headers.get('Retry-After')]).toEqual([503, 'disk-full', '30'])
  expect((await server.send('GET', `/traces/${id}`)).body).toMatchObject({ revision: 1, content })
  await sql`drop trigger no_room on document_revisions`.execute(server.db)
  expect((await save(id, 1, renamed(content, 'no room'))).body.revision).toBe(2)
})

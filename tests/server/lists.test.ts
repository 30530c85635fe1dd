import { randomUUID } from 'node:crypto'
import { sql } from 'kysely'
import { afterAll, beforeAll, expect, test } from 'vitest'
import { DEMO_CREW } from '../../src/server/http/crew.ts'
import { traceHead } from '../../src/shared/traceHead.ts'
import { type ListPage, listPage, ON_PAGE, type SavedRow } from '../../src/shared/versioned.ts'
import { addTraces } from '../fixtures/manyTraces.ts'
import { startTestServer, type TestServer } from './testServer.ts'

const HOUND = 'b7e2d0f1-62a8-4c2d-9b45-2e3a81c7d211'
const ADDED = 5_000
let server: TestServer

beforeAll(async () => {
  server = await startTestServer()
  await addTraces(server.databaseUrl, ADDED)
})
afterAll(() => server.close())

async function page(query: string): Promise<ListPage> {
  const { status, body } = await server.send('GET', `/traces?${query}`)
  expect(status).toBe(200)
  return listPage.parse(body)
}

async function everyPage(query: string): Promise<SavedRow[][]> {
  const pages: SavedRow[][] = []
  for (let after = ''; ; ) {
    const { documents, next } = await page(`${query}${after}`)
    pages.push(documents)
    if (next === null) return pages
    after = `&after=${next}`
  }
}

test('five thousand traces come page by page, the last saved, each of them once', async () => {
  const pages = await everyPage('heads=true')
  const all = pages.flat()
  expect(pages.slice(0, -1).every((each) => each.length === ON_PAGE)).toBe(true)
  expect(new Set(all.map(({ id }) => id)).size).toBe(all.length)
  expect(all.length).toBe(ADDED + 14)
  // Those of the demonstration were saved before, whatever times these copies were given.
  const times = all.slice(0, ADDED).map(({ savedAt }) => savedAt)
  expect(times).toEqual(times.toSorted().toReversed())
})

test('after the clock went back the newest save is still listed first (2026-11-29: last)', async () => {
  const own = await startTestServer()
  // What was saved while the clock was ahead; nothing but a clock or a restore makes such a time.
  await sql`alter table document_revisions disable trigger only_added`.execute(own.db)
  await sql`update document_revisions set saved_at = saved_at + interval '1 year'`.execute(own.db)
  const { content, revision } = (await own.send('GET', `/traces/${HOUND}`)).body
  const saved = { ...content, trace: { ...content.trace, name: 'saved after the clock was put right' } }
  expect((await own.send('PUT', `/traces/${HOUND}`, { baseRevision: revision, content: saved })).status).toBe(200)
  for (const query of ['heads=true', '']) {
    const { documents } = (await own.send('GET', `/traces?${query}`)).body
    expect(documents[0]).toMatchObject({ id: HOUND, revision: revision + 1 })
  }
  await own.close()
})

test('a page of long documents ends before it grows too large, and the pages hold each of them once', async () => {
  const own = await startTestServer()
  const [mark] = (await own.send('GET', '/marks')).body.documents
  const heights = Array.from({ length: 3_000 }, (_, i) => ({
    at: new Date(Date.UTC(2026, 0, 1) + 1_800_000 * i).toISOString(),
    heightM: Number((2 + Math.sin(i / 4) + ((i * 7919) % 1000) / 5000).toFixed(3)),
  }))
  await sql`with more as (select gen_random_uuid() as id, n from generate_series(1, 60) n),
    heads as (insert into documents (crew_id, kind, id, revision) select ${DEMO_CREW.id}::uuid, 'marks', id, 1 from more)
    insert into document_revisions (crew_id, kind, id, revision, content)
    select ${DEMO_CREW.id}::uuid, 'marks', id, 1, ${JSON.stringify({ ...mark.content, heights })}::jsonb from more`.execute(
    own.db,
  )
  const ids: string[] = []
  let pages = 0
  for (let next: string | null = ''; next !== null; pages += 1) {
    const { status, body } = await own.send('GET', `/marks${next === '' ? '' : `?after=${next}`}`)
    expect(status).toBe(200)
    ids.push(...body.documents.map(({ id }: SavedRow) => id))
    next = body.next
  }
  expect([ids.length, new Set(ids).size]).toEqual([65, 65])
  expect(pages).toBeGreaterThan(2)
  await own.close()
})

test('a head says of a trace what its content does, and no more; those in the bin have a list of their own', async () => {
  const heads = (await everyPage('heads=true')).flat()
  const { content } = (await server.send('GET', `/traces/${HOUND}`)).body
  const head = traceHead.parse(heads.find(({ id }) => id === HOUND)!.content)
  expect(head).toEqual({
    name: content.trace.name,
    family: content.trace.family,
    tags: content.trace.tags ?? [],
    notes: content.trace.notes ?? '',
    outfitId: content.outfitId,
    markId: content.markId ?? null,
    castStyle: content.conditions.castStyle,
    method: content.conditions.water?.method ?? null,
  })
  for (const each of heads)
    expect(Object.keys(each.content as object).toSorted()).toEqual(Object.keys(traceHead.shape).toSorted())

  const [, second] = heads
  await server.send('DELETE', `/traces/${second!.id}`)
  expect((await page('heads=true&trash=true')).documents.map(({ id }) => id)).toEqual([second!.id])
  expect((await everyPage('heads=true')).flat().map(({ id }) => id)).not.toContain(second!.id)
})

test('the heads of one outfit’s traces are those of its traces, and an outfit that is no id is refused', async () => {
  const all = (await everyPage('heads=true')).flat()
  const outfitOf = ({ content }: (typeof all)[number]) => traceHead.parse(content).outfitId
  const outfitId = outfitOf(all[0]!)!
  const found = (await everyPage(`heads=true&outfit=${outfitId}`)).flat()
  const ids = (rows: typeof all) => rows.map(({ id }) => id)
  expect(ids(found)).toEqual(ids(all.filter((head) => outfitOf(head) === outfitId)))
  expect(found.length).toBeLessThan(all.length)
  expect((await page(`heads=true&outfit=${randomUUID()}`)).documents).toEqual([])
  expect((await server.send('GET', '/traces?heads=true&outfit=mine')).status).toBe(400)
  expect((await server.send('GET', `/traces?outfit=${outfitId}`)).status).toBe(400)
})

test('a trace that cannot be read still has what of its head can be', async () => {
  const id = randomUUID()
  await server.db.insertInto('documents').values({ crewId: DEMO_CREW.id, kind: 'traces', id, revision: 1 }).execute()
  await server.db
    .insertInto('documentRevisions')
    .values({
      crewId: DEMO_CREW.id,
      kind: 'traces',
      id,
      revision: 1,
      content: '{"trace": {"name": "Odd one", "tags": 7}, "markId": "x"}',
    })
    .execute()
  const { content } = (await page('heads=true')).documents[0]!
  expect(traceHead.parse(content)).toMatchObject({ name: 'Odd one', tags: [], family: null, markId: null })
  expect(traceHead.parse({})).toMatchObject({ name: 'without a name', notes: '' })
})

test('a few are asked for by name; one that is not there is left out', async () => {
  const { documents, next } = await page(`ids=${randomUUID()},${HOUND}`)
  expect([documents.map(({ id }) => id), next]).toEqual([[HOUND], null])
  expect(documents[0]).toEqual((await server.send('GET', `/traces/${HOUND}`)).body)
})

test.each([
  ['/traces?after=yesterday', 'invalid-query'],
  [`/traces?after=${'9'.repeat(19)}`, 'invalid-query'],
  ['/traces?ids=outfit', 'invalid-query'],
  [`/traces?ids=${Array(101).fill(HOUND).join()}`, 'invalid-query'],
  [`/traces?ids=${HOUND}&trash=true`, 'invalid-query'],
  ['/traces?limit=1000000', 'invalid-query'],
  ['/gear?heads=true', 'no-heads'],
])('%s is refused', async (path, code) => {
  const { status, body } = await server.send('GET', path)
  expect([status, body.error.code]).toEqual([400, code])
})

test('the farthest key there can be answers with an end, not a fault', async () => {
  expect(await page(`heads=true&after=${'9'.repeat(18)}`)).toHaveProperty('documents.length', ON_PAGE)
  for (const query of ['', 'heads=true&']) expect(await page(`${query}after=0`)).toEqual({ documents: [], next: null })
})

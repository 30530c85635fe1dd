import pg from 'pg'
import { afterAll, beforeAll, describe, expect, test } from 'vitest'
import { type ContentOf, readList } from '../../src/shared/documentKinds.ts'
import type { DocumentKind } from '../../src/shared/kindNames.ts'
import { fillAsBefore, JUDGED_BEFORE } from '../fixtures/before/before.ts'
import { freshDatabase, startTestServer, type TestServer } from './testServer.ts'

const OWN_KNOTS = '00000000-0000-4000-8000-000000000001'
let server: TestServer
/** What the tables of the earlier version held, row by row. */
let rows: Record<string, { id: string; revision: number; content: any }[]>

beforeAll(async () => {
  const url = await freshDatabase('empty')
  await fillAsBefore(url)
  const client = new pg.Client(url)
  await client.connect()
  const read = async (table: string) => (await client.query(`select id, revision, content from public.${table}`)).rows
  rows = {
    traces: await read('trace_revisions'),
    outfits: await read('outfit_revisions'),
    marks: await read('mark_revisions'),
    'rule-sets': await read('rule_set_revisions'),
    gear: await read('gear_revisions'),
  }
  await client.end()
  server = await startTestServer(url)
})
afterAll(() => server.close())

async function list<K extends DocumentKind>(kind: K, query = '') {
  const { documents, unreadable } = readList(kind, (await server.send('GET', `/${kind}${query}`)).body.documents)
  expect(unreadable).toEqual([])
  return new Map(documents.map((each): [string, ContentOf<K>] => [each.id, each.content]))
}

describe('a database of the version before', () => {
  test('keeps every revision of every document, each of which reads', async () => {
    for (const [kind, before] of Object.entries(rows)) {
      expect(before.length, kind).toBeGreaterThan(1)
      for (const { id, revision } of before) {
        const { status, body } = await server.send('GET', `/${kind}/${id}/revisions/${revision}`)
        expect(status, `${kind} ${id} ${revision}`).toBe(200)
        expect(readList(kind as DocumentKind, [body]).unreadable).toEqual([])
      }
    }
  })

  test('keeps what is in the bin there', async () => {
    expect((await list('traces', '?trash=true')).get('00000000-0000-4000-8000-000000000002')?.trace.name).toBe('In the bin')
    expect((await list('marks', '?trash=true')).get('00000000-0000-4000-8000-000000000004')?.name).toBe('Old mark')
  })

  test('finds every link as strong, and run and hand as they were; what is judged otherwise since then stands in docs/architecture.md', async () => {
    const [traces, outfits, ruleSets, settings] = await Promise.all([
      list('traces'),
      list('outfits'),
      list('rule-sets'),
      list('settings'),
    ])
    const [{ ruleSetId = '' } = {}] = settings.values()
    expect([...traces.keys()].toSorted()).toEqual(Object.keys(JUDGED_BEFORE).toSorted())
    for (const [id, { trace, outfitId, conditions }] of traces) {
      const before = JUDGED_BEFORE[id]!
      const { status, body } = await server.send('POST', '/evaluate', {
        trace,
        outfit: outfits.get(outfitId),
        conditions,
        ruleSet: ruleSets.get(ruleSetId),
      })
      expect(status, before.name).toBe(200)
      const hooks = new Set(trace.pieces.flatMap(({ id: piece, role }) => (role === 'hook' ? [piece] : [])))
      // How it is taken is judged since then.
      const judged = body.moments.filter(({ moment }: { moment: string }) => moment !== 'take')
      expect(judged).toHaveLength(before.moments.length)
      // Since then a knot of too few turns is weak.
      if (before.findings.some((finding) => finding.includes('few-turns'))) continue
      for (const [i, { margin, end, decides, moment }] of before.moments.entries()) {
        if (moment !== 'run' && moment !== 'hand') continue
        // Since then a margin is that of what decides: a sudden run, teeth or the reach have their own.
        if (!['dragCeiling', 'weakestOverWeight'].includes(judged[i].figure.name)) continue
        const ratio = judged[i].margin / margin
        // Since then hooks have thinner wire: what one decides has less to spare.
        if (hooks.has(judged[i].decides)) expect(ratio, before.name).toBeLessThanOrEqual(1)
        else {
          expect(judged[i], before.name).toMatchObject({ moment, end, decides })
          expect(ratio, before.name).toBeCloseTo(1, 12)
        }
      }
      const links: { id: string; strengthN: number }[] = body.links
      const weakest = links.reduce((least, link) => (link.strengthN < least.strengthN ? link : least))
      if (hooks.has(weakest.id)) expect(weakest.strengthN).toBeLessThanOrEqual(before.weakest)
      else expect(weakest.strengthN).toBeCloseTo(before.weakest, 9)
    }
  })

  test('keeps an own efficiency, a fuse, a reason for setting aside; a family of one’s own stays as a tag', async () => {
    const { trace } = (await list('traces')).get(OWN_KNOTS)!
    expect(trace).toMatchObject({ family: 'ownDesign', tags: ['winter', 'my-own-kind'], notes: 'Second revision.' })
    const leader = trace.pieces.find(({ role }) => role === 'leader')!
    expect(leader.attach).toMatchObject({ joint: { own: { efficiency: 0.93 } } })
    expect(trace.fuse).toEqual({ at: 'piece', id: leader.id })
    expect(trace.setAside).toEqual([{ finding: 'rod-rating', reason: 'I know this rod.', figure: 1 }])
    const first = (await server.send('GET', `/traces/${OWN_KNOTS}/revisions/1`)).body
    expect(readList('traces', [first]).documents[0]!.content.trace.fuse).toEqual({ at: 'joint', id: leader.id })
    const own = (await list('outfits')).get('00000000-0000-4000-8000-000000000003')!
    expect(own.wound[1]!.joint).toMatchObject({ own: { efficiency: 0.88 } })
  })

  test('has every hold and drag of its marks among the observations, once', async () => {
    const newest = new Map(rows.marks!.toSorted((a, b) => a.revision - b.revision).map(({ id, content }) => [id, content]))
    const before = [...newest].flatMap(([markId, { holds }]) => (holds ?? []).map((hold: object) => ({ ...hold, markId })))
    expect(before.length).toBeGreaterThan(6)
    const observations = (await server.send('GET', '/observations')).body as object[]
    expect(observations).toHaveLength(before.length)
    for (const hold of before) expect(observations).toContainEqual(expect.objectContaining({ ...hold, kind: 'hold' }))
    for (const mark of (await list('marks')).values()) expect(mark).not.toHaveProperty('holds')
  })

  test('has the rule set that was in force in the crew’s settings', async () => {
    const inForce = rows['rule-sets']!.find(({ content }) => content.inForce)!
    expect([...(await list('settings')).values()].map(({ ruleSetId }) => ruleSetId)).toEqual([inForce.id])
  })

  test('names the mark of a trace that began with its name', async () => {
    const marks = await list('marks')
    for (const { trace, markId } of (await list('traces')).values()) {
      const begun = [...marks].find(([, { name }]) => trace.name.startsWith(name))
      expect(markId, trace.name).toBe(begun?.[0])
    }
  })
})

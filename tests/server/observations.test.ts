import { randomUUID } from 'node:crypto'
import { sql } from 'kysely'
import { afterAll, beforeAll, expect, test } from 'vitest'
import { MATERIAL_IDS } from '../../src/core/catalogue/ids.ts'
import { defaultConditions } from '../../src/core/documents/conditions.ts'
import type { Hold, Observation } from '../../src/core/documents/observation.ts'
import { jointOf, pieceNamed } from '../../src/core/documents/pieces.ts'
import { activePulls } from '../../src/core/learning/knotLessons.ts'
import { activeHolds } from '../../src/core/learning/markLessons.ts'
import { ObservationRepository } from '../../src/server/observations/repository.ts'
import { draftOf } from '../fixtures/drafts.ts'
import { braidOutfit } from '../fixtures/outfits.ts'
import { startTestServer, type TestServer } from './testServer.ts'

let server: TestServer
beforeAll(async () => {
  server = await startTestServer()
})
afterAll(() => server.close())

const hold = (more: Partial<Hold> = {}): Hold => ({
  formatVersion: 1,
  id: randomUUID(),
  kind: 'hold',
  at: '2026-11-20T10:00:00.000Z',
  markId: randomUUID(),
  method: 'anchor',
  shape: 'pear',
  massKg: 0.34,
  demand: 0.8,
  held: true,
  ...more,
})
const tell = (observation: object) => server.send('POST', '/observations', observation)
const at = async (markId: string) =>
  (await server.send('GET', `/observations?mark=${markId}`)).body as (Observation & { observer: string })[]

test('what is told comes back with who told it and what it was seen on; sent twice it is one', async () => {
  const told = hold({ trace: { id: randomUUID(), revision: 3 }, outfit: { id: randomUUID(), revision: 1 } })
  expect((await tell(told)).status).toBe(201)
  expect((await tell(told)).status).toBe(201)
  expect(await at(told.markId)).toEqual([{ ...told, observer: expect.stringMatching(/./) }])
})

test('what is taken back stays told, and counts no more', async () => {
  const [right, wrong] = [hold(), hold({ at: '2026-11-20T11:00:00.000Z', held: false })]
  const markId = right.markId
  for (const each of [right, { ...wrong, markId }]) await tell(each)
  await tell({ formatVersion: 1, id: randomUUID(), kind: 'retraction', at: right.at, markId, of: wrong.id })
  const told = await at(markId)
  expect(told).toHaveLength(3)
  expect(activeHolds(told).map(({ id }) => id)).toEqual([right.id])
})

test('pulls are told like holds, and asked for by their kind, with what was taken back', async () => {
  const pull = {
    formatVersion: 1,
    id: randomUUID(),
    kind: 'pull',
    at: '2026-11-20T10:00:00.000Z',
    connection: 'uni',
    turns: 5,
    material: 'mono',
    lineN: 130,
    wet: true,
    loadN: 104,
    parted: 'knot',
  }
  expect((await tell(pull)).status).toBe(201)
  expect((await tell({ ...pull, id: randomUUID(), loadN: -1 })).status).toBe(400)
  const back = { formatVersion: 1, id: randomUUID(), kind: 'retraction', at: pull.at, of: pull.id }
  await tell(back)
  const told = (await server.send('GET', '/observations?kind=pull')).body as Observation[]
  expect(told).toContainEqual({ ...pull, observer: expect.any(String) })
  expect(told.some(({ kind }) => kind === 'hold')).toBe(false)
  expect(activePulls(told).some(({ id }) => id === pull.id)).toBe(false)
})

test('an evaluation counts with the crew’s own pulls, unless nominal figures are asked for', async () => {
  const own = await startTestServer()
  const outfit = braidOutfit(50)
  const { trace } = draftOf('runningLedger', outfit, defaultConditions())
  const { connection } = jointOf(pieceNamed(trace, 'leader'))!
  const strengthOf = async (query = '') => {
    const { body } = await own.send('POST', `/evaluate${query}`, { trace, outfit, conditions: defaultConditions() })
    return body.links.find(({ id }: { id: string }) => id === 'leader.joint').strengthN as number
  }
  const nominal = await strengthOf()
  const at = '2026-11-20T10:00:00.000Z'
  const observations = MATERIAL_IDS.flatMap((material) =>
    Array.from({ length: 6 }, () => {
      const pull = { formatVersion: 1, kind: 'pull', at, connection, material, lineN: 400, wet: false, loadN: 80, parted: 'knot' }
      return { ...pull, id: randomUUID() }
    }),
  )
  expect((await own.send('POST', '/observations/many', { observations })).status).toBe(201)
  expect(await strengthOf()).toBeLessThan(0.6 * nominal)
  expect(await strengthOf('?nominal=true')).toBe(nominal)
  expect((await own.send('POST', '/evaluate?nominal=perhaps', {})).status).toBe(400)
  await own.close()
})

test('a line pulled by itself is told and asked for as that', async () => {
  const straight = { formatVersion: 1, id: randomUUID(), kind: 'straight', at: '2026-11-20T10:00:00.000Z', material: 'mono' }
  const pulled = { ...straight, spoolId: randomUUID(), labelN: 130, wet: true, loadN: 141 }
  expect((await tell(pulled)).status).toBe(201)
  expect((await tell({ ...pulled, id: randomUUID(), parted: 'knot' })).status).toBe(400)
  const told = (await server.send('GET', '/observations?kind=straight')).body as Observation[]
  expect(told).toContainEqual({ ...pulled, observer: expect.any(String) })
  expect(told.some(({ kind }) => kind === 'pull')).toBe(false)
})

test('the database itself refuses to change or delete what was told, and any revision', async () => {
  await tell(hold())
  for (const table of ['observations', 'document_revisions'])
    for (const change of [sql`update ${sql.table(table)} set id = id`, sql`delete from ${sql.table(table)}`])
      await expect(change.execute(server.db), table).rejects.toThrow(/only ever added/)
})

test('another crew sees nothing of it', async () => {
  const told = hold()
  await tell(told)
  expect(await new ObservationRepository(server.db).list(randomUUID(), { markId: told.markId })).toEqual([])
})

test.each([
  ['a demand below nothing', { demand: -1 }, 'demand'],
  ['a sinker of 10⁹ kg', { massKg: 1e9 }, 'massKg'],
  ['a day that is none', { at: 'yesterday' }, 'at'],
  ['a field too many', { mood: 'good' }, 'mood'],
  ['a kind nobody knows', { kind: 'dream' }, 'kind'],
])('%s is refused with its place, and nothing is stored', async (_, change, place) => {
  const told = { ...hold(), ...change }
  const refused = await tell(told)
  expect([refused.status, JSON.stringify(refused.body.error)]).toEqual([400, expect.stringContaining(place)])
  expect(await at(told.markId)).toEqual([])
})

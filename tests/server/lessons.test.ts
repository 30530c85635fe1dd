import { afterAll, beforeAll, expect, test } from 'vitest'
import { lessonsOf } from '../../src/core/lessons/lessons.ts'
import { DEFAULT_PRIORS } from '../../src/core/lessons/priors.ts'
import { statementsOf } from '../../src/core/lessons/statements.ts'
import type { CountsBy, Sums } from '../../src/core/lessons/sums.ts'
import { demoId } from '../../src/server/demo/demoId.ts'
import { learnedSums } from '../../src/shared/lessons.ts'
import { startTestServer, type TestServer } from './testServer.ts'

let server: TestServer
beforeAll(async () => {
  server = await startTestServer()
})
afterAll(() => server.close())

const sums = async () => {
  const answer = await server.send('GET', '/lessons/sums')
  if (answer.status !== 200) throw new Error(JSON.stringify(answer.body) + server.logged.slice(-2).join(' '))
  return learnedSums.parse(answer.body)
}
const of = ({ counts }: Sums, by: CountsBy['by']) => counts.filter((each) => each.by === by)
const keptAt = async () =>
  (await server.db.selectFrom('tripTallies').select(['tripId', 'version']).execute()).map((row) => row.version)

test('of the demonstration two knots and one mark stand out, and nothing else', async () => {
  const { trips, waiting, ...rest } = await sums()
  expect(waiting).toBe(0)
  expect(trips).toHaveLength(10)
  const statements = statementsOf(lessonsOf({ trips, ...rest }, DEFAULT_PRIORS))
  const told = new Set(statements.map(({ lesson }) => lesson.value))
  expect(told).toEqual(new Set(['knot snell mono', 'knot doubleEyeClinch mono', demoId('Long Ledge')]))
})

test('by each dimension the counts add up to all of them', async () => {
  const found = await sums()
  const [all] = of(found, 'all')
  for (const by of ['mark', 'bed', 'family', 'trace', 'hook', 'light'] as const) {
    const parts = of(found, by)
    expect(parts.length).toBeGreaterThan(1)
    for (const what of ['hours', 'casts', 'bites', 'fish', 'snags', 'cost'] as const)
      expect(parts.reduce((sum, { counts }) => sum + counts[what], 0)).toBeCloseTo(all!.counts[what], 9)
  }
})

test('an event that is taken back counts no more, and only its trip is counted again', async () => {
  const before = await sums()
  const versions = await keptAt()
  const [trip] = before.trips
  const events = (await server.send('GET', `/observations?trip=${trip!.id}`)).body as { id: string; what: { type: string } }[]
  const cast = events.find(({ what }) => what.type === 'cast')!
  const retraction = {
    formatVersion: 1,
    kind: 'retraction',
    id: crypto.randomUUID(),
    at: new Date().toISOString(),
    of: cast.id,
    tripId: trip!.id,
  }
  expect((await server.send('POST', '/observations', retraction)).status).toBe(201)
  const after = await sums()
  expect(of(after, 'all')[0]!.counts.casts).toBe(of(before, 'all')[0]!.counts.casts - 1)
  expect((await keptAt()).filter((version) => !versions.includes(version))).toHaveLength(1)
})

test('more trips than are counted at once come with the next answers; one in the trash goes', async () => {
  await server.db
    .deleteFrom('tripTallies')
    .execute()
    .catch(() => undefined)
  const [first] = (await sums()).trips
  const { body } = await server.send('GET', `/trips/${first!.id}`)
  for (let i = 0; i < 12; i += 1)
    await server.send('POST', '/trips', { id: crypto.randomUUID(), content: { ...body.content, name: `again ${i}` } })
  const one = await sums()
  expect(one.waiting).toBe(2)
  expect(one.trips).toHaveLength(20)
  const two = await sums()
  expect(two.waiting).toBe(0)
  expect(two.trips).toHaveLength(22)
  await server.send('DELETE', `/trips/${first!.id}`)
  expect((await sums()).trips).toHaveLength(21)
})

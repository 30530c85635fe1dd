import { randomUUID } from 'node:crypto'
import { afterAll, beforeAll, describe, expect, test } from 'vitest'
import { tideHourAt } from '../../src/core/physics/tide/tideSpan.ts'
import { readList } from '../../src/shared/documentKinds.ts'
import { portsBody, tideBody, windBody } from '../../src/shared/tides.ts'
import { MARK } from '../fixtures/tides.ts'
import { startTestServer, type TestServer } from './testServer.ts'

let server: TestServer
beforeAll(async () => {
  server = await startTestServer()
})
afterAll(() => server.close())

const DAY = 'from=2026-11-24T00:00:00Z&to=2026-11-25T00:00:00Z'
const mark = { ...MARK, portId: 'port-hesk' }
const marks = async () => readList('marks', (await server.send('GET', '/marks')).body.documents).documents

describe('marks', () => {
  test('the demonstration has its five, each on a port that there is', async () => {
    const ports = portsBody.parse((await server.send('GET', '/ports')).body).map(({ id }) => id)
    const all = await marks()
    expect(all.map(({ content }) => content.name).toSorted()).toEqual([
      'Hesk Bar',
      'Kettle Narrows',
      'Long Ledge',
      'Outer Bank',
      'The Sill',
    ])
    for (const { content } of all) expect(ports).toContain(content.portId)
  })

  test.each([
    ['a negative depth', { depthM: -5 }, 'depthM'],
    ['a port that is not there', { portId: 'nowhere' }, 'portId'],
    ['a zone that is none', { timeZone: 'Orran/Sound' }, 'timeZone'],
    ['a field too many', { tide: 3 }, ''],
  ])('%s is refused with its place, and nothing is stored', async (_, change, path) => {
    const before = (await marks()).length
    const refused = await server.send('POST', '/marks', { id: randomUUID(), content: { ...mark, ...change } })
    expect(refused.status).toBe(400)
    expect(JSON.stringify(refused.body.error.issues)).toContain(path)
    expect(await marks()).toHaveLength(before)
  })

  test('a stale save is refused with what is current; a isTrash mark comes back', async () => {
    const id = randomUUID()
    await server.send('POST', '/marks', { id, content: mark })
    const save = (name: string) => server.send('PUT', `/marks/${id}`, { baseRevision: 1, content: { ...mark, name } })
    expect((await save('first')).status).toBe(200)
    expect(await save('second')).toMatchObject({ status: 409, body: { current: { content: { name: 'first' } } } })
    await server.send('DELETE', `/marks/${id}`)
    expect((await marks()).some((each) => each.id === id)).toBe(false)
    await server.send('POST', `/marks/${id}/restore`)
    expect((await marks()).some((each) => each.id === id)).toBe(true)
  })
})

describe('tides', () => {
  test('a day of a port: its heights every ten minutes, its turns well around it', async () => {
    const { heights, turns, springRangeM, neapRangeM } = tideBody.parse(
      (await server.send('GET', `/ports/port-hesk/tide?${DAY}`)).body,
    )
    expect(heights).toHaveLength(145)
    expect(springRangeM).toBeGreaterThan(neapRangeM)
    expect(Math.abs(tideHourAt({ turns }, heights[70]!.timeMs).hour)).toBeLessThan(6.3)
    expect(turns[0]!.timeMs).toBeLessThan(heights[0]!.timeMs - 18 * 86_400_000)
  })

  test.each([
    ['1949-06-01', 422, 'out-of-range'],
    ['2101-06-01', 422, 'out-of-range'],
  ])('a day of %s is refused', async (date, status, code) => {
    const answer = await server.send('GET', `/ports/tarrow/tide?from=${date}T00:00:00Z&to=${date}T12:00:00Z`)
    expect(answer).toMatchObject({ status, body: { error: { code } } })
  })

  test('the first and last day are told; a span turned round, too long, or of no port is not', async () => {
    for (const span of ['from=1950-01-01T00:00:00Z&to=1950-01-02T00:00:00Z', 'from=2100-12-31T00:00:00Z&to=2101-01-01T00:00:00Z'])
      expect((await server.send('GET', `/ports/tarrow/tide?${span}`)).status).toBe(200)
    for (const span of [
      'from=2026-11-25T00:00:00Z&to=2026-11-24T00:00:00Z',
      'from=2026-01-01T00:00:00Z&to=2026-12-01T00:00:00Z',
      'from=now',
    ])
      expect((await server.send('GET', `/ports/tarrow/tide?${span}`)).status).toBe(400)
    expect((await server.send('GET', `/ports/nowhere/tide?${DAY}`)).status).toBe(404)
  })
})

describe('wind', () => {
  test('comes by the hour over all that was asked, the sametwice, within what blows', async () => {
    const ask = async () => windBody.parse((await server.send('GET', `/wind?lat=58.6&lon=-9.3&${DAY}`)).body)
    const wind = await ask()
    expect(wind).toHaveLength(25)
    expect(await ask()).toEqual(wind)
    for (const { speedMperS, fromDeg } of wind) {
      expect(speedMperS).toBeLessThan(20)
      expect(fromDeg >= 0 && fromDeg < 360).toBe(true)
    }
  })

  test('a place off the globe, or no place, is refused', async () => {
    expect((await server.send('GET', `/wind?lat=99&lon=0&${DAY}`)).status).toBe(400)
    expect((await server.send('GET', `/wind?${DAY}`)).status).toBe(400)
  })
})

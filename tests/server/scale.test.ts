import { afterAll, beforeAll, expect, test } from 'vitest'
import { analysePull, type Reading } from '../../src/core/learning/pullCurve.ts'
import { simulatedPull } from '../../src/server/scale/standInScale.ts'
import { startTestServer, type TestServer } from './testServer.ts'

let server: TestServer
beforeAll(async () => {
  server = await startTestServer(undefined, { app: { scaleTickMs: 0 } })
})
afterAll(() => server.close())

const pull = (query: string) => fetch(`http://127.0.0.1:${server.port}/api/scale/pull?${query}`)

test('a pull streams its readings as they come, says that it is over, and is read as a break', async () => {
  const response = await pull('aboutN=120&kind=uni+mono')
  expect(response.headers.get('content-type')).toContain('text/event-stream')
  const events = (await response.text()).trim().split('\n\n')
  expect(events.at(-1)).toBe('event: over\ndata: {}')
  const readings = events.slice(0, -1).map((event): Reading => JSON.parse(event.replace('data: ', '')))
  expect(readings.map(({ atMs }) => atMs)).toEqual(readings.map((_, i) => 50 * i))
  const seen = analysePull(readings)
  expect(seen.broke).toBe(true)
  expect(seen.peakN).toBeGreaterThan(60)
  expect(seen.peakN).toBeLessThan(200)
})

test.each(['', 'aboutN=0&kind=x', 'aboutN=1e9&kind=x', 'aboutN=100', 'aboutN=NaN&kind=x'])(
  'a load of nothing is refused: %s',
  async (query) => {
    const response = await pull(query)
    expect(response.status).toBe(400)
    await response.body?.cancel()
  },
)

test('a client that goes away ends its pull, and the server goes on', async () => {
  const gone = new AbortController()
  const response = await fetch(`http://127.0.0.1:${server.port}/api/scale/pull?aboutN=50&kind=x`, { signal: gone.signal })
  await response.body!.getReader().read()
  gone.abort()
  expect((await server.send('GET', '/health')).status).toBe(200)
})

test('samples of a kind break about one strength, hidden from what was thought of it; slips are seen as slips', () => {
  const seen = Array.from({ length: 300 }, (_, seed) =>
    analysePull([...simulatedPull({ aboutN: 100, kind: 'palomar braid' }, seed)]),
  )
  expect(seen.every(({ broke }) => broke)).toBe(true)
  const mean = seen.reduce((sum, { peakN }) => sum + peakN, 0) / seen.length
  const spread = Math.sqrt(seen.reduce((sum, { peakN }) => sum + (peakN - mean) ** 2, 0) / seen.length)
  expect(spread / mean).toBeGreaterThan(0.035)
  expect(spread / mean).toBeLessThan(0.07)
  const slipped = seen.filter(({ slips }) => slips.length > 0).length
  expect(slipped / seen.length).toBeGreaterThan(0.2)
  expect(slipped / seen.length).toBeLessThan(0.4)
  expect(seen.every(({ slips }) => slips.length <= 1)).toBe(true)
})

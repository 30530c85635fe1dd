import { afterEach, expect, test, vi } from 'vitest'
import { z } from 'zod'
import { ApiError, isSentAgain, request } from './http.ts'

const answer = z.object({ n: z.number() })
const respond = (body: unknown, status = 200) =>
  vi.stubGlobal(
    'fetch',
    vi.fn(async () => new Response(typeof body === 'string' ? body : JSON.stringify(body), { status })),
  )
const failure = () =>
  request(answer, '/x').then(
    () => undefined,
    (error: ApiError) => ({ status: error.status, code: error.code }),
  )

afterEach(() => vi.unstubAllGlobals())

test('a body is sent as JSON, and the answer is read by its contract', async () => {
  respond({ n: 1, more: true })
  expect(await request(answer, '/x', { method: 'PUT', body: { a: 1 } })).toEqual({ n: 1 })
  expect(fetch).toHaveBeenCalledWith('/api/x', {
    method: 'PUT',
    headers: { 'Content-Type': 'application/json' },
    body: '{"a":1}',
  })
})

test('a refusal keeps its code and status', async () => {
  respond({ error: { code: 'stale', message: 'later' } }, 409)
  expect(await failure()).toEqual({ status: 409, code: 'stale' })
})

test('an answer outside its contract is told from a server that is away', async () => {
  respond({ n: 'one' })
  expect(await failure()).toEqual({ status: 200, code: 'unreadable' })
  respond('<html>bad gateway</html>', 502)
  expect(await failure()).toEqual({ status: 502, code: 'offline' })
  vi.stubGlobal('fetch', async () => {
    throw new TypeError('fetch failed')
  })
  expect(await failure()).toEqual({ status: 0, code: 'offline' })
})

test('a request is sent again where that helps: a change only when the server asks for it, a full disk never', () => {
  const refused = (status: number, code: string) => new ApiError(status, code, 'x', undefined)
  const times = (error: unknown, changes: boolean) => [0, 1, 2, 3, 4].filter((n) => isSentAgain(n, error, changes)).length
  expect([times(refused(503, 'database-away'), false), times(refused(503, 'database-away'), true)]).toEqual([3, 3])
  expect([times(refused(0, 'offline'), false), times(refused(0, 'offline'), true)]).toEqual([2, 0])
  expect([times(refused(500, 'internal'), false), times(refused(500, 'internal'), true)]).toEqual([2, 0])
  expect([times(refused(503, 'disk-full'), true), times(refused(409, 'stale'), true), times(new Error('x'), false)]).toEqual([
    0, 0, 0,
  ])
})

import { afterEach, expect, test, vi } from 'vitest'
import { z } from 'zod'
import { type ApiError, request } from './http.ts'

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

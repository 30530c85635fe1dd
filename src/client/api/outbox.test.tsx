import { QueryClient, QueryClientProvider } from '@tanstack/react-query'
import { renderHook } from '@testing-library/react'
import { afterEach, expect, test, vi } from 'vitest'
import type { Observation } from '../../core/documents/observation.ts'
import { useOutbox } from './outbox.ts'

const event = (id: string): Observation => ({
  formatVersion: 1,
  kind: 'event',
  id,
  at: '2026-06-01T10:00:00.000Z',
  tripId: 'b7e2d0f1-62a8-4c2d-9b45-2e3a81c7d200',
  phone: 'phone',
  rod: 'rod-1',
  what: { type: 'cast' },
})

afterEach(() => {
  vi.useRealTimers()
  vi.unstubAllGlobals()
  // Test files share their modules.
  vi.doUnmock('idb')
  vi.resetModules()
})

test('observations added together are sent in one request; one added while that request runs is sent right after it', async () => {
  vi.useFakeTimers({ toFake: ['setInterval'] })
  const bodies: string[][] = []
  const answers: (() => void)[] = []
  vi.stubGlobal('fetch', (_url: string, { body }: { body: string }) => {
    bodies.push(JSON.parse(body).observations.map(({ id }: { id: string }) => id))
    return new Promise((resolve) => answers.push(() => resolve(new Response('{}', { status: 201 }))))
  })
  const { result } = renderHook(useOutbox, {
    wrapper: ({ children }) => <QueryClientProvider client={new QueryClient()}>{children}</QueryClientProvider>,
  })
  await vi.waitFor(() => expect(result.current.isMemoryOnly).toBe(true))
  void result.current.add([event('a'), event('b')])
  await vi.waitFor(() => expect(bodies).toEqual([['a', 'b']]))
  void result.current.add([event('c')])
  await vi.waitFor(() => expect(result.current.waiting.map(({ id }) => id)).toEqual(['a', 'b', 'c']))
  answers[0]!()
  await vi.waitFor(() => expect(bodies).toEqual([['a', 'b'], ['c']]))
  answers[1]!()
  await vi.waitFor(() => expect(result.current.sent.map(({ id }) => id)).toEqual(['a', 'b', 'c']))
  expect(result.current.waiting).toEqual([])
})

test('in a browser whose storage is full, one that is refused does not hold up the others', async () => {
  vi.resetModules()
  const fail = () => Promise.reject(new DOMException('full', 'QuotaExceededError'))
  const [first, second, third] = [1, 2, 3].map((n) => event(`b7e2d0f1-62a8-4c2d-9b45-2e3a81c7d20${n}`))
  const database = {
    getAllKeys: () => Promise.resolve([1, 2, 3]),
    getAll: () => Promise.resolve([first, second, third].map((observation) => ({ observation }))),
    put: fail,
  }
  vi.doMock('idb', () => ({ openDB: () => Promise.resolve(database) }))
  const refusal = { error: { code: 'invalid', message: 'The trip does not exist.' } }
  vi.stubGlobal('fetch', (url: string, { body }: { body: string }) => {
    const isFine = !url.endsWith('/many') && JSON.parse(body).id !== first!.id
    return Promise.resolve(isFine ? new Response('{}', { status: 201 }) : new Response(JSON.stringify(refusal), { status: 422 }))
  })
  const { useOutbox: useFullOutbox } = await import('./outbox.ts')
  const { result } = renderHook(useFullOutbox, {
    wrapper: ({ children }) => <QueryClientProvider client={new QueryClient()}>{children}</QueryClientProvider>,
  })
  await vi.waitFor(() => expect(result.current.sent).toEqual([second, third]))
  expect(result.current.refused).toEqual([{ observation: first, why: 'The trip does not exist.' }])
  expect(result.current.waiting).toEqual([])
})

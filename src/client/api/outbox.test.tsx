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
  tripId: 'trip',
  phone: 'phone',
  rod: 'rod-1',
  what: { type: 'cast' },
})

afterEach(() => {
  vi.useRealTimers()
  vi.unstubAllGlobals()
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

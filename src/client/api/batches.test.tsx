import { QueryClient, QueryClientProvider } from '@tanstack/react-query'
import { act, renderHook } from '@testing-library/react'
import { afterEach, expect, test, vi } from 'vitest'
import { useBatchProgress } from './batches.ts'

afterEach(() => {
  vi.useRealTimers()
  vi.unstubAllGlobals()
  localStorage.clear()
})

const STEP_MS = 50

test('a tick that cannot be sent is tried again every second or two, not without a pause, and is sent when it can be', async () => {
  vi.useFakeTimers({ toFake: ['setInterval', 'clearInterval', 'setTimeout', 'clearTimeout'] })
  let isAway = true
  let sent = 0
  vi.stubGlobal('fetch', (_url: string, { method }: { method: string }) => {
    if (method === 'POST') sent += 1
    return new Promise((resolve, reject) => {
      const answer = () => (isAway ? reject(new TypeError('no network')) : resolve(new Response('{"parts":{},"finishes":[]}')))
      setTimeout(answer, 2 * STEP_MS)
    })
  })
  const client = new QueryClient({ defaultOptions: { queries: { networkMode: 'always' }, mutations: { networkMode: 'always' } } })
  const { result } = renderHook(() => useBatchProgress('b7e2d0f1-62a8-4c2d-9b45-2e3a81c7d200'), {
    wrapper: ({ children }) => <QueryClientProvider client={client}>{children}</QueryClientProvider>,
  })
  // In steps shorter than a request: each of its states is drawn.
  const pass = async (ms: number) => {
    for (let i = 0; i < ms / STEP_MS; i += 1) await act(() => vi.advanceTimersByTimeAsync(STEP_MS))
  }
  await pass(100)
  act(() => result.current.tick('cut-1', 1, 10))
  await pass(9_000)
  expect(sent).toBeGreaterThanOrEqual(5)
  expect(sent).toBeLessThanOrEqual(8)
  const tries = sent
  act(() => result.current.tick('cut-1', 1, 10))
  await pass(500)
  expect(sent).toBe(tries + 1)
  isAway = false
  await pass(2_000)
  expect(result.current.waiting).toBe(0)
  const before = sent
  await pass(5_000)
  expect(sent).toBe(before)
})

import { afterEach, expect, test, vi } from 'vitest'
import { today } from './today.ts'

afterEach(() => void vi.useRealTimers())

test('the day of this browser’s zone, as documents have it', () => {
  vi.useFakeTimers({ now: Date.UTC(2026, 1, 3, 23, 59) })
  expect(today()).toBe('2026-02-03')
})

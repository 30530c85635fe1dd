import { renderHook, waitFor } from '@testing-library/react'
import { expect, test } from 'vitest'
import type { Steps } from '../../core/math/steps.ts'
import { useSteps } from './useSteps.ts'

test('new work stops the old, and the last result stays until the next', async () => {
  let turns = 0
  function* endless(): Steps<string> {
    for (;;) {
      turns += 1
      yield
    }
  }
  function* quick(): Steps<string> {
    yield
    return 'done'
  }
  const { result, rerender } = renderHook(({ begin }) => useSteps(begin), { initialProps: { begin: endless } })
  await waitFor(() => expect(turns).toBeGreaterThan(0))
  expect(result.current).toBeUndefined()
  rerender({ begin: quick })
  const stopped = turns
  await waitFor(() => expect(result.current).toBe('done'))
  expect(turns).toBe(stopped)
  rerender({ begin: endless })
  await waitFor(() => expect(turns).toBeGreaterThan(stopped))
  expect(result.current).toBe('done')
})

import { QueryClient, QueryClientProvider } from '@tanstack/react-query'
import { cleanup, render, screen } from '@testing-library/react'
import userEvent from '@testing-library/user-event'
import { afterEach, expect, test, vi } from 'vitest'
import { FAMILY_FIXTURES } from '../../../../tests/fixtures/families.ts'
import { MemoryApi } from '../../../../tests/fixtures/memoryApi.ts'
import { defaultConditions } from '../../../core/documents/conditions.ts'
import { PreferencesProvider } from '../../settings/preferences.tsx'
import { ConditionsPanel } from './ConditionsPanel.tsx'
import type { Bench } from './useBench.ts'

afterEach(() => {
  cleanup()
  vi.unstubAllGlobals()
})

function panel() {
  vi.stubGlobal('fetch', new MemoryApi().fetch)
  const editConditions = vi.fn()
  const content = { trace: FAMILY_FIXTURES[0]!.trace, outfitId: 'x', conditions: { ...defaultConditions(), mouthWidthM: 0.05 } }
  // Only what the panel reads of a bench.
  const bench = { content, editConditions, settle: () => {}, chooseFish: () => {} } as unknown as Bench
  render(
    <QueryClientProvider client={new QueryClient()}>
      <PreferencesProvider>
        <ConditionsPanel bench={bench} evaluation={undefined} onMoving={() => {}} />
      </PreferencesProvider>
    </QueryClientProvider>,
  )
  return { changes: () => editConditions.mock.calls.map(([change]) => change), user: userEvent.setup() }
}

test.each([
  ['line out', '77 m', { lineOutM: 77 }],
  ['fish speed', '7 m/s', { fishSpeedMperS: 7 }],
  ['mouth width', '40 mm', { mouthWidthM: 0.04 }],
  ['freeboard', '4 m', { freeboardM: 4 }],
])('the field “%s” writes its own condition and no other', async (label, text, change) => {
  const { changes, user } = panel()
  const field = screen.getByLabelText(label)
  await user.clear(field)
  await user.type(field, text)
  const [key, value] = Object.entries(change)[0]!
  expect(new Set(changes().flatMap(Object.keys))).toEqual(new Set([key]))
  expect(changes().at(-1)[key]).toBeCloseTo(value, 9)
})

test('a drag that is given no longer follows the trace', async () => {
  const { changes, user } = panel()
  const field = screen.getByLabelText('drag setting')
  await user.clear(field)
  await user.type(field, '20 N')
  expect(changes().at(-1)).toEqual({ dragN: 20, dragAssumed: undefined })
})

test('a fish that is given is no longer assumed', async () => {
  const { changes, user } = panel()
  const field = screen.getByLabelText('fish landed')
  await user.clear(field)
  await user.type(field, '3 kg')
  expect(changes().at(-1)).toEqual({ fishMassKg: 3, fishAssumed: undefined })
})

test('an emptied mouth width is no width', async () => {
  const { changes, user } = panel()
  await user.clear(screen.getByLabelText('mouth width'))
  await user.tab()
  expect(changes().at(-1)).toEqual({ mouthWidthM: undefined })
})

test.each([
  ['measured', 'at the rod tip', { dragMeasuredAt: 'tip' }],
  ['water', 'clear', { clarity: 'clear' }],
  ['time', 'night', { light: 'night' }],
])('the choice “%s” writes its own condition', async (label, option, change) => {
  const { changes, user } = panel()
  await user.selectOptions(screen.getByLabelText(label), option)
  expect(changes()).toEqual([change])
})

import { afterEach, beforeEach, expect, test, vi } from 'vitest'
import { FAMILY_FIXTURES } from '../../../tests/fixtures/families.ts'
import { defaultConditions } from '../../core/documents/conditions.ts'
import type { TraceContent } from '../../shared/traceContent.ts'
import { dropDraft, keepDraft, readDraft } from './drafts.ts'

const content: TraceContent = {
  trace: FAMILY_FIXTURES[0]!.trace,
  outfitId: 'a3d1c9e0-51f7-4b1c-8a34-1d2f70b6c101',
  conditions: defaultConditions(),
}
const kept = new Map<string, string>()

beforeEach(() => {
  kept.clear()
  vi.stubGlobal('localStorage', {
    getItem: (key: string) => kept.get(key) ?? null,
    setItem: (key: string, value: string) => kept.set(key, value),
    removeItem: (key: string) => kept.delete(key),
  })
})
afterEach(() => vi.unstubAllGlobals())

test('a draft comes back with the revision it was made from, and goes when it is dropped', () => {
  const text = keepDraft('one', 3, content)!
  expect(readDraft('traces', 'one')).toEqual({ baseRevision: 3, content })
  expect(readDraft('traces', 'another')).toBeUndefined()
  dropDraft('one', text)
  expect(readDraft('traces', 'one')).toBeUndefined()
})

test('what another tab kept since is left alone', () => {
  const mine = keepDraft('one', 3, content)!
  keepDraft('one', 4, content)
  dropDraft('one', mine)
  expect(readDraft('traces', 'one')?.baseRevision).toBe(4)
})

test('a draft that does not read, or no longer holds together, counts as none', () => {
  for (const text of [
    '',
    '{',
    '{"baseRevision":1}',
    JSON.stringify({ baseRevision: 1, content: { ...content, trace: { ...content.trace, weakLink: 'ghost' } } }),
  ]) {
    kept.set('wide-reach.draft.one', text)
    expect(readDraft('traces', 'one')).toBeUndefined()
  }
})

test('a browser that keeps nothing is no error', () => {
  vi.stubGlobal('localStorage', {
    getItem: () => {
      throw new Error('denied')
    },
    setItem: () => {
      throw new Error('full')
    },
    removeItem: () => {
      throw new Error('denied')
    },
  })
  expect(keepDraft('one', 1, content)).toBeUndefined()
  expect(readDraft('traces', 'one')).toBeUndefined()
  expect(() => dropDraft('one', '')).not.toThrow()
})

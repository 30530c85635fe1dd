import { expect, test } from 'vitest'
import type { SavedTraceHead } from '../../api/documents.ts'
import { fitting, searchable, sorted } from './traceSearch.ts'

const head = (name: string, more: object = {}): SavedTraceHead => ({
  id: name,
  revision: 1,
  savedAt: '2026-11-26T08:00:00Z',
  binnedAt: null,
  content: { name, family: null, tags: [], notes: '', outfitId: null, markId: null, castStyle: null, method: null, ...more },
})
const heads = [
  head('cord', { markId: 'b' }),
  head('ash'),
  head('bar', { markId: 'a', tags: ['night'] }),
  head('ant', { markId: 'a' }),
]
const markOf = new Map([
  ['a', 'Long Ledge'],
  ['b', 'Hesk Bar'],
])
const names = (by: Parameters<typeof sorted>[1], verdicts: Record<string, 'holds' | 'fails'> = {}) =>
  sorted(heads, by, { markOf, verdictOf: ({ id }) => verdicts[id] }).map(({ id }) => id)

test('by mark, by its name, those without one last and as they came; by name; worst first; else as they came', () => {
  expect(names('mark')).toEqual(['cord', 'ant', 'bar', 'ash'])
  expect(names('name')).toEqual(['ant', 'ash', 'bar', 'cord'])
  expect(names('verdict', { ash: 'holds', bar: 'fails' })).toEqual(['bar', 'ash', 'cord', 'ant'])
  expect(names('saved')).toEqual(heads.map(({ id }) => id))
})

test('found by every word of its name, tags, or mark', () => {
  const texts = searchable(heads, { outfitOf: new Map(), markOf })
  const found = (search: string, tag = '') => fitting(texts, search, tag).map(({ id }) => id)
  expect(found('ledge')).toEqual(['bar', 'ant'])
  expect(found('ledge night')).toEqual(['bar'])
  expect(found('', 'night')).toEqual(['bar'])
  expect(found('hesk ledge')).toEqual([])
})

import { expect, test } from 'vitest'
import { parseTrace } from '../../src/core/soundness/parseTrace.ts'
import { catalogue } from '../fixtures/setups.ts'
import { contentOf, KINDS } from './kinds.ts'

test('there are at least 47 kinds, each once', () => {
  expect(KINDS.length).toBeGreaterThanOrEqual(47)
  expect(new Set(KINDS.map(({ name }) => name)).size).toBe(KINDS.length)
})

test.each(KINDS)('$name is drawn whole from one text', (kind) => {
  const content = contentOf(kind)
  expect(parseTrace(JSON.parse(JSON.stringify(content.trace)), catalogue).ok).toBe(true)
  expect(content.trace.pieces).toHaveLength(kind.parts)
})

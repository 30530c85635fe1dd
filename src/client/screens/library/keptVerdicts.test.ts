import { expect, test } from 'vitest'
import { base } from '../../../../tests/fixtures/judgedDrafts.ts'
import { catalogue } from '../../../../tests/fixtures/setups.ts'
import type { Catalogue } from '../../../core/catalogue/catalogue.ts'
import type { SavedTrace } from '../../api/documents.ts'
import { keptVerdicts } from './keptVerdicts.ts'

const { outfit, ...content } = base('pulley')
const savedWith = (dragN: number) => ({ content: { ...content, conditions: { ...content.conditions, dragN } } }) as SavedTrace
const saved = savedWith(20)

test('a trace that comes back is not judged again; it is with another outfit, and so is another revision', () => {
  const first = keptVerdicts(saved, outfit, catalogue)
  expect(first.ok && first.value.get('run')).toBe('holds')
  expect(keptVerdicts(saved, outfit, catalogue)).toBe(first)
  const other = keptVerdicts(saved, { ...outfit }, catalogue)
  expect(other).toEqual(first)
  expect(other).not.toBe(first)
  const overdriven = keptVerdicts(savedWith(400), outfit, catalogue)
  expect(overdriven.ok && overdriven.value.get('run')).toBe('fails')
})

test('other figures of the catalogue are other verdicts', () => {
  const connections = Object.fromEntries(
    Object.entries(catalogue.connections).map(([id, each]) => [
      id,
      { ...each, efficiency: Object.fromEntries(Object.keys(each.efficiency).map((material) => [material, 0.01])) },
    ]),
  )
  const weak = { ...catalogue, connections } as Catalogue
  const first = keptVerdicts(saved, outfit, catalogue)
  const second = keptVerdicts(saved, outfit, weak)
  expect([first, second].map((each) => each.ok && each.value.get('run'))).toEqual(['holds', 'fails'])
})

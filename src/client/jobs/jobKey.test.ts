import { expect, test } from 'vitest'
import { jobKey } from './useJob.ts'

test('a key is that of the whole input, whatever the order of its fields', () => {
  const hold = { timeMs: 1, massKg: 0.1, outcome: 'held' }
  expect(jobKey('plan', { holds: [hold], way: 'fewest' })).toEqual(jobKey('plan', { way: 'fewest', holds: [{ ...hold }] }))
  expect(jobKey('plan', { holds: [hold] })).not.toEqual(jobKey('plan', { holds: [{ ...hold, outcome: 'dragged' }] }))
  expect(jobKey('plan', { holds: [hold] })).not.toEqual(jobKey('sensitivity', { holds: [hold] }))
})

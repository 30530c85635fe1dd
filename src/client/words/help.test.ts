import { expect, test } from 'vitest'
import { EVERYWHERE, HELP, helpFor } from './help.ts'

test.each(HELP)('the help of $path has at most 120 words', ({ text, shortcuts = [] }) => {
  const words = [...text, ...[...EVERYWHERE, ...shortcuts].map(({ keys, does }) => `${keys} ${does}`)].join(' ')
  expect(words.split(/\s+/).length).toBeLessThanOrEqual(120)
})

test('an address finds the help that is written for it', () => {
  for (const help of HELP) expect(helpFor(help.path.replace(':id', '7d2f'))).toBe(help)
  expect(helpFor('/nowhere')).toBeUndefined()
})

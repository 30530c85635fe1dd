import { expect, test } from 'vitest'
import { beginsWithA, withA, withArticle } from './names.ts'

test.each([
  ['improved clinch', 'an improved clinch'],
  ['albright', 'an albright'],
  ['uni', 'a uni'],
  ['FG (woven)', 'an FG (woven)'],
  ['PR (bobbin-wrapped)', 'a PR (bobbin-wrapped)'],
  ['8/0', 'an 8/0'],
  ['11/0', 'an 11/0'],
  ['18/0', 'an 18/0'],
  ['1/0', 'a 1/0'],
  ['10/0', 'a 10/0'],
  ['2', 'a 2'],
  ['swivel', 'a swivel'],
  ['unusual knot', 'an unusual knot'],
])('%s is said as “%s”', (name, said) => {
  expect(withA(name)).toBe(said)
  expect(beginsWithA(name)).toBe(`A${said.slice(1)}`)
})

test('a part has its article, but not one of several', () => {
  expect(['leader', 'boom a', 'hook 2'].map(withArticle)).toEqual(['the leader', 'boom a', 'hook 2'])
})

import { afterEach, expect, test } from 'vitest'
import { speakAs } from './spoken.ts'
import { spokenProps } from './spokenProps.ts'

afterEach(() => speakAs('default'))

const props = { 'aria-label': 'Add a snood', title: 'snood', id: 'snood', children: ['Two ', 2, ' snoods'] }

test('children and what is read out are in the words of the region; names of things in code are not', () => {
  speakAs('northAmerica')
  expect(spokenProps('button', props)).toEqual({
    'aria-label': 'Add a dropper',
    title: 'dropper',
    id: 'snood',
    children: ['Two ', 2, ' droppers'],
  })
  expect(spokenProps('p', { children: 'A snood' })).toEqual({ children: 'A dropper' })
  // The properties of a component are its own; its children are shown.
  expect(spokenProps(() => null, { title: 'snood', children: 'snood' })).toEqual({ title: 'snood', children: 'dropper' })
  expect(props.children[2]).toBe(' snoods')
})

test('what needs no change is the same object: as it is written, code, and what someone typed', () => {
  expect(spokenProps('button', props)).toBe(props)
  speakAs('northAmerica')
  for (const [type, same] of [
    ['code', { children: 'snood' }],
    ['p', { children: 'Snood one', translate: 'no' }],
    ['p', { children: 'A hook' }],
  ] as const)
    expect(spokenProps(type, same)).toBe(same)
})

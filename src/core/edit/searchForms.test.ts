import { expect, test } from 'vitest'
import { isFound, plainText, searchForms } from './searchForms.ts'

const finds = (text: string, search: string) => isFound(plainText(text), searchForms(search))

test.each([
  ['boom paternoster', 'flapper'],
  ['boom paternoster', 'Hi-Lo'],
  ['running ledger', 'fish finder'],
  ['sinker against the hook', 'knocker'],
  ['wired grip 150 g', 'grip lead'],
  ['wired grip 150 g', 'sputnik 150'],
  ['snood 60 cm', 'dropper'],
  ['stop knot', 'bobber stop'],
  ['mono 40 lb', 'nylon 40'],
  ['fluoro 20 lb', 'Fluorocarbon'],
])('“%s” is found by “%s”', (text, search) => {
  expect(finds(text, search)).toBe(true)
})

test('words are found in any order, hyphens and case apart; what is not there is not', () => {
  expect(finds('Three-way bottom rig, night', 'night three way')).toBe(true)
  expect(finds('boom paternoster', 'flapper night')).toBe(false)
  expect(finds('boom paternoster', 'flap')).toBe(false)
  expect(finds('anything', '  ')).toBe(true)
})

test('the typed text comes first; a word with two meanings has both', () => {
  expect(searchForms('Flapper')[0]).toBe('flapper')
  expect(searchForms('flapper')).toEqual(expect.arrayContaining(['fillet', 'boom paternoster']))
})

import { expect, test } from 'vitest'
import { braidOutfit, LB } from '../../../tests/fixtures/outfits.ts'
import { catalogue } from '../../../tests/fixtures/setups.ts'
import type { Outfit, WoundLine } from '../../core/documents/outfit.ts'
import { STARTING_OUTFITS } from '../../core/outfits/startingOutfits.ts'
import { outfitRemarks } from './outfitWords.ts'

const today = new Date('2026-11-26')
const main = (change: Partial<WoundLine>): Outfit => {
  const outfit = braidOutfit(50)
  return { ...outfit, wound: outfit.wound.map((line) => (line.role === 'main' ? { ...line, ...change } : line)) }
}
const said = (change: Partial<WoundLine>) => outfitRemarks(catalogue, main(change), today)

test('nothing is said of an outfit that has nothing wrong', () => {
  for (const outfit of STARTING_OUTFITS) expect(outfitRemarks(catalogue, outfit, today), outfit.name).toEqual([])
  expect(said({ woundOn: '2024-01-01' })).toEqual([])
})

test('a label that its thickness cannot bear is said, with how many times', () => {
  // 4 GPa is the most that braid bears: 50 lb on 0.2 mm is 222.4 N / 0.0314 mm² = 7.08 GPa.
  expect(said({ diameterM: 0.0002 })).toEqual([expect.stringMatching(/main line is labelled 1\.8 times what braid/)])
  expect(said({ diameterM: 0.00035 })).toEqual([])
})

test('line is old by its material, from the day it was wound on', () => {
  expect(said({ woundOn: '2021-11-26' })).toEqual([expect.stringMatching(/on for 5 years/)])
  expect(said({ woundOn: '2021-12-26' })).toEqual([])
  expect(said({ woundOn: '2024-11-01', material: 'mono', strengthN: 20 * LB })).toEqual([expect.stringMatching(/on for 2 years/)])
})

test('a join that cannot stand between the two lines is said', () => {
  expect(said({ joint: { connection: 'catsPaw' } })).toEqual([
    expect.stringMatching(/Between backing and main line is “cat’s paw”/),
  ])
  expect(said({ joint: { connection: 'fg' } })).toEqual([])
})

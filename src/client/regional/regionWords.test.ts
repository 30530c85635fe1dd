import { expect, test } from 'vitest'
import { NOMINAL_CATALOGUE } from '../../core/catalogue/catalogue.ts'
import { FAMILY_IDS, familyName } from '../../core/catalogue/familyIds.ts'
import { searchForms } from '../../core/edit/searchForms.ts'
import { inRegion, REGION_WORDS, REGIONS } from './regionWords.ts'

test('a sentence in each region, with articles, plurals and capitals that fit', () => {
  const text = 'A snood and two snoods: use an improved clinch, not a ball. Sinkers hold in the current.'
  expect(REGIONS.map((region) => inRegion(region)(text))).toEqual([
    text,
    'A snood and two snoods: use a tucked half blood, not a ball. Leads hold in the tide run.',
    'A dropper and two droppers: use an improved clinch, not an egg sinker. Sinkers hold in the current.',
    'A hook snood and two hook snoods: use an improved clinch, not a ball. Sinkers hold in the current.',
    'A dropper and two droppers: use a locked half blood, not a ball. Sinkers hold in the current.',
  ])
})

test('a text that is written twice changes once', () => {
  for (const region of REGIONS)
    for (const term of Object.keys(REGION_WORDS)) {
      const once = inRegion(region)(`a ${term}, ${term}s and leaders`)
      expect(inRegion(region)(once)).toBe(once)
    }
})

test('a term inside another word, or meant in another sense, stays', () => {
  const same = ['ball-bearing swivel', 'tracer', 'marking', 'through the gap next to the eye', 'no line marks']
  for (const region of REGIONS) expect(same.map(inRegion(region))).toEqual(same)
})

test('two kinds of one thing never get one name', () => {
  const tables = [
    ...['sinkers', 'hardware', 'connections', 'materials'].map((table) =>
      Object.values(NOMINAL_CATALOGUE[table as 'sinkers']).map(({ name }) => name),
    ),
    FAMILY_IDS.map(familyName),
  ]
  for (const region of REGIONS) for (const names of tables) expect(new Set(names.map(inRegion(region))).size).toBe(names.length)
})

test('a search by the word of any region finds the term', () => {
  const parts = [
    'snood',
    'bite trace',
    'wired grip',
    'pyramid',
    'running ledger',
    'boom paternoster',
    'stop knot',
    'sliding float',
    'snap',
  ]
  for (const term of parts)
    for (const word of Object.values(REGION_WORDS[term] ?? {})) expect(searchForms(word), word).toContain(term)
})

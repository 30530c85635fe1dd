import { expect, test } from 'vitest'
import { draftOf } from '../../../tests/fixtures/drafts.ts'
import { braidOutfit } from '../../../tests/fixtures/outfits.ts'
import { catalogue } from '../../../tests/fixtures/setups.ts'
import { defaultConditions } from '../documents/conditions.ts'
import { toldOf } from './told.ts'

const outfit = braidOutfit(50)
const setup = (family: Parameters<typeof draftOf>[0]) => ({
  ...draftOf(family, outfit, { ...defaultConditions(), castStyle: 'none' }),
  outfit,
  catalogue,
})

test('the chances of the links of one path are one together, the likeliest first; every link of every path is there once', () => {
  for (const family of ['runningLedger', 'pulley'] as const) {
    const { told, links } = toldOf(setup(family))
    const chances = told.first!.map(({ chance }) => chance)
    expect(chances.reduce((sum, each) => sum + each, 0)).toBeCloseTo(1, 3)
    expect(chances).toEqual(chances.toSorted((a, b) => b - a))
    expect(new Set(links.map(({ key }) => key)).size).toBe(links.length)
    expect(links.length).toBeGreaterThanOrEqual(chances.length)
    expect(Object.keys(told.verdicts!)).toContain('run')
  }
})

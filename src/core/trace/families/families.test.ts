import { describe, expect, test } from 'vitest'
import { draftOf } from '../../../../tests/fixtures/drafts.ts'
import { FAMILY_FIXTURES } from '../../../../tests/fixtures/families.ts'
import { braidOutfit, LB } from '../../../../tests/fixtures/outfits.ts'
import { evaluate, momentsOf } from '../../moments/evaluate.ts'
import { usualConditions } from '../conditions.ts'
import { fitIssues } from '../fitsOutfit.ts'
import type { Outfit } from '../outfit.ts'
import { parseTrace } from '../parseTrace.ts'
import { FAMILIES } from './families.ts'

const monoOutfit: Outfit = {
  ...braidOutfit(20),
  name: '20 lb mono',
  wound: [{ role: 'main', material: 'mono', strengthN: 20 * LB }],
}
const outfits = [...[15, 30, 50, 80].map((mainLb) => braidOutfit(mainLb)), monoOutfit]

describe.each(FAMILIES)('$name', (family) => {
  test.each(family.casts)('cast style %s: a first draft is sound, fits, and holds in every moment that applies', (castStyle) => {
    for (const outfit of outfits) {
      const { trace, conditions } = draftOf(family.id, outfit, { ...usualConditions(), castStyle })
      expect(parseTrace(trace)).toEqual({ ok: true, trace })
      expect(fitIssues(trace, outfit)).toEqual([])
      const evaluation = evaluate(trace, outfit, conditions)
      const verdicts = momentsOf(evaluation).map(({ moment, verdict }) => `${moment} ${verdict}`)
      // A bimini is all but as strong as the line it doubles: under a heavy leader chance says whether the main line is kept.
      const doubled = trace.pieces.some(({ role }) => role === 'double')
      const below = verdicts.filter((verdict) => !verdict.endsWith('holds'))
      expect(below, `${outfit.name} ${castStyle}`).toEqual(doubled ? ['snag watch'] : [])
      expect(verdicts.some((verdict) => verdict.startsWith('cast'))).toBe(castStyle !== 'none')
    }
  })

  test('every parameter at its ends gives a sound document', () => {
    for (const { key, least, most } of family.parameters)
      for (const value of [least, most]) {
        const { trace } = draftOf(
          family.id,
          braidOutfit(50),
          { ...usualConditions(), castStyle: family.casts[0] },
          { [key]: value },
        )
        expect(parseTrace(trace), `${key} ${value}`).toEqual({ ok: true, trace })
      }
  })

  test('every parameter changes the draft', () => {
    const at = (amounts: Record<string, number>) =>
      draftOf(family.id, braidOutfit(50), { ...usualConditions(), castStyle: family.casts[0] }, amounts).trace
    for (const { key, most } of family.parameters) expect(at({ [key]: most }), key).not.toEqual(at({}))
  })
})

test('the 26 families of the craft: each has a draft, soft lures one for each way of weighting them', () => {
  const ids = FAMILIES.map(({ id }) => id)
  expect(new Set(ids).size).toBe(ids.length)
  const softLures = FAMILIES.filter(({ name }) => name.startsWith('soft lure'))
  expect(softLures).toHaveLength(7)
  expect(FAMILIES.length - softLures.length + 1).toBe(FAMILY_FIXTURES.length)
})

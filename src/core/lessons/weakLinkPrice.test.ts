import { expect, test } from 'vitest'
import { draftOf } from '../../../tests/fixtures/drafts.ts'
import { braidOutfit } from '../../../tests/fixtures/outfits.ts'
import { catalogue } from '../../../tests/fixtures/setups.ts'
import { defaultConditions } from '../documents/conditions.ts'
import { wholeReplacement } from '../setup/replacement.ts'
import { LB } from '../units/quantities.ts'
import { noCounts } from './counts.ts'
import { DEFAULT_PRIORS } from './priors.ts'
import { tripRates, weakLinkPrices } from './weakLinkPrice.ts'

const outfit = braidOutfit(50)
const setupOf = (castStyle: 'none' | 'overhead') => ({
  ...draftOf('threeWay', outfit, { ...defaultConditions(), castStyle }),
  outfit,
  catalogue,
})
const LABELS = [4, 8, 15, 25, 40, 80].map((lb) => lb * LB)
const prices = (snags: number, casts: number) => weakLinkPrices(setupOf('overhead'), LABELS, { snags, casts })!

test('a stronger weak link costs more in snags and less in casts; the least lies where the two are least together', () => {
  const { rows, best, from, to } = prices(2, 30)
  expect(rows.map(({ strengthN }) => strengthN)).toEqual(LABELS)
  for (const [i, row] of rows.slice(1).entries()) {
    // Where it is not the weak one any more, which of the others breaks moves by a hair.
    expect(row.inSnags).toBeGreaterThan(0.999 * rows[i]!.inSnags)
    // A thicker line takes a little more of itself into its knots.
    expect(row.inCasts).toBeLessThanOrEqual(1.001 * rows[i]!.inCasts)
  }
  expect(rows[best]!.cost).toBe(Math.min(...rows.map(({ cost }) => cost)))
  for (const { cost } of rows.slice(from, to + 1)) expect(cost).toBeLessThanOrEqual(1.1 * rows[best]!.cost)
  expect(rows.at(-1)!.inSnags).toBeGreaterThan(2 * rows[0]!.inSnags)
  expect(rows[0]!.inCasts).toBeGreaterThan(rows[0]!.inSnags)
})

test('snags cost in proportion, and never more than the whole trace each', () => {
  const [one, three] = [prices(1, 0), prices(3, 0)]
  const whole = wholeReplacement(setupOf('overhead')).cost
  for (const [i, { inSnags, inCasts }] of one.rows.entries()) {
    expect(three.rows[i]!.inSnags).toBeCloseTo(3 * inSnags, 9)
    expect(inSnags).toBeLessThanOrEqual(whole + 1e-9)
    expect(inCasts).toBe(0)
  }
  expect(one.best).toBe(0)
})

test('where nothing is cast, no cast costs anything; without a weak link or a line there is no price', () => {
  const setup = setupOf('none')
  expect(weakLinkPrices(setup, LABELS, { snags: 1, casts: 30 })!.rows.every(({ inCasts }) => inCasts === 0)).toBe(true)
  expect(weakLinkPrices(setup, [], { snags: 1, casts: 1 })).toBeUndefined()
  const { weakLink: _, ...trace } = setup.trace
  expect(weakLinkPrices({ ...setup, trace }, LABELS, { snags: 1, casts: 1 })).toBeUndefined()
})

test('a trip brings the snags and casts of its hours; a snag that took the trace with its sinker is one', () => {
  const counts = { ...noCounts(), hours: 76, casts: 152, snags: 20, sinkersLost: 9, tracesLost: 6 }
  // Half a loss in four hours before, nine in 76 since.
  expect(tripRates(counts, DEFAULT_PRIORS.losses, 8)).toEqual({ snags: expect.closeTo((8 * 9.5) / 80, 12), casts: 16 })
  expect(tripRates(undefined, DEFAULT_PRIORS.losses, 8)).toEqual({ snags: expect.closeTo(1, 12), casts: 24 })
})

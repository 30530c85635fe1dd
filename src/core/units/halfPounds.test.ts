import fc from 'fast-check'
import { expect, test } from 'vitest'
import { withinHalfPoundsN } from './halfPounds.ts'
import { LB } from './quantities.ts'

test('a pull that is a whole number of half-pounds stays what it is, however it was worked out', () => {
  // 0.3 × 50 lb is 14.999… lb in floating numbers.
  expect(withinHalfPoundsN(0.3 * 50 * LB) / LB).toBeCloseTo(15, 9)
  expect(withinHalfPoundsN(14.99 * LB) / LB).toBeCloseTo(14.5, 9)
  expect(withinHalfPoundsN(0.49 * LB)).toBe(0)
})

test('never more than the pull, and less by under half a pound', () => {
  fc.assert(
    fc.property(fc.double({ min: 0, max: 2000, noNaN: true }), (pullN) => {
      const withinN = withinHalfPoundsN(pullN)
      expect(withinN).toBeLessThanOrEqual(pullN + 1e-8)
      expect(pullN - withinN).toBeLessThan(LB / 2)
    }),
  )
})

import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { atDepth } from '../../../../tests/depth.ts'
import { normalOf, seeded } from '../../math/seeded.ts'
import { chanceBetter, type Tested, testedEfficiency, testedMean, testedMeanWithoutEach } from './testedEfficiency.ts'

const CREWS = atDepth(500, 2_000)

const nominal: Tested = { nominalEfficiency: 0.8, nominalVariation: 0.08, priorWeight: 4, priorDegrees: 6, tested: [] }
const pulls = fc.array(fc.double({ min: 0.3, max: 1.1, noNaN: true }), { maxLength: 30 })

/** Share of so many simulated crews whose interval holds what is true. */
function held(crews: number, draw: (even: () => number) => { truth: number; tests: Tested }): number {
  const even = seeded(7)
  let count = 0
  for (let i = 0; i < crews; i += 1) {
    const { truth, tests } = draw(even)
    const { low, high } = testedEfficiency(tests)
    if (low <= truth && truth <= high) count += 1
  }
  return count / crews
}

describe('a connection after its pulls', () => {
  test('without pulls it is the nominal figure, and with many it is their mean', () => {
    expect(testedEfficiency(nominal)).toMatchObject({ mean: 0.8 })
    expect(testedEfficiency(nominal).variation).toBeCloseTo(0.08, 12)
    expect(testedEfficiency({ ...nominal, tested: Array(2000).fill(0.7) }).mean).toBeCloseTo(0.7, 3)
  })

  test('the order of the pulls is of no matter, and one at the mean draws the interval in', () => {
    fc.assert(
      fc.property(pulls, (tested) => {
        const after = testedEfficiency({ ...nominal, tested })
        const turned = testedEfficiency({ ...nominal, tested: tested.toReversed() })
        expect(turned.mean).toBeCloseTo(after.mean, 10)
        expect(turned.high).toBeCloseTo(after.high, 8)
        const more = testedEfficiency({ ...nominal, tested: [...tested, after.mean] })
        expect(more.high - more.low).toBeLessThan(after.high - after.low)
      }),
      { numRuns: 50 },
    )
  })

  test('of many crews nine in ten hold the true mean, where it is drawn as the prior says', () => {
    const share = held(CREWS, (even) => {
      // Variance from its inverse gamma by a sum of squares, the mean about the nominal one by it.
      const alphaTwice = nominal.priorDegrees
      const beta = (alphaTwice / 2 - 1) * (0.08 * 0.8) ** 2
      const chiSquared = Array.from({ length: alphaTwice }, () => normalOf(even) ** 2).reduce((sum, each) => sum + each, 0)
      const sigma = Math.sqrt((2 * beta) / chiSquared)
      const truth = 0.8 + (sigma / Math.sqrt(nominal.priorWeight)) * normalOf(even)
      return { truth, tests: { ...nominal, tested: Array.from({ length: 5 }, () => truth + sigma * normalOf(even)) } }
    })
    expect(share).toBeGreaterThan(0.86)
    expect(share).toBeLessThan(0.94)
  })

  test.each([10, 20, 40])('with a wrong prior %i pulls hold the true mean as often', (n) => {
    const share = held(CREWS, (even) => {
      const truth = 0.77
      return { truth, tests: { ...nominal, tested: Array.from({ length: n }, () => truth + 0.05 * normalOf(even)) } }
    })
    expect(share).toBeGreaterThan(0.86)
    expect(share).toBeLessThan(0.94)
  })
})

describe('which is better', () => {
  test('one against itself is even, and the two chances make one', () => {
    fc.assert(
      fc.property(pulls, pulls, (a, b) => {
        const [one, other] = [
          { ...nominal, tested: a },
          { ...nominal, tested: b },
        ]
        expect(chanceBetter(one, one)).toBeCloseTo(0.5, 8)
        expect(chanceBetter(one, other) + chanceBetter(other, one)).toBeCloseTo(1, 8)
      }),
      { numRuns: 20 },
    )
  })

  test('it grows with the figure of the better one', () => {
    const chances = [0.7, 0.78, 0.86, 0.94].map((x) => chanceBetter({ ...nominal, tested: [x, x + 0.02, x - 0.02] }, nominal))
    expect(chances).toEqual(chances.toSorted((a, b) => a - b))
    expect(chances[0]).toBeLessThan(0.2)
    expect(chances[3]).toBeGreaterThan(0.9)
  })
})

test('without each value in turn: the same as working everything out from the others', () => {
  const share = fc.double({ min: 0.2, max: 1.2, noNaN: true })
  fc.assert(
    fc.property(fc.array(share, { minLength: 1, maxLength: 40 }), (tested) => {
      const tests: Tested = { nominalEfficiency: 0.8, nominalVariation: 0.1, priorWeight: 4, priorDegrees: 6, tested }
      for (const [i, { mean, variation }] of testedMeanWithoutEach(tests).entries()) {
        const others = testedMean({ ...tests, tested: tested.filter((_, at) => at !== i) })
        expect(mean).toBeCloseTo(others.mean, 12)
        expect(variation).toBeCloseTo(others.variation, 10)
      }
    }),
  )
})

import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { normalCdf, normalPdf } from '../math/normal.ts'
import { heldChance, learnRatio } from './ratioBelief.ts'

const prior = { median: 0.5, spread: 0.3 }
const demandArb = fc.double({ min: 0.1, max: 3, noNaN: true })

describe('what holds and drags teach', () => {
  test('nothing seen leaves what was thought, nine in ten and one in ten 1.2816 spreads away', () => {
    const none = learnRatio(prior, [])
    expect(none.median).toBeCloseTo(0.5, 6)
    expect(none.spread).toBeCloseTo(0.3, 5)
    expect(Math.log(none.low / 0.5) / 0.3).toBeCloseTo(-1.2816, 2)
    expect(Math.log(none.high / 0.5) / 0.3).toBeCloseTo(1.2816, 2)
  })

  test('closed form: the spread after one hold is that of a normal cut by another', () => {
    for (const demand of [0.3, 0.5, 0.9]) {
      const width = Math.hypot(0.3, 0.2)
      const z = (Math.log(0.5) - Math.log(demand)) / width
      const h = normalPdf(z) / normalCdf(z)
      const variance = 0.09 - (0.09 / width) ** 2 * h * (z + h)
      expect(learnRatio(prior, [{ demand, held: true }]).spread).toBeCloseTo(Math.sqrt(variance), 5)
    }
  })

  test('a hold never lowers it, a drag never raises it; either makes it surer', () => {
    fc.assert(
      fc.property(demandArb, (demand) => {
        const [held, dragged] = [true, false].map((each) => learnRatio(prior, [{ demand, held: each }]))
        expect(held!.median).toBeGreaterThanOrEqual(0.5 - 1e-6)
        expect(dragged!.median).toBeLessThanOrEqual(0.5 + 1e-6)
        for (const { spread, low, median, high } of [held!, dragged!]) {
          expect(spread).toBeLessThanOrEqual(0.3 + 1e-6)
          expect(low < median && median < high).toBe(true)
        }
      }),
    )
  })

  test('turned over, a ratio held is its inverse dragged', () => {
    fc.assert(
      fc.property(fc.array(fc.record({ demand: demandArb, held: fc.boolean() }), { maxLength: 6 }), (evidence) => {
        const over = learnRatio(
          { median: 1 / prior.median, spread: prior.spread },
          evidence.map(({ demand, held }) => ({ demand: 1 / demand, held: !held })),
        )
        expect(over.median * learnRatio(prior, evidence).median).toBeCloseTo(1, 6)
      }),
      { numRuns: 30 },
    )
  })

  test('many holds under a ratio and drags over it close in on it', () => {
    const evidence = Array.from({ length: 40 }, (_, i) => {
      const demand = 0.4 + 0.02 * i
      return { demand, held: demand < 0.8 }
    })
    const { median, spread } = learnRatio(prior, evidence)
    expect(median).toBeGreaterThan(0.74)
    expect(median).toBeLessThan(0.86)
    expect(spread).toBeLessThan(0.08)
  })
})

test('a demand is held with the chance that one more of the same was held', () => {
  const belief = { median: 2, spread: 0.3 }
  expect(heldChance(belief, 2)).toBeCloseTo(0.5, 9)
  // Σ over the belief of Φ((x − ln d) / 0.2), by hand on a grid.
  const sum = Array.from({ length: 20_001 }, (_, i) => Math.log(2) + 0.3 * 8 * (i / 10_000 - 1)).reduce(
    (all, x) => {
      const weight = Math.exp(-((x - Math.log(2)) ** 2) / (2 * 0.09))
      return [all[0]! + weight, all[1]! + weight * normalCdf((x - Math.log(1.5)) / 0.2)]
    },
    [0, 0],
  )
  expect(heldChance(belief, 1.5)).toBeCloseTo(sum[1]! / sum[0]!, 6)
})

import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { normalCdf } from '../../math/normal.ts'
import { normalOf, seeded } from '../../math/seeded.ts'
import { chanceFinder, strengthFailure } from './failure.ts'

const newtons = fc.double({ min: 5, max: 2000, noNaN: true })
const scale = fc.double({ min: 0.01, max: 100, noNaN: true })

describe('strength.failure', () => {
  const link = fc.record({ meanN: newtons, variation: fc.double({ min: 0.005, max: 0.4, noNaN: true }) })

  test('two links meet the closed form', () => {
    fc.assert(
      fc.property(link, link, (a, b) => {
        const { first } = strengthFailure(
          [
            { id: 'a', ...a },
            { id: 'b', ...b },
          ],
          0,
        )
        const spread = Math.hypot(a.meanN * a.variation, b.meanN * b.variation)
        expect(first[0]!.probability).toBeCloseTo(normalCdf((b.meanN - a.meanN) / spread), 9)
      }),
    )
  })

  test('chances sum to 1, scale with nothing, and fall for a link that is made stronger', () => {
    fc.assert(
      fc.property(fc.array(link, { minLength: 2, maxLength: 8 }), scale, (rows, k) => {
        const links = rows.map((row, i) => ({ id: `${i}`, ...row }))
        const plain = strengthFailure(links, 50)
        expect(plain.first.reduce((sum, { probability }) => sum + probability, 0)).toBeCloseTo(1, 12)
        const scaled = strengthFailure(
          links.map((each) => ({ ...each, meanN: each.meanN * k })),
          50 * k,
        )
        for (const [i, { probability }] of scaled.first.entries()) expect(probability).toBeCloseTo(plain.first[i]!.probability, 9)
        expect(scaled.survival).toBeCloseTo(plain.survival, 9)
        // Shifted up as a whole, its spread in newtons kept.
        const shifted = links.map((each, i) =>
          i === 0 ? { ...each, meanN: each.meanN * 1.2, variation: each.variation / 1.2 } : each,
        )
        expect(strengthFailure(shifted, 50).first[0]!.probability).toBeLessThanOrEqual(plain.first[0]!.probability + 1e-9)
      }),
    )
  })

  test('links known to eight digits are told apart; closer than a double resolves is out of range', () => {
    const { first } = strengthFailure(
      [
        { id: 'a', meanN: 100, variation: 1e-8 },
        { id: 'b', meanN: 101, variation: 1e-8 },
        { id: 'c', meanN: 300, variation: 2 },
      ],
      50,
    )
    expect(first[1]!.probability).toBeLessThan(1e-9)
    // c is Normal(300, 600): under 100 N with Φ(−1/3) = 0.36944.
    expect(first[2]!.probability).toBeCloseTo(0.36944, 4)
    expect(() => strengthFailure([{ id: 'a', meanN: 100, variation: 1e-18 }], 50)).toThrow(
      expect.objectContaining({ code: 'out-of-range' }),
    )
  })

  test('agrees with a seeded trial of 200 000 pulls', () => {
    const links = [
      { id: 'a', meanN: 80, variation: 0.08 },
      { id: 'b', meanN: 90, variation: 0.1 },
      { id: 'c', meanN: 84, variation: 0.02 },
    ]
    const counts = [0, 0, 0]
    const random = seeded(20260123)
    for (let pull = 0; pull < 200_000; pull += 1) {
      const strengths = links.map(({ meanN, variation }) => meanN * (1 + variation * normalOf(random)))
      counts[strengths.indexOf(Math.min(...strengths))]! += 1
    }
    const { first } = strengthFailure(links, 60)
    // Three standard errors of a share from 200 000 trials are 0.0034.
    for (const [i, count] of counts.entries()) expect(Math.abs(count / 200_000 - first[i]!.probability)).toBeLessThan(0.0034)
  })

  test('a joint that is a share of its line goes before it with the chance that the share is under one, however the line varies', () => {
    for (const variation of [0.001, 0.04, 0.2])
      for (const [efficiency, spread] of [
        [0.95, 0.04],
        [0.7, 0.1],
        [1.05, 0.02],
      ] as const) {
        const { first } = strengthFailure(
          [
            { id: 'line', meanN: 130, variation },
            { id: 'joint', line: 'line', efficiency, variation: spread },
          ],
          0,
        )
        expect(first[1]!.probability).toBeCloseTo(normalCdf((1 - efficiency) / (spread * efficiency)), 7)
      }
  })

  test('tables kept from one chain to the next meet what is integrated cell by cell, for ordinary spreads', () => {
    const spread = fc.double({ min: 0.03, max: 0.1, noNaN: true })
    const joint = fc.record({ efficiency: fc.double({ min: 0.4, max: 1.05, noNaN: true }), variation: spread })
    const group = fc.record({
      meanN: fc.double({ min: 60, max: 300, noNaN: true }),
      variation: spread,
      joints: fc.array(joint, { maxLength: 3 }),
      twice: fc.boolean(),
    })
    const chancesOf = chanceFinder()
    fc.assert(
      fc.property(
        fc.array(group, { minLength: 1, maxLength: 4 }),
        fc.double({ min: 0, max: 250, noNaN: true }),
        (rows, loadN) => {
          const links = rows.flatMap(({ meanN, variation, joints, twice }, i) => [
            { id: `${i}`, meanN, variation },
            ...[...joints, ...(twice ? joints : [])].map((each, j) => ({ id: `${i}.${j}`, line: `${i}`, ...each })),
          ])
          const byCells = strengthFailure(links, loadN)
          const { first, survival } = chancesOf(links)
          for (const [i, chance] of first().entries()) expect(Math.abs(chance - byCells.first[i]!.probability)).toBeLessThan(5e-4)
          expect(Math.abs(survival(loadN) - byCells.survival)).toBeLessThan(5e-4)
        },
      ),
      { numRuns: 30 },
    )
  })

  test('two lines with their joints agree with a seeded trial of 200 000 pulls', () => {
    const links = [
      { id: 'knot', line: 'main', efficiency: 0.9, variation: 0.05 },
      { id: 'main', meanN: 100, variation: 0.06 },
      { id: 'leader', meanN: 104, variation: 0.05 },
      { id: 'loop', line: 'leader', efficiency: 0.88, variation: 0.08 },
      { id: 'snell', line: 'leader', efficiency: 0.9, variation: 0.04 },
    ]
    const counts = links.map(() => 0)
    const random = seeded(20261125)
    let held = 0
    for (let pull = 0; pull < 200_000; pull += 1) {
      const [main, leader] = [100 * (1 + 0.06 * normalOf(random)), 104 * (1 + 0.05 * normalOf(random))]
      const share = (of: number, efficiency: number, variation: number) => of * efficiency * (1 + variation * normalOf(random))
      const strengths = [share(main, 0.9, 0.05), main, leader, share(leader, 0.88, 0.08), share(leader, 0.9, 0.04)]
      const least = Math.min(...strengths)
      counts[strengths.indexOf(least)]! += 1
      if (least > 80) held += 1
    }
    const { first, survival } = strengthFailure(links, 80)
    for (const [i, count] of counts.entries()) expect(Math.abs(count / 200_000 - first[i]!.probability)).toBeLessThan(0.0034)
    expect(Math.abs(held / 200_000 - survival)).toBeLessThan(0.0034)
  })

  test('the normal distribution meets its printed table (Abramowitz and Stegun, table 26.1)', () => {
    expect(normalCdf(1.96)).toBeCloseTo(0.9750021048517795, 14)
    expect(normalCdf(-5) / 2.866515718791946e-7).toBeCloseTo(1, 9)
    expect(normalCdf(-8) / 6.22096057427174e-16).toBeCloseTo(1, 6)
    expect(normalCdf(50)).toBe(1)
  })
})

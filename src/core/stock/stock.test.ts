import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { cutsFromRemnants, MAX_TRACES, stockBatch } from './batch.ts'
import { stockSpares } from './spares.ts'

describe('spares', () => {
  const rate = fc.record({
    priorEvents: fc.double({ min: 0.1, max: 20, noNaN: true }),
    priorExposure: fc.double({ min: 0.1, max: 50, noNaN: true }),
    events: fc.nat({ max: 60 }),
    exposure: fc.double({ min: 0, max: 60, noNaN: true }),
    planned: fc.double({ min: 0.1, max: 30, noNaN: true }),
  })

  test('the chance to run out is at most what the assurance leaves, and one spare less would be too few', () => {
    fc.assert(
      fc.property(rate, fc.double({ min: 0.5, max: 0.99, noNaN: true }), (given, assurance) => {
        const { spares, runOut, meanLost } = stockSpares({ ...given, assurance })
        expect(runOut).toBeLessThanOrEqual(1 - assurance + 1e-12)
        if (spares > 0) {
          // With one less the chance is that of exactly so many more, by the closed form of one step.
          const a = given.priorEvents + given.events
          const b = given.priorExposure + given.exposure
          const p = b / (b + given.planned)
          const logExactly =
            Array.from({ length: spares }, (_, k) => Math.log(((a + k) / (k + 1)) * (1 - p))).reduce(
              (sum, each) => sum + each,
              0,
            ) +
            a * Math.log(p)
          expect(runOut + Math.exp(logExactly)).toBeGreaterThan(1 - assurance - 1e-9)
        }
        expect(meanLost).toBeCloseTo(
          ((given.priorEvents + given.events) * given.planned) / (given.priorExposure + given.exposure),
          9,
        )
      }),
    )
  })

  test('more assurance never asks for fewer spares, and more losses seen never for fewer', () => {
    const of = (events: number, assurance: number) =>
      stockSpares({ priorEvents: 0.5, priorExposure: 4, events, exposure: 30, planned: 6, assurance }).spares
    const byAssurance = [0.5, 0.8, 0.9, 0.95, 0.99].map((assurance) => of(7, assurance))
    const byEvents = [0, 3, 7, 20, 60].map((events) => of(events, 0.9))
    for (const row of [byAssurance, byEvents]) expect(row).toEqual(row.toSorted((a, b) => a - b))
  })
})

/** Whether every piece finds its remnant, by trying them all: only for a few. */
function fits(left: number[], pieces: number[]): boolean {
  const [piece, ...others] = pieces
  if (piece === undefined) return true
  return left.some((each, i) => each >= piece && fits(left.with(i, each - piece), others))
}

describe('a batch from remnants', () => {
  test('is what trying every way gives', () => {
    const cm = fc.integer({ min: 10, max: 120 })
    fc.assert(
      fc.property(
        fc.array(cm, { minLength: 1, maxLength: 3 }),
        fc.array(cm, { minLength: 1, maxLength: 3 }),
        (remnants, cuts) => {
          const longest = cuts.toSorted((a, b) => b - a)
          const piecesOf = (traces: number) => longest.flatMap((cut) => Array<number>(traces).fill(cut))
          fc.pre(remnants.reduce((sum, each) => sum + each, 0) / cuts.reduce((sum, each) => sum + each, 0) < 4)
          let most = 0
          while (most < 5 && fits(remnants, piecesOf(most + 1))) most += 1
          const metres = (all: number[]) => all.map((each) => each / 100)
          expect(stockBatch({ remnantsM: metres(remnants), cutsM: metres(cuts) }).traces).toBe(most)
        },
      ),
      { numRuns: 300 },
    )
  })

  test('a longer remnant never gives fewer traces, and a cut more never gives more', () => {
    const m = fc.integer({ min: 1, max: 400 }).map((cm) => cm / 20)
    fc.assert(
      fc.property(
        fc.array(m, { minLength: 1, maxLength: 6 }),
        fc.array(m, { minLength: 1, maxLength: 5 }),
        m,
        (remnantsM, cutsM, more) => {
          const { traces } = stockBatch({ remnantsM, cutsM })
          expect(stockBatch({ remnantsM: [...remnantsM, more], cutsM }).traces).toBeGreaterThanOrEqual(traces)
          expect(stockBatch({ remnantsM, cutsM: [...cutsM, more] }).traces).toBeLessThanOrEqual(traces)
        },
      ),
      { numRuns: 100 },
    )
  })

  test('the cuts from each remnant are those of so many traces, and fit into it; more traces than there are give none', () => {
    const cm = fc.integer({ min: 5, max: 300 })
    fc.assert(
      fc.property(
        fc.array(cm, { minLength: 1, maxLength: 6 }),
        fc.array(cm, { minLength: 1, maxLength: 4 }),
        (remnants, cuts) => {
          const given = { remnantsM: remnants.map((each) => each / 100), cutsM: cuts.map((each) => each / 100) }
          const { traces } = stockBatch(given)
          const taken = cutsFromRemnants(given, traces)!
          const counts = new Map<number, number>()
          for (const { remnant, cuts: from } of taken) {
            expect(from.reduce((sum, { cutM, count }) => sum + cutM * count, 0)).toBeLessThanOrEqual(
              given.remnantsM[remnant]! + 1e-9,
            )
            for (const { cutM, count } of from) {
              const key = Math.round(cutM * 100)
              counts.set(key, (counts.get(key) ?? 0) + count)
            }
          }
          for (const length of new Set(cuts))
            expect(counts.get(length) ?? 0).toBe(traces * cuts.filter((each) => each === length).length)
          // No more than that are asked about, though more could be cut.
          if (traces < MAX_TRACES) expect(cutsFromRemnants(given, traces + 1)).toBeUndefined()
        },
      ),
      { numRuns: 200 },
    )
  })

  test('a cut as long as its remnant fits, whatever floating point says', () => {
    expect(stockBatch({ remnantsM: [0.1 + 0.2], cutsM: [0.3] })).toEqual({ traces: 1 })
    expect(stockBatch({ remnantsM: [0.3], cutsM: [0.1, 0.1, 0.1] })).toEqual({ traces: 1 })
  })
})

import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { FEEDS, FIGHTS, type Fish, TAKES, TEETH } from '../core/documents/fish.ts'
import { readFishCsv, writeFishCsv } from './fishCsv.ts'

const HEAD = `${writeFishCsv([]).trim()}\n`
const GURNARD = 'gurnard,0.5 kg,35 cm,2 lb 10 oz,0.5,10,8,none,bed,picks,shakes dives,,yes,,spines\n'

describe('fish as a table', () => {
  test('is read as people write it', () => {
    const read = readFishCsv(HEAD + GURNARD)
    expect(read).toEqual({
      ok: true,
      value: [
        expect.objectContaining({
          name: 'gurnard',
          typicalLengthM: expect.closeTo(0.35, 12),
          largeMassKg: expect.closeTo(1.19, 2),
          mouthWidthShare: 0.1,
          fights: ['shakes', 'dives'],
          lineShy: true,
          released: false,
          notes: 'spines',
        }),
      ],
    })
  })

  test.each([
    ['0.5 kg', '3 kn', 'weight: '],
    ['0.5 kg', '90 kg', 'large weight: must not be smaller'],
    ['picks', 'swallows', 'takes: '],
    [',10,8,', ',90,8,', 'mouth across %: '],
    ['shakes dives', 'sulks', 'fights: '],
  ])('%s as %s is refused by its line and column', (was, is, message) => {
    const read = readFishCsv(HEAD + GURNARD + GURNARD.replace(was, is))
    expect(read).toEqual({ ok: false, faults: [{ line: 3, message: expect.stringContaining(message) }] })
  })

  test('written and read again, it is the same', () => {
    const size = fc.double({ min: 0.03, max: 4, noNaN: true })
    const share = fc.double({ min: 0.01, max: 0.5, noNaN: true })
    const fish: fc.Arbitrary<Fish> = fc
      .record({
        name: fc.constantFrom('ling', 'a, b', '=SUM(1)'),
        typicalMassKg: size,
        typicalLengthM: size,
        mouthWidthShare: share,
        mouthHeightShare: share,
        teeth: fc.constantFrom(...TEETH),
        feeds: fc.constantFrom(...FEEDS),
        takes: fc.constantFrom(...TAKES),
        fights: fc.subarray([...FIGHTS]),
        shakesCircles: fc.boolean(),
        lineShy: fc.boolean(),
        released: fc.boolean(),
      })
      .map((of) => ({ ...of, formatVersion: 1, largeMassKg: 2 * of.typicalMassKg, largeLengthM: 2 * of.typicalLengthM }))
    fc.assert(
      fc.property(fc.array(fish, { minLength: 1, maxLength: 4 }), (all) => {
        const read = readFishCsv(writeFishCsv(all))
        if (!read.ok) throw new Error(JSON.stringify(read))
        for (const [i, back] of read.value.entries())
          for (const [field, value] of Object.entries(all[i]!)) {
            const now = back[field as keyof Fish]
            if (typeof value === 'number') expect((now as number) / value).toBeCloseTo(1, 10)
            // A name that a spreadsheet would calculate has a mark before it.
            else if (field === 'name') expect(String(now).replace(/^'/, '')).toBe(value)
            else expect(now).toEqual(value)
          }
      }),
      { numRuns: 40 },
    )
  })
})

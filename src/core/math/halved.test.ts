import fc from 'fast-check'
import { expect, test } from 'vitest'
import { halved } from './halved.ts'

test('what it returns lies on either side of where the condition begins, close together', () =>
  fc.assert(
    fc.property(fc.double({ min: 0, max: 1, noNaN: true }), (begins) => {
      const [below, above] = halved([0, 1], (value) => value >= begins)
      expect(below).toBeLessThanOrEqual(begins)
      expect(above).toBeGreaterThanOrEqual(begins)
      expect(above - below).toBeCloseTo(2 ** -16, 12)
    }),
  ))

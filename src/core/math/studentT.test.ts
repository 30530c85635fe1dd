import { describe, expect, test } from 'vitest'
import { normalCdf } from './normal.ts'
import { studentT } from './studentT.ts'

describe('Student’s t', () => {
  test('with 2 and 4 degrees it is its closed form', () => {
    const [two, four] = [studentT(2), studentT(4)]
    for (const t of [-30, -3, -0.4, 0, 0.1, 1, 2.5, 12]) {
      const [a, b] = [t / Math.sqrt(2 + t * t), t / Math.sqrt(4 + t * t)]
      expect(two.cdf(t)).toBeCloseTo((1 + a) / 2, 9)
      expect(four.cdf(t)).toBeCloseTo(0.5 + (3 * b) / 4 - b ** 3 / 4, 9)
    }
  })

  test('with many degrees it is the normal distribution', () => {
    const many = studentT(1e7)
    for (const t of [-4, -1, 0.5, 2]) expect(many.cdf(t)).toBeCloseTo(normalCdf(t), 6)
  })

  test('its quantile undoes it, and the table’s value for 10 degrees is met', () => {
    const ten = studentT(10)
    expect(ten.quantile(0.95)).toBeCloseTo(1.8124611228, 8)
    for (const chance of [0.001, 0.05, 0.5, 0.8, 0.999]) expect(ten.cdf(ten.quantile(chance))).toBeCloseTo(chance, 9)
  })

  test('the mean of a step is the chance to be over it', () => {
    const seven = studentT(7)
    expect(seven.expectation(() => 1)).toBeCloseTo(1, 12)
    expect(seven.expectation((t) => seven.cdf(t))).toBeCloseTo(0.5, 10)
  })
})

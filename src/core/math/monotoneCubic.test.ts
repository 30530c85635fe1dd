import fc from 'fast-check'
import { expect, test } from 'vitest'
import { monotoneCubic } from './monotoneCubic.ts'

const through = (xs: number[], ys: number[]) => (x: number) => monotoneCubic(xs, (i) => ys[i]!, x)

const points = fc
  .uniqueArray(fc.record({ x: fc.integer({ min: -50, max: 50 }), y: fc.double({ min: -3, max: 3, noNaN: true }) }), {
    selector: ({ x }) => x,
    minLength: 1,
    maxLength: 12,
  })
  .map((rows) => rows.toSorted((a, b) => a.x - b.x))

test('it goes through its points, stays between neighbours, and the ends hold beyond it', () => {
  fc.assert(
    fc.property(points, fc.double({ min: 0, max: 1, noNaN: true }), (rows, share) => {
      const curve = through(
        rows.map(({ x }) => x),
        rows.map(({ y }) => y),
      )
      for (const [i, { x, y }] of rows.entries()) {
        expect(curve(x)).toBeCloseTo(y, 12)
        const next = rows[i + 1]
        if (!next) continue
        const between = curve(x + share * (next.x - x))
        expect(between).toBeGreaterThanOrEqual(Math.min(y, next.y) - 1e-12)
        expect(between).toBeLessThanOrEqual(Math.max(y, next.y) + 1e-12)
      }
      expect([curve(-60), curve(60)]).toEqual([rows[0]!.y, rows.at(-1)!.y])
    }),
  )
})

test('it has no corner: its slope from the left is that from the right', () => {
  const curve = through([0, 1, 3, 4, 6], [0, 2, 2.5, 5, 1])
  for (const x of [1, 3, 4]) {
    const h = 1e-6
    expect((curve(x) - curve(x - h)) / h).toBeCloseTo((curve(x + h) - curve(x)) / h, 4)
  }
})

test('by hand: through (0, 0), (1, 1), (2, 4) the middle slope is the harmonic mean of 1 and 3, and the value at ½ follows', () => {
  // Slopes: at 0 the parabola's ((2 + 1) · 1 − 3)/2 = 0, at 1 2 · 1 · 3/(1 + 3) = 1.5; Hermite at ½: ½ · 1 + ⅛ (0 − 1.5).
  expect(through([0, 1, 2], [0, 1, 4])(0.5)).toBeCloseTo(0.5 - 1.5 / 8, 12)
})

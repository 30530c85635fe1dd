import fc from 'fast-check'
import { expect, test } from 'vitest'
import { type SolverTolerance, solveSystem } from './newton.ts'

const care = (difference: number, close: number): SolverTolerance => ({ tolerance: close / 10, close, difference })
const both = { rough: care(1e-2, 1e-2), fine: care(1e-6, 1e-11) }
const unit = fc.double({ min: -1, max: 1, noNaN: true })

test('meets its aims in two and in three unknowns, from about there', () => {
  fc.assert(
    fc.property(fc.array(unit, { minLength: 2, maxLength: 3 }), (place) => {
      // Bent, coupled, and one-to-one: each aim is its unknown's own curve and a tenth of its neighbour.
      const at = (x: readonly number[]) => x.map((each, i) => Math.sinh(each) + 0.1 * x[(i + 1) % x.length]!)
      const aims = at(place)
      const met = solveSystem(
        (x) => ({ missed: at(x).map((each, i) => each - aims[i]!), is: x }),
        place.map((each) => each + 0.7),
        place.map(() => 0.5),
        both,
      )!
      for (const [i, each] of met.at.entries()) expect(each).toBeCloseTo(place[i]!, 9)
      expect(met.shot.is).toEqual(met.at)
    }),
  )
})

test('fine shots start from what rough ones found: few of them are needed', () => {
  const shots = { rough: 0, fine: 0 }
  const curve = ([x, y]: readonly [number, number], { close }: SolverTolerance) => {
    shots[close === both.rough.close ? 'rough' : 'fine'] += 1
    // A rough shot is a hundredth off.
    const off = close === both.rough.close ? 5e-3 : 0
    return { missed: [Math.exp(x) - 2 + off, x * y - 1] }
  }
  const met = solveSystem(curve, [1.5, 0.5], [0.5, 0.5], both)!
  expect(met.at[0]).toBeCloseTo(Math.LN2, 10)
  expect(met.at[1]).toBeCloseTo(1 / Math.LN2, 10)
  expect(shots.fine).toBeLessThan(8)
})

test('where there is nothing to meet it says so, and shots that are no numbers do not stop it', () => {
  expect(solveSystem(([x]: readonly [number]) => ({ missed: [x ** 2 + 1] }), [1], [1], both)).toBeUndefined()
  expect(solveSystem(() => ({ missed: [Number.NaN] }), [1], [1], both)).toBeUndefined()
  // Beyond its edge there is no figure: the step is shortened.
  const edge = ([x]: readonly [number]) => ({ missed: [Math.log(x) + 3] })
  expect(solveSystem(edge, [1], [5], both)!.at[0]).toBeCloseTo(Math.exp(-3), 9)
})

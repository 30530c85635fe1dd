import { expect, test } from 'vitest'
import { nextDragN } from './dragSteps.ts'
import { QUANTITIES } from './quantities.ts'

test.each([
  ['N', 30, 1, 35],
  ['N', 32, -1, 30],
  ['N', 3, -1, 5],
  ['lb', 6.5, 1, 7],
  ['lb', 6.7, -1, 6.5],
  ['kg', 3, 1, 3.5],
  ['kN', 0.05, -1, 0.04],
] as const)('in %s a drag of %d steps (%d) to %d', (unit, from, direction, to) => {
  const factor = QUANTITIES.strength.units[unit]
  expect(nextDragN(from * factor, direction, unit) / factor).toBeCloseTo(to, 9)
})

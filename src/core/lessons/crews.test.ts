import { expect, test } from 'vitest'
import { atDepth } from '../../../tests/depth.ts'
import { crewFigures } from '../../../tests/fixtures/crews.ts'

/** `npm run bench:learn` has 500 of them. */
const CREWS = atDepth(60, 300)

// Takes over a second: each crew fishes twenty trips twice.
test('of drawn crews: nine in ten true rates lie in their ranges, few fair knots are called worse, a weak one by the tenth trip', () => {
  const { covered, mistaken, found } = crewFigures(CREWS, 20)
  expect(covered).toBeGreaterThan(0.86)
  expect(covered).toBeLessThan(0.94)
  expect(mistaken).toBeLessThanOrEqual(0.05)
  expect(found).toBeGreaterThanOrEqual(0.8)
})

import { expect, test } from 'vitest'
import type { Tested } from '../physics/strength/testedEfficiency.ts'
import { pullsToSettle } from './pullsToSettle.ts'

const knot = (nominalEfficiency: number): Tested => ({
  nominalEfficiency,
  nominalVariation: 0.06,
  priorWeight: 4,
  priorDegrees: 6,
  tested: [],
})
const settle = (a: Tested, b: Tested, seed = 3) => pullsToSettle({ a, b, seed })

test('what lies far apart is settled at once, what lies near wants more pulls or is not settled', () => {
  const far = settle(knot(0.95), knot(0.6))
  const near = settle(knot(0.84), knot(0.82))
  expect(far).toEqual({ pulls: 1, settled: 1 })
  expect(near.settled).toBeLessThan(far.settled)
  expect(near.pulls ?? Number.POSITIVE_INFINITY).toBeGreaterThan(1)
})

test('the same seed gives the same answer, and the share that is done goes up', () => {
  const settled = () => {
    const shares: number[] = []
    return { answer: pullsToSettle({ a: knot(0.9), b: knot(0.7), seed: 1 }, (share) => shares.push(share)), shares }
  }
  const { answer, shares } = settled()
  expect(settled()).toEqual({ answer, shares })
  expect(shares).toEqual(shares.toSorted((x, y) => x - y))
  expect(shares.length).toBeGreaterThan(10)
})

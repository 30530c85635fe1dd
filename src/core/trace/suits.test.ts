import { expect, test } from 'vitest'
import { FAMILY_FIXTURES } from '../../../tests/fixtures/families.ts'
import { braidOutfit } from '../../../tests/fixtures/outfits.ts'
import { isLine } from './schema.ts'
import { knotThatMisfits, likeConnections, materialsBeside } from './suits.ts'

const { trace } = FAMILY_FIXTURES[0]!
const piece = (id: string) => trace.pieces.find((each) => each.id === id)!
const leader = trace.pieces.filter(isLine).find(({ id }) => id === 'leader')!

test('a leader knot gives way to a join, an eye knot to a loop, and neither to the other', () => {
  expect(likeConnections({ connection: 'albright' })).toContain('fg')
  expect(likeConnections({ connection: 'albright' })).not.toContain('uni')
  expect(likeConnections({ connection: 'uni' })).toEqual(expect.arrayContaining(['uni', 'snell', 'surgeonsLoop']))
})

test('a joint lies between the lines beside it: two at the leader, one at a swivel, none at a fitted bait', () => {
  const beside = (id: string) => materialsBeside(piece(id), trace, braidOutfit(50))
  expect([beside('leader'), beside('swivel'), beside('bait')]).toEqual([['braid', 'mono'], ['mono'], []])
})

test('the leader could be of fluoro, but its own knot is not tied in cord', () => {
  expect(knotThatMisfits(trace, leader, 'fluoro')).toBeUndefined()
  expect(knotThatMisfits(trace, leader, 'cord')).toBe('fg')
})

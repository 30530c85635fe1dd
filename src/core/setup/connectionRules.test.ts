import { expect, test } from 'vitest'
import { FAMILY_FIXTURES } from '../../../tests/fixtures/families.ts'
import { braidOutfit } from '../../../tests/fixtures/outfits.ts'
import { catalogue, rigOf } from '../../../tests/fixtures/setups.ts'
import { isLine } from '../documents/pieces.ts'
import { knotThatMisfits, likeConnections, materialsBeside } from './connectionRules.ts'

const { trace } = FAMILY_FIXTURES[0]!
const rig = rigOf(trace, braidOutfit(50))
const piece = (id: string) => trace.pieces.find((each) => each.id === id)!
const leader = trace.pieces.filter(isLine).find(({ id }) => id === 'leader')!

test('a leader knot gives way to a join, an eye knot to a loop, and neither to the other', () => {
  expect(likeConnections(catalogue, { connection: 'albright' })).toContain('fg')
  expect(likeConnections(catalogue, { connection: 'albright' })).not.toContain('uni')
  expect(likeConnections(catalogue, { connection: 'uni' })).toEqual(expect.arrayContaining(['uni', 'snell', 'surgeonsLoop']))
})

test('a joint lies between the lines beside it: two at the leader, one at a swivel, none at a fitted bait', () => {
  const beside = (id: string) => materialsBeside(piece(id), rig)
  expect([beside('leader'), beside('swivel'), beside('bait')]).toEqual([['braid', 'mono'], ['mono'], []])
})

test('the leader could be of fluoro, but its own knot is not tied in cord', () => {
  expect(knotThatMisfits(rig, leader, 'fluoro')).toBeUndefined()
  expect(knotThatMisfits(rig, leader, 'cord')).toBe('fg')
})

import { describe, expect, test } from 'vitest'
import { FAMILY_FIXTURES } from '../../../tests/fixtures/families.ts'
import { braidOutfit } from '../../../tests/fixtures/outfits.ts'
import { catalogue, rigOf } from '../../../tests/fixtures/setups.ts'
import { CONNECTION_IDS, type ConnectionId, type Material } from '../catalogue/ids.ts'
import { defaultConnection, likeConnections, materialsBeside } from './connectionRules.ts'
import { type End, misfitBetween } from './ends.ts'

const { trace } = FAMILY_FIXTURES[0]!
const rig = rigOf(trace, braidOutfit(50))
const piece = (id: string) => trace.pieces.find((each) => each.id === id)!

test('a leader knot gives way to a join, an eye knot at a hook to a snell or a loop, and neither to the other', () => {
  expect(likeConnections(rig, piece('leader'))).toEqual(expect.arrayContaining(['fg', 'albright']))
  expect(likeConnections(rig, piece('leader'))).not.toContain('uni')
  expect(likeConnections(rig, piece('hook'))).toEqual(expect.arrayContaining(['uni', 'snell', 'surgeonsLoop']))
  expect(likeConnections(rig, piece('swivel'))).not.toContain('snell')
})

test('a joint lies between the lines beside it: two at the leader, one at a swivel, none at a fitted bait', () => {
  const beside = (id: string) => materialsBeside(piece(id), rig)
  expect([beside('leader'), beside('swivel'), beside('bait')]).toEqual([['braid', 'mono'], ['mono'], []])
})

const strand = (material: Material = 'mono'): End => ({ end: 'strand', material, hollow: false })
const [double, loop, eye, hook]: End[] = [
  { end: 'double', material: 'braid', hollow: false },
  { end: 'loop' },
  { end: 'eye' },
  { end: 'hook' },
]

describe('what can stand between two ends', () => {
  const rows: [ConnectionId, End, End, 'fits' | 'misfits'][] = [
    ['snell', strand(), hook!, 'fits'],
    ['snell', strand(), eye!, 'misfits'],
    ['snell', strand(), loop!, 'misfits'],
    ['uni', strand(), eye!, 'fits'],
    ['uni', double!, eye!, 'fits'],
    ['uni', double!, strand(), 'fits'],
    ['uni', strand(), strand(), 'misfits'],
    ['uni', loop!, strand(), 'fits'],
    ['doubleUni', strand(), strand(), 'fits'],
    ['doubleUni', strand(), hook!, 'misfits'],
    ['doubleUni', strand(), eye!, 'misfits'],
    ['catsPaw', strand('braid'), strand(), 'misfits'],
    ['catsPaw', double!, strand(), 'misfits'],
    ['catsPaw', double!, loop!, 'fits'],
    ['catsPaw', loop!, loop!, 'fits'],
    ['catsPaw', double!, eye!, 'fits'],
    ['girthHitch', strand(), eye!, 'misfits'],
    ['girthHitch', loop!, hook!, 'fits'],
    ['fg', strand('braid'), strand('mono'), 'fits'],
    ['fg', strand('fluoro'), strand('mono'), 'misfits'],
    ['fg', strand('braid'), strand('braid'), 'misfits'],
    ['pr', double!, strand('fluoro'), 'fits'],
    ['bimini', strand('braid'), double!, 'fits'],
    ['bimini', strand('braid'), strand('mono'), 'misfits'],
    ['splice', strand('braid'), eye!, 'misfits'],
    ['splice', { end: 'strand', material: 'braid', hollow: true }, eye!, 'fits'],
    ['surgeonsLoop', strand(), loop!, 'fits'],
    ['surgeonsLoop', strand(), strand(), 'misfits'],
    ['fitted', eye!, hook!, 'fits'],
    ['fitted', strand(), hook!, 'misfits'],
    ['runsOn', strand(), eye!, 'misfits'],
    ['dropperLoop', strand(), loop!, 'misfits'],
  ]
  test.each(rows)('%s between %o and %o %s', (id, above, below, expected) => {
    expect(misfitBetween(catalogue, id, above, below) === undefined).toBe(expected === 'fits')
  })

  test('the usual connection always fits, whatever is joined', () => {
    const materials = ['mono', 'fluoro', 'braid', 'wire', 'cable', 'cord'] as const
    const lines = materials.flatMap((material): End[] => [strand(material), { end: 'double', material, hollow: false }])
    const ends = [...lines, loop!, eye!, hook!]
    for (const above of ends)
      for (const below of ends) {
        const usual = defaultConnection(above, below)
        if (usual)
          expect(misfitBetween(catalogue, usual, above, below), `${usual} ${JSON.stringify([above, below])}`).toBeUndefined()
      }
    expect(CONNECTION_IDS.length).toBeGreaterThan(30)
  })
})

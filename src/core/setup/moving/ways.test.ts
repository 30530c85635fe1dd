import { expect, test } from 'vitest'
import { afloat, setupFor } from '../../../../tests/fixtures/moving.ts'
import { FAMILIES } from '../../families/families.ts'
import { waysFor } from './ways.ts'

test('a trace with a clip ring flies, one with a lure or that is worked is wound in or towed, and any other holds still', () => {
  const ways = Object.fromEntries(FAMILIES.map(({ id }) => [id, waysFor(setupFor(id).trace, afloat).join()]))
  expect(ways).toMatchObject({
    kiteBait: 'kite',
    tandemTroll: 'trolled,retrieved',
    straightLure: 'trolled,retrieved',
    pulley: '',
    runningLedger: '',
  })
  // Thrown, it is wound in first.
  expect(waysFor(setupFor('straightLure').trace, { castStyle: 'overhead' })).toEqual(['retrieved', 'trolled'])
  // A lure among other things is enough, and so is being worked without one.
  const { trace } = setupFor('pulley')
  const lure = setupFor('straightLure').trace.pieces.find(({ role }) => role === 'lure')!
  expect(waysFor({ ...trace, pieces: [...trace.pieces, lure] }, afloat)).toEqual(['trolled', 'retrieved'])
  expect(waysFor({ ...trace, fishes: 'worked' }, afloat)).toEqual(['trolled', 'retrieved'])
})

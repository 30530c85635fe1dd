import { expect, test } from 'vitest'
import type { Gear } from '../core/documents/gear.ts'
import { GEAR_VERSION } from '../core/documents/versions.ts'
import { readTableChanges } from './tables.ts'

const hook: Gear = {
  formatVersion: GEAR_VERSION,
  kind: 'hook',
  name: 'mine',
  pattern: 'j',
  size: '2/0',
  packCost: 6,
  keptIn: 'tin',
}
const owned = [{ id: 'a', revision: 3, content: hook, onHand: [12] }]
const changes = (rows: string, head = 'kind,name,pattern,size,on hand') => {
  const read = readTableChanges('gear', `${head}\n${rows}\n`, owned)
  if (!read.ok) throw new Error(JSON.stringify(read.faults))
  return read.value
}

test('a row that says the same changes nothing; another stock is a change of the stock alone', () => {
  expect(changes('hook,mine,j,2/0,12')).toEqual([])
  expect(changes('hook,Mine,j,2/0,').map(({ item, was }) => [item.name, was?.id])).toEqual([['Mine', 'a']])
  expect(changes('hook,mine,j,2/0,9')).toMatchObject([{ isSame: true, was: { id: 'a' }, onHand: [9] }])
})

test('what a table does not say of an item stays: its cost and its place', () => {
  const [change] = changes('hook,mine,j,3/0,12')
  expect(change).toMatchObject({ item: { size: '3/0', packCost: 6, keptIn: 'tin' }, was: { id: 'a' } })
  expect(change).not.toHaveProperty('onHand')
  expect(changes('hook,mine,j,2/0,7.5', 'kind,name,pattern,size,pack cost')).toMatchObject([{ item: { packCost: 7.5 } }])
})

test('a new item with its stock, a new one without', () => {
  expect(changes('hook,new,j,1/0,5\nhook,other,j,1/0,')).toMatchObject([
    { item: { name: 'new' }, onHand: [5] },
    { item: { name: 'other' } },
  ])
})

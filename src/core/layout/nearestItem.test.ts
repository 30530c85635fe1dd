import { expect, test } from 'vitest'
import { nearestItem } from './nearestItem.ts'

test('the nearest part is that under a place, beside it, or above it', () => {
  const items = [
    { id: 'line', x0: 0, x1: 100, y: 50 },
    { id: 'knot', x0: 110, x1: 110, y: 50 },
    { id: 'snood', x0: 20, x1: 60, y: 120 },
  ]
  const at = (x: number, y: number) => nearestItem(items, x, y)?.id
  expect([at(40, 55), at(104, 50), at(107, 50), at(40, 110), at(200, 130), at(0, 84)]).toEqual([
    'line',
    'line',
    'knot',
    'snood',
    'knot',
    'line',
  ])
  expect(nearestItem([], 1, 1)).toBeUndefined()
})

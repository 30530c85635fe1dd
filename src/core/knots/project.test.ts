import { expect, test } from 'vitest'
import type { Point } from './curve.ts'
import type { Picture, PicturedStrand } from './picture.ts'
import { crossingsOf, paintsOf, stretch } from './project.ts'

const strand = (id: string, points: readonly Point[], radius = 0.5): PicturedStrand => ({
  id,
  kind: 'line',
  radius,
  points,
  wraps: [],
})
/** A straight strand along x at height 1, its points further and further apart. */
const upper = strand(
  'upper',
  [0, 0.5, 1.5, 3, 5, 7.5, 10.5].map((x): Point => [x, 0, 1]),
)
/** A straight strand below it, which crosses at x under an angle. */
const lowerAt = (x: number, angle: number) =>
  strand(
    'lower',
    [-4, 4].map((r): Point => [x + r * Math.cos(angle), r * Math.sin(angle), 0]),
  )

/** From where to where the upper strand is painted again over the lower one. */
function paintedOver(picture: Picture): [number, number] {
  const over = paintsOf(picture).at(-1)!
  const [a, b] = [stretch(upper.points, over.from, over.to)[0]!, stretch(upper.points, over.from, over.to).at(-1)!]
  return [a[0], b[0]]
}

test.each([
  [4.3, Math.PI / 2],
  [3, Math.PI / 2],
  [6.1, Math.PI / 6],
])('over a crossing at %d the upper strand is painted as far to both sides as it needs to pass the lower one', (x, angle) => {
  const picture = { strands: [upper, lowerAt(x, angle)] }
  expect(crossingsOf(picture)).toEqual([expect.objectContaining({ x: expect.closeTo(x, 9), y: expect.closeTo(0, 9) })])
  const reach = 0.5 / Math.sin(angle) + 0.5 * 1.2
  const [from, to] = paintedOver(picture)
  expect(from).toBeCloseTo(x - reach, 9)
  expect(to).toBeCloseTo(x + reach, 9)
})

test('near an end the painted piece ends there', () => {
  expect(paintedOver({ strands: [upper, lowerAt(0.4, Math.PI / 2)] })[0]).toBe(0)
  expect(paintedOver({ strands: [upper, lowerAt(10.2, Math.PI / 2)] })[1]).toBe(10.5)
})

test('a stretch begins and ends between its points, straight from one to the next', () => {
  const bent: Point[] = [
    [0, 0, 0],
    [2, 4, 8],
    [6, 2, 9],
    [7, 5, 1],
  ]
  expect(stretch(bent, 0.25, 2.5)).toEqual([[0.5, 1, 2], bent[1], bent[2], [6.5, 3.5, 5]])
  expect(stretch(bent, 1, 2)).toEqual([bent[1], bent[2]])
  expect(stretch(bent, 1.5, 1.75)).toEqual([
    [4, 3, 8.5],
    [5, 2.5, 8.75],
  ])
})

import { expect, test } from 'vitest'
import { layOutCurves } from './curveChart.ts'
import { layOutKite } from './kiteDrawing.ts'

const BOX = { width: 400, height: 200, left: 40, right: 10, top: 20, bottom: 30 }

test('a depth goes down, a lead goes up; what lies outside stops at the edge; ticks are round in the unit shown', () => {
  const down = layOutCurves({ x: [0, 60], y: [0, 12], down: true }, BOX, { x: 1, y: 0.3048 })
  expect([down.yOf(0), down.yOf(12), down.yOf(99)]).toEqual([20, 170, 170])
  expect(layOutCurves({ x: [0, 60], y: [0, 12] }, BOX, { x: 1, y: 1 }).yOf(12)).toBe(20)
  for (const tick of down.ticksY) expect(Math.abs(tick / 0.3048 - Math.round(tick / 0.3048))).toBeLessThan(1e-9)
  const points = [
    { x: 0, y: 3 },
    { x: 30, y: 6 },
    { x: 60, y: 3 },
  ]
  expect(down.path(points).startsWith('M40,57.5')).toBe(true)
  expect(down.ground(points)).toMatch(/V170H40\.0Z$/)
  expect([down.path([]), down.ground([])]).toEqual(['', ''])
})

test('by decades, a tenth is as wide as ten times; ticks are 1, 2 and 5 of the unit shown', () => {
  const { xOf, ticksX } = layOutCurves({ x: [1, 300], y: [0, 1], decades: true }, BOX, { x: 1, y: 1 })
  expect(xOf(10) - xOf(1)).toBeCloseTo(xOf(100) - xOf(10), 9)
  expect([xOf(1), xOf(300), xOf(0.1)]).toEqual([40, 390, 40])
  expect(ticksX).toEqual([1, 2, 5, 10, 20, 50, 100, 200])
  const feet = layOutCurves({ x: [1, 30], y: [0, 1], decades: true }, BOX, { x: 0.3048, y: 1 }).ticksX
  expect(feet.map((tick) => Math.round(tick / 0.3048))).toEqual([5, 10, 20, 50])
})

test('a kite is drawn to one scale both ways, inside its picture, the kite beyond its last ring', () => {
  const lines = [
    {
      points: [
        { x: 0, z: 5 },
        { x: 25, z: -1 },
        { x: 50, z: 20 },
      ],
      ring: { x: 50, z: 20 },
    },
    {
      points: [
        { x: 0, z: 5 },
        { x: 30, z: 15 },
      ],
      ring: { x: 30, z: 15 },
    },
  ]
  const { rings, kite, tip, seaY, pxPerM, barM } = layOutKite(lines, 5, { width: 600, height: 280, pad: 16 })
  expect(rings[0]!.x - tip.x).toBeCloseTo(50 * pxPerM, 9)
  expect(seaY - rings[0]!.y).toBeCloseTo(20 * pxPerM, 9)
  expect(kite.x).toBeGreaterThan(rings[0]!.x)
  for (const { x, y } of [...rings, kite, tip, { x: 0, y: seaY + pxPerM }]) {
    expect(x).toBeLessThanOrEqual(600)
    expect(y).toBeGreaterThanOrEqual(0)
    expect(y).toBeLessThanOrEqual(280)
  }
  expect(barM * pxPerM).toBeLessThanOrEqual(90)
})

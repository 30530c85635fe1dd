import { expect, test } from 'vitest'
import type { Point, Row } from './curve.ts'
import { elided } from './elide.ts'
import type { Picture, PicturedStrand } from './picture.ts'

/** A point at each x from 0 to 100, and a row of turns from 10 to 90. */
const straight: readonly Point[] = Array.from({ length: 101 }, (_, x): Point => [x, 2, 3])
const row = (turns: number, more: Partial<Row> = {}): Row => ({ from: 10, to: 90, turns, y: 0, z: 0, counted: true, ...more })
const strand = (more: Partial<PicturedStrand> = {}): PicturedStrand => ({
  id: 'line',
  kind: 'line',
  radius: 1,
  points: straight,
  start: 'reel',
  end: 'tag',
  wraps: [row(20)],
  ...more,
})
const pieces = (more: Partial<PicturedStrand>) => elided({ strands: [strand(more)] }).picture.strands

test('four turns are kept on either side of a gap, and what is right of it comes nearer', () => {
  const { picture, left } = elided({ strands: [strand()] })
  // Four of 20 turns over 80 are 16.
  expect(left).toEqual({ x: 26, width: 9, turns: 20 })
  const [before, after] = picture.strands
  expect(picture.strands).toHaveLength(2)
  expect(before!.points).toEqual(straight.slice(0, 27))
  expect(after!.points).toEqual(straight.slice(74).map(([x, y, z]) => [x - 74 + 26 + 9, y, z]))
})

test('a row that is laid from right to left is the same, and the longest of several rows counts', () => {
  const backward = strand({ points: straight.toReversed() })
  expect(elided({ strands: [backward, strand({ wraps: [row(19)] })] }).left).toEqual({ x: 26, width: 9, turns: 20 })
})

test('up to eleven turns are drawn whole; turns that are not counted have no number', () => {
  const eleven: Picture = { strands: [strand({ wraps: [row(11)] })] }
  expect(elided(eleven)).toEqual({ picture: eleven })
  expect(elided({ strands: [strand({ wraps: [row(12)] })] }).left?.turns).toBe(12)
  expect(elided({ strands: [strand({ wraps: [row(12, { counted: false })] })] }).left).toMatchObject({ turns: undefined })
})

test('a piece keeps its own share of what is new, and an end, a tip and the hand where they are on it', () => {
  const shares = (more: Partial<PicturedStrand>) =>
    pieces(more).map(({ start, end, fresh, loop, hand }) => ({ start, end, fresh, loop, hand }))
  expect(shares({ fresh: { from: 20, to: 90 }, loop: 80, hand: 100 })).toEqual([
    { start: 'reel', end: undefined, fresh: { from: 20, to: 26 }, loop: undefined, hand: undefined },
    { start: undefined, end: 'tag', fresh: { from: 0, to: 16 }, loop: 6, hand: 26 },
  ])
  // On the first piece alone, and on what is left out.
  expect(shares({ fresh: { from: 5, to: 20 }, loop: 50, hand: 10 })).toEqual([
    { start: 'reel', end: undefined, fresh: { from: 5, to: 20 }, loop: undefined, hand: 10 },
    { start: undefined, end: 'tag', fresh: undefined, loop: undefined, hand: undefined },
  ])
})

test('a strand that lies in the gap is gone, and so is one that reaches out of it by a single point', () => {
  const within = straight.slice(30, 71)
  const other = (points: readonly Point[]) => strand({ id: 'other', points, wraps: [] })
  const left = (points: readonly Point[]) =>
    elided({ strands: [strand(), other(points)] }).picture.strands.filter(({ id }) => id === 'other').length
  expect(left(within)).toBe(0)
  expect(left([[20, 0, 0], ...within])).toBe(0)
  expect(left([...within, [80, 0, 0], ...within])).toBe(0)
  expect(left([[20, 0, 0], [21, 0, 0], ...within])).toBe(1)
})

import type { Point } from './curve.ts'

/** The two strands of a doubled line lie so far on either side of its middle. */
export const BESIDE = 1.08

/** How much of the way towards lying flat the two strands turn from one point to the next. */
const SETTLES = 0.25

type Vector = Point
const minus = (a: Vector, b: Vector): Vector => [a[0] - b[0], a[1] - b[1], a[2] - b[2]]
const dot = (a: Vector, b: Vector) => a[0] * b[0] + a[1] * b[1] + a[2] * b[2]
const scaled = (a: Vector, by: number): Vector => [a[0] * by, a[1] * by, a[2] * by]
const plus = (a: Vector, b: Vector): Vector => [a[0] + b[0], a[1] + b[1], a[2] + b[2]]
const unit = (a: Vector): Vector => scaled(a, 1 / Math.max(1e-9, Math.sqrt(dot(a, a))))
const square = (a: Vector, to: Vector): Vector => unit(minus(a, scaled(to, dot(a, to))))

/**
 * From the middle of a doubled line to its one strand: side by side in the picture where the line runs in it, along the axis where it is
 * wound, and never twisted about each other.
 */
export function sidesOf(middle: readonly Point[]): Vector[] {
  let side: Vector = [0, 1, 0]
  return middle.map((_, i) => {
    const along = unit(minus(middle[Math.min(middle.length - 1, i + 1)]!, middle[Math.max(0, i - 1)]!))
    const flat = Math.abs(along[2]) < 0.6 ? unit([-along[1], along[0], 0]) : square([1, 0, 0], along)
    const kept = square(side, along)
    side = square(plus(scaled(kept, 1 - SETTLES), scaled(flat, dot(flat, kept) < 0 ? -SETTLES : SETTLES)), along)
    return side
  })
}

/** One strand of a doubled line: its middle, so far to one side. */
export function beside(middle: readonly Point[], by: number): Point[] {
  const sides = sidesOf(middle)
  return middle.map((point, i) => plus(point, scaled(sides[i]!, by)))
}

/** Every so manieth point of a curve, and its last. */
export const sparse = (points: readonly Point[], every: number): Point[] =>
  points.filter((_, i) => i % every === 0 || i === points.length - 1)

/** A place in a drawing: x along the line, y up the picture, z towards who looks; in radii of the usual line. */
export type Point = readonly [x: number, y: number, z: number]

/** Points that a curve is smoothed into for each stretch between two that were given. */
const FINE = 8

/**
 * A strand laid out by the places it passes, helices among them, with marks where a step of the tying ends.
 * It is smooth: a centripetal Catmull–Rom curve through all its places.
 */
export class Strand {
  private readonly places: Point[] = []
  private readonly ends: number[] = []
  private tip: number | undefined
  readonly wraps: Row[] = []

  /** On through these places. */
  to(...places: Point[]): this {
    this.places.push(...places)
    return this
  }

  /**
   * Round an axis along x: from one x to another so many turns, beginning at an angle (0 is the top, a quarter turn the front) and over
   * the front first where `hand` is 1.
   */
  wrap({ from, to, turns, y = 0, z = 0, radius, start = 0, hand = 1, sway = 0, counted = true }: Wrap): this {
    const count = Math.max(2, Math.round(turns * EVERY))
    const first = this.places.length
    for (let i = 0; i <= count; i += 1) {
      const angle = start + (hand * 2 * Math.PI * turns * i) / count
      const out = radius + sway * Math.sin((2 * Math.PI * turns * i) / count)
      this.places.push([from + ((to - from) * i) / count, y + out * Math.cos(angle), z + out * Math.sin(angle)])
    }
    this.wraps.push({ from: first * FINE, to: (first + count) * FINE, turns, y, z, counted })
    return this
  }

  /** Here a step of the tying ends. */
  mark(): this {
    this.ends.push(this.places.length - 1)
    return this
  }

  /** The place laid last is the tip of a loop. */
  loop(): this {
    this.tip = this.places.length - 1
    return this
  }

  /** The tip of its loop, as a point of the whole curve; undefined where it has none. */
  loopTip(): number | undefined {
    return this.tip === undefined ? undefined : this.tip * FINE
  }

  /** The whole curve; between two places it has always as many points. */
  curve(): Point[] {
    return smoothed(this.places)
  }

  /** Up to where each marked step ends, as points of the whole curve. */
  marks(): number[] {
    return this.ends.map((end) => end * FINE)
  }
}

/** A helix of a strand: the stretch of its points, its turns and its axis, and whether the turns are those that the knot is said to have. */
export type Row = { from: number; to: number; turns: number; y: number; z: number; counted: boolean }

type Wrap = {
  from: number
  to: number
  turns: number
  y?: number
  z?: number
  radius: number
  start?: number
  hand?: 1 | -1
  /** So much farther out and nearer in, by turns: what weaves with another that sways the other way. */
  sway?: number
  /** Off where there are as many turns as there is room for. */
  counted?: boolean
}

/** Places that a turn of a helix is laid out by. */
const EVERY = 16

function smoothed(places: readonly Point[]): Point[] {
  const curve: Point[] = []
  for (let i = 0; i < places.length - 1; i += 1) {
    const [b, c] = [places[i]!, places[i + 1]!]
    const [a, d] = [places[i - 1] ?? beyond(b, c), places[i + 2] ?? beyond(c, b)]
    for (let j = 0; j < FINE; j += 1) curve.push(between(a, b, c, d, j / FINE))
  }
  return [...curve, places.at(-1)!]
}

const beyond = (at: Point, other: Point): Point => [2 * at[0] - other[0], 2 * at[1] - other[1], 2 * at[2] - other[2]]
export const apart = (a: Point, b: Point): number => Math.hypot(a[0] - b[0], a[1] - b[1], a[2] - b[2])

/** Between b and c. Source: P. J. Barry and R. N. Goldman (1988), with the knots of a centripetal curve. */
function between(a: Point, b: Point, c: Point, d: Point, share: number): Point {
  const knot = (p: Point, q: Point) => Math.sqrt(Math.max(1e-9, apart(p, q)))
  const [t1, t2, t3] = [knot(a, b), knot(a, b) + knot(b, c), knot(a, b) + knot(b, c) + knot(c, d)]
  const t = t1 + share * (t2 - t1)
  const mix = (p: Point, q: Point, from: number, to: number): Point => {
    const w = (t - from) / (to - from)
    return [p[0] + w * (q[0] - p[0]), p[1] + w * (q[1] - p[1]), p[2] + w * (q[2] - p[2])]
  }
  const [ab, bc, cd] = [mix(a, b, 0, t1), mix(b, c, t1, t2), mix(c, d, t2, t3)]
  return mix(mix(ab, bc, 0, t2), mix(bc, cd, t1, t3), t1, t2)
}

/** Length of a curve. */
export const lengthOf = (points: readonly Point[]): number =>
  points.reduce((sum, point, i) => sum + (i === 0 ? 0 : apart(point, points[i - 1]!)), 0)

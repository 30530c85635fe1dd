import type { Point } from './curve.ts'
import type { Picture, PicturedStrand, Stretch } from './picture.ts'

/** Where one strand passes over another, as seen: how far along the points of each, and how high each lies there. */
export type Crossing = { over: Passing; under: Passing; x: number; y: number }
type Passing = { strand: number; at: number; z: number }

/** Cells of the plane that stretches of strands are looked for in: their size, and more of them than any picture is high. */
const CELL = 2
const CELLS_HIGH = 4_096

/** A short piece of a curve: its strand, its place on it. */
type Piece = { strand: number; i: number }

/** Every place where strands, or one strand with itself, cross as they are seen. */
export function crossingsOf({ strands }: Picture): Crossing[] {
  const cells = new Map<number, Piece[]>()
  for (const [strand, { points }] of strands.entries())
    for (let i = 0; i + 1 < points.length; i += 1)
      forEachCell(points[i]!, points[i + 1]!, (cell) => {
        const near = cells.get(cell)
        if (near) near.push({ strand, i })
        else cells.set(cell, [{ strand, i }])
      })
  const found: Crossing[] = []
  for (const [cell, near] of cells)
    for (let a = 0; a < near.length; a += 1)
      for (let b = a + 1; b < near.length; b += 1) {
        const [one, other] = [near[a]!, near[b]!]
        if (one.strand === other.strand && Math.abs(one.i - other.i) < 2) continue
        const crossing = crossed(strands, one, other)
        // Two pieces may share several cells: they cross in one of them.
        if (crossing && cellAt(crossing.x, crossing.y) === cell) found.push(crossing)
      }
  return found
}

const cellAt = (x: number, y: number) => Math.floor(x / CELL) * CELLS_HIGH + Math.floor(y / CELL)

function forEachCell(a: Point, b: Point, visit: (cell: number) => void): void {
  const [left, right] = [Math.min(a[0], b[0]), Math.max(a[0], b[0])]
  const [low, high] = [Math.min(a[1], b[1]), Math.max(a[1], b[1])]
  for (let x = Math.floor(left / CELL); x <= Math.floor(right / CELL); x += 1)
    for (let y = Math.floor(low / CELL); y <= Math.floor(high / CELL); y += 1) visit(x * CELLS_HIGH + y)
}

function crossed(strands: readonly PicturedStrand[], one: Piece, other: Piece): Crossing | undefined {
  const [a, b] = [strands[one.strand]!.points[one.i]!, strands[one.strand]!.points[one.i + 1]!]
  const [c, d] = [strands[other.strand]!.points[other.i]!, strands[other.strand]!.points[other.i + 1]!]
  const turn = (b[0] - a[0]) * (d[1] - c[1]) - (b[1] - a[1]) * (d[0] - c[0])
  if (Math.abs(turn) < 1e-12) return undefined
  const u = ((c[0] - a[0]) * (d[1] - c[1]) - (c[1] - a[1]) * (d[0] - c[0])) / turn
  const v = ((c[0] - a[0]) * (b[1] - a[1]) - (c[1] - a[1]) * (b[0] - a[0])) / turn
  if (u < 0 || u >= 1 || v < 0 || v >= 1) return undefined
  const first = { strand: one.strand, at: one.i + u, z: a[2] + u * (b[2] - a[2]) }
  const second = { strand: other.strand, at: other.i + v, z: c[2] + v * (d[2] - c[2]) }
  const [over, under] = first.z >= second.z ? [first, second] : [second, first]
  return { over, under, x: a[0] + u * (b[0] - a[0]), y: a[1] + u * (b[1] - a[1]) }
}

/** A piece of a strand to be painted: the strand itself, or before it the ground round it. */
export type Paint = Stretch & { strand: number; halo: boolean }

/** Beyond the edges of what it passes over, a piece goes on by so many radii. */
const BEYOND = 1.2
/** Pieces that pass over something so near each other lie side by side: the ground of one must not cut the other. */
const NEAR = { inPlane: 4.5, inDepth: 1.6 }

/**
 * What is painted, from the back: every strand whole, then at each crossing what passes over with the ground round it, the lowest first.
 * Over and under come of the depths alone.
 */
export function paintsOf(picture: Picture): Paint[] {
  const { strands } = picture
  const depth = strands.map(({ points }) => points.reduce((sum, [, , z]) => sum + z, 0) / points.length)
  const whole = strands.map(({ points }, strand): Paint => ({ strand, from: 0, to: points.length - 1, halo: false }))
  return [
    ...whole.toSorted((a, b) => depth[a.strand]! - depth[b.strand]!),
    ...sideBySide(crossingsOf(picture)).flatMap((group) => {
      const pieces = group.map((crossing) => pieceOver(strands, crossing))
      return [...pieces.map((piece) => ({ ...piece, halo: true })), ...pieces]
    }),
  ]
}

/** Crossings in groups whose upper strands lie side by side, the lowest group first. */
function sideBySide(crossings: readonly Crossing[]): Crossing[][] {
  const groups: Crossing[][] = []
  for (const crossing of crossings.toSorted((a, b) => a.over.z - b.over.z)) {
    const group = groups.findLast((each) =>
      each.some(
        (other) =>
          Math.hypot(other.x - crossing.x, other.y - crossing.y) < NEAR.inPlane &&
          Math.abs(other.over.z - crossing.over.z) < NEAR.inDepth,
      ),
    )
    if (group) group.push(crossing)
    else groups.push([crossing])
  }
  return groups
}

function pieceOver(strands: readonly PicturedStrand[], { over, under }: Crossing): Paint {
  const { points, radius } = strands[over.strand]!
  const reach = acrossRadii(strands, over, under) + radius * BEYOND
  return { strand: over.strand, from: walked(points, over.at, -reach), to: walked(points, over.at, reach), halo: false }
}

/** How far along itself the upper strand goes to have passed the lower one's edge: more where they meet at a slant. */
function acrossRadii(strands: readonly PicturedStrand[], over: Passing, under: Passing): number {
  const direction = ({ strand, at }: Passing) => {
    const { points } = strands[strand]!
    const i = Math.min(points.length - 2, Math.floor(at))
    return Math.atan2(points[i + 1]![1] - points[i]![1], points[i + 1]![0] - points[i]![0])
  }
  const slant = Math.abs(Math.sin(direction(over) - direction(under)))
  return strands[under.strand]!.radius / Math.max(0.35, slant)
}

/** The place on a curve that is so far along it from another one, as it is seen; at most one of its ends. */
function walked(points: readonly Point[], from: number, by: number): number {
  const step = Math.sign(by)
  let place = from
  let left = Math.abs(by)
  while (true) {
    const next = step > 0 ? Math.floor(place) + 1 : Math.ceil(place) - 1
    if (next < 0 || next >= points.length) return place
    const [a, b] = [points[Math.min(next, next - step)]!, points[Math.max(next, next - step)]!]
    const whole = Math.hypot(a[0] - b[0], a[1] - b[1])
    const length = whole * Math.abs(next - place)
    if (length >= left) return place + (step * left) / Math.max(whole, 1e-9)
    left -= length
    place = next
  }
}

/** The points of a curve between two places on it. */
export function stretch(points: readonly Point[], from: number, to: number): Point[] {
  const at = (place: number): Point => {
    const i = Math.min(points.length - 2, Math.floor(place))
    const [a, b] = [points[i]!, points[i + 1]!]
    const u = place - i
    return [a[0] + u * (b[0] - a[0]), a[1] + u * (b[1] - a[1]), a[2] + u * (b[2] - a[2])]
  }
  const between = points.slice(Math.ceil(from + 1e-9), Math.floor(to - 1e-9) + 1)
  return [at(from), ...between, at(to)]
}

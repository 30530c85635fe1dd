import type { LinePoint } from '../physics/water/lineInFluid.ts'
import type { LineShape } from '../setup/settling/lineShape.ts'

/** Lines in the water drawn to one scale both ways, from the same boat or rod. */
export type LineViewLayout = {
  paths: string[]
  /** Where the lines come out, and where each one's sinker lies. */
  rod: { x: number; y: number }
  sinkers: { x: number; y: number }[]
  /** From the side: the surface and the bed. */
  surfaceY: number
  bedY: number
  /** Metres in one unit of the drawing, both ways. */
  metresPerUnit: number
  /** A round length for the scale bar, m. */
  barM: number
}

type Room = { width: number; height: number; pad: number }
type Flat = { x: number; y: number; tx: number; ty: number; s: number }

/** MinimumSinker width of the picture over the depth: a line straight up and down still shows its water. */
const MIN_SPAN = 0.6
/** Of the picture's width, what the scale bar may take at most. */
const BAR_SHARE = 0.25

/**
 * Lines side by side, all seen one way: from the side the boat is where they come out and down-current is to the right; from above
 * the rod is at the left and down-current is downwards. Between the solver's own points a line follows its slope at both (cubic
 * Hermite pieces).
 * @param depthM of the water, m: what a side view must show whatever the lines do.
 */
export function layOutLineView(shapes: readonly LineShape[], depthM: number, room: Room): LineViewLayout {
  const above = shapes[0]?.view === 'above'
  const lines = shapes.map(({ points }) => points.map(above ? fromAbove : fromTheSide(points, depthM)))
  const all = lines.flat()
  const [left, right] = [Math.min(0, ...all.map(({ x }) => x)), Math.max(0, ...all.map(({ x }) => x))]
  const tallM = above ? Math.max(...all.map(({ y }) => y), 1e-9) : depthM
  // From the shore the line comes out of the water and goes on up to the rod.
  const overM = above ? 0 : Math.max(0, ...all.map(({ y }) => -y))
  const [insideX, insideY] = [room.width - 2 * room.pad, room.height - 2 * room.pad]
  const metresPerUnit = Math.max(Math.max(right - left, above ? 0 : MIN_SPAN * depthM) / insideX, (tallM + overM) / insideY)
  const xOf = (x: number) => room.width / 2 + (x - (left + right) / 2) / metresPerUnit
  const yOf = (y: number) => room.pad + (y + overM) / metresPerUnit
  const at = (x: number, y: number) => `${xOf(x).toFixed(1)} ${yOf(y).toFixed(1)}`
  /** A third of the way along the slope at `from`, towards `to` (+1) or back from it (−1). */
  const handle = (from: Flat, to: Flat, sign: 1 | -1) => {
    const third = (sign * Math.abs(to.s - from.s)) / (3 * Math.hypot(from.tx, from.ty))
    return at(from.x + third * from.tx, from.y + third * from.ty)
  }
  return {
    paths: lines.map((points) =>
      points
        .map((point, i) => {
          const before = points[i - 1]
          return before
            ? `C${handle(before, point, 1)} ${handle(point, before, -1)} ${at(point.x, point.y)}`
            : `M${at(point.x, point.y)}`
        })
        .join(''),
    ),
    rod: { x: xOf(0), y: yOf(-overM) },
    sinkers: lines.map((points) => {
      const end = above ? points.at(-1)! : points[0]!
      return { x: xOf(end.x), y: yOf(end.y) }
    }),
    surfaceY: yOf(0),
    bedY: yOf(tallM),
    metresPerUnit,
    barM: roundDown(BAR_SHARE * insideX * metresPerUnit),
  }
}

/** The boat at nothing, down-current to the right, the surface at the top. */
const fromTheSide = (points: readonly LinePoint[], depthM: number) => {
  const boatX = points.at(-1)!.x
  return ({ x, z, tx, tz, s }: LinePoint): Flat => ({ x: x - boatX, y: depthM - z, tx, ty: -tz, s })
}

const fromAbove = ({ x, z, tx, tz, s }: LinePoint): Flat => ({ x, y: z, tx, ty: tz, s })

/** The next of 1, 2, 5, 10, 20 … at or under a length. */
export function roundDown(lengthM: number): number {
  const decade = 10 ** Math.floor(Math.log10(lengthM))
  return decade * ([5, 2, 1].find((step) => step * decade <= lengthM) ?? 1)
}

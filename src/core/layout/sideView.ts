import type { LinePoint } from '../water/lineInWater.ts'

/** A line's shape in the water, drawn to one scale across and up. */
export type SideViewLayout = {
  path: string
  surfaceY: number
  bedY: number
  boatX: number
  sinkerX: number
  /** Metres that one unit of the drawing stands for, both ways. */
  metresPerUnit: number
}

/**
 * The side view of a hanging line: the boat where the line comes out, the sinker down-current of it, one scale both ways.
 * Between the solver's own points the line follows its slope at both (cubic Hermite pieces).
 * @param points from the sinker up, x down-current and z over the bed, m.
 */
export function layOutSideView(
  points: readonly LinePoint[],
  depthM: number,
  room: { width: number; height: number; pad: number },
): SideViewLayout {
  const xs = points.map(({ x }) => x)
  const [least, most] = [Math.min(...xs), Math.max(...xs)]
  const spanM = Math.max(most - least, 0.05 * depthM)
  const metresPerUnit = Math.max(spanM / (room.width - 2 * room.pad), depthM / (room.height - 2 * room.pad))
  const across = (most + least) / 2
  const xOf = (x: number) => room.width / 2 + (x - across) / metresPerUnit
  const surfaceY = room.pad
  const yOf = (z: number) => surfaceY + (depthM - z) / metresPerUnit
  const at = (x: number, z: number) => `${xOf(x).toFixed(1)} ${yOf(z).toFixed(1)}`
  /** A third of the way along the slope at `from`, towards `to` (+1) or back from it (−1). */
  const handle = (from: LinePoint, to: LinePoint, sign: 1 | -1) => {
    const third = (sign * Math.abs(to.s - from.s)) / (3 * Math.hypot(from.tx, from.tz))
    return at(from.x + third * from.tx, from.z + third * from.tz)
  }
  return {
    path: points
      .map((point, i) => {
        const before = points[i - 1]
        return before
          ? `C${handle(before, point, 1)} ${handle(point, before, -1)} ${at(point.x, point.z)}`
          : `M${at(point.x, point.z)}`
      })
      .join(''),
    surfaceY,
    bedY: yOf(0),
    boatX: xOf(points.at(-1)!.x),
    sinkerX: xOf(points[0]!.x),
    metresPerUnit,
  }
}

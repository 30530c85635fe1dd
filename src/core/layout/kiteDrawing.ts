import { curveCatmullRom, line } from 'd3-shape'
import { roundDown } from './lineView.ts'

type DrawnPoint = { x: number; z: number }
/** A line from the rod’s tip to its ring, and what hangs under it. */
export type DrawnKiteLine = { points: readonly DrawnPoint[]; ring: DrawnPoint }
export type KiteDrawingLayout = {
  lines: string[]
  rings: { x: number; y: number }[]
  /** From the tip through the rings to the kite. */
  kiteLine: string
  kite: { x: number; y: number }
  tip: { x: number; y: number }
  seaY: number
  /** Of the picture, px for each metre, and the length of the bar that says so. */
  pxPerM: number
  barM: number
}

const smooth = line<{ x: number; y: number }>()
  .x(({ x }) => x)
  .y(({ y }) => y)
  .curve(curveCatmullRom)

/** How much farther the kite is than its last ring. */
const BEYOND = 1.3
/** Water that is drawn under the surface, as a share of the height. */
const SEA_SHARE = 0.12
const BAR_SHARE = 0.15

/** Rod, lines with their bellies, rings, drops, kite and sea, true to scale both ways. */
export function layOutKite(
  lines: readonly DrawnKiteLine[],
  tipM: number,
  box: { width: number; height: number; pad: number },
): KiteDrawingLayout {
  const rings = lines.map(({ ring }) => ring).toSorted((a, b) => a.x - b.x)
  const last = rings.at(-1) ?? { x: 10, z: tipM + 5 }
  const kite = { x: last.x * BEYOND, z: tipM + (last.z - tipM) * BEYOND }
  const lowestM = Math.min(0, ...lines.flatMap(({ points }) => points.map(({ z }) => z)))
  const [acrossM, upM] = [kite.x * 1.05, kite.z - lowestM]
  const pxPerM = Math.min((box.width - 2 * box.pad) / acrossM, (box.height * (1 - SEA_SHARE) - box.pad) / upM)
  const seaY = box.height * (1 - SEA_SHARE) + lowestM * pxPerM
  const at = ({ x, z }: DrawnPoint) => ({ x: box.pad + x * pxPerM, y: seaY - z * pxPerM })
  const path = (points: readonly DrawnPoint[]) =>
    points
      .map((point, i) => {
        const { x, y } = at(point)
        return `${i === 0 ? 'M' : 'L'}${x.toFixed(1)} ${y.toFixed(1)}`
      })
      .join('')
  return {
    lines: lines.map(({ points }) => smooth(points.map(at)) ?? ''),
    rings: lines.map(({ ring }) => at(ring)),
    kiteLine: path([{ x: 0, z: tipM }, ...rings, kite]),
    kite: at(kite),
    tip: at({ x: 0, z: tipM }),
    seaY,
    pxPerM,
    barM: roundDown((BAR_SHARE * box.width) / pxPerM),
  }
}

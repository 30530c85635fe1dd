import type { Catalogue } from '../catalogue/catalogue.ts'
import type { HookDimensions } from '../catalogue/hooks.ts'
import type { HookPattern } from '../catalogue/ids.ts'

/**
 * A hook in side view, mm, its eye at the origin and its shank along x, the point below it: the middle of the wire as an SVG path,
 * where the shank’s and the point’s inner edges are, and how far it reaches.
 */
export type HookOutline = {
  path: string
  /** A barb behind the point, on its inner side. */
  barb: string
  /** Points that share the shank: three of a treble, around it. */
  points: number
  wireMm: number
  eyeMm: number
  /** Inner edge of the shank, and of the point; between them is the gape. */
  shankY: number
  pointY: number
  pointX: number
  lengthMm: number
  bottomMm: number
  /** How far it reaches above its shank. */
  topMm: number
}

const MM = 1000
/** Radius of the eye over the wire. Nominal. */
const EYE = 1.1
/** How far behind the point a barb begins, and how far it reaches, in gapes. Nominal. */
const BARB = 0.2
const round = (mm: number) => Number(mm.toFixed(3))

/** The outline of a hook by its pattern: straight shank, round bend, and a point that comes back beside it, leaning in on a circle. */
export function hookOutline({ hooks }: Catalogue, pattern: HookPattern, dimensions: HookDimensions): HookOutline {
  const { lean, points } = hooks.patterns[pattern]
  const [gape, wire, shank, throat] = [dimensions.gapeM, dimensions.wireM, dimensions.shankM, dimensions.throatM].map(
    (m) => m * MM,
  ) as [number, number, number, number]
  // From the middle of the wire to the middle: the point is a gape and a wire off, the bend wider by what it leans.
  const pointY = gape + wire
  const bendY = pointY + lean * gape
  const radius = bendY / 2
  const pointX = shank - throat
  const path = [
    `M0 0H${round(shank)}`,
    `A${round(radius)} ${round(radius)} 0 0 1 ${round(shank)} ${round(bendY)}`,
    `Q${round(shank - throat * 0.6)} ${round(bendY)} ${round(pointX)} ${round(pointY)}`,
  ].join('')
  const barb = `M${round(pointX + BARB * gape)} ${round(pointY)}l${round(BARB * gape)} ${round(-BARB * gape)}`
  return {
    path,
    barb,
    points,
    wireMm: wire,
    eyeMm: EYE * wire,
    shankY: wire / 2,
    pointY: pointY - wire / 2,
    pointX,
    lengthMm: shank + radius + wire / 2,
    bottomMm: bendY + wire / 2,
    topMm: points > 1 ? bendY + wire / 2 : (EYE + 0.5) * wire,
  }
}

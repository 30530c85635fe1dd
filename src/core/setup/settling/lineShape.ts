import { CoreError } from '../../errors.ts'
import { SEA_WATER_KG_PER_M3 } from '../../math/constants.ts'
import { BED_LAYER_M, powerProfile } from '../../physics/water/current.ts'
import { waterLine } from '../../physics/water/line.ts'
import type { LinePoint } from '../../physics/water/lineInFluid.ts'
import { pushN } from '../../physics/water/push.ts'
import { waterShoreLine } from '../../physics/water/shoreLine.ts'
import { waterUptideHold } from '../../physics/water/uptideHold.ts'
import { lineWantedM } from '../lineWanted.ts'
import { LINE_TOLERANCE, UPTIDE_TOLERANCE } from './minimumSinker.ts'
import type { Settling } from './settling.ts'
import { lineInput, shoreInput, uptideInput } from './solverInputs.ts'

/** What the pull of the stream acts on, N. */
export type Share = { id: 'sinker' | 'bait' | 'trace' | 'line'; forceN: number }

/**
 * The line's true shape in the water with the weight as it is. `side`: x down-current, z over the bed, as from a boat; `above`: x
 * from the rod to the sinker, z down-current, the bow seen from above.
 */
export type LineShape = {
  view: 'side' | 'above'
  points: LinePoint[]
  /** From the shore as well from the side: x towards the rod, z over the bed, from the sinker to the rod tip over the water. */
  side?: LinePoint[]
  lineOutM: number
  scope: number
  /** Down-current of the boat, below zero up-current of it; from the shore, how far the line bows down-current. */
  setbackM: number
  /** Of the line where it leaves the rod: from upright, or from above, off the straight way to the sinker. */
  angleDeg: number
  /** Share of the line's pull at the rod that is lead; undefined where the sinker lies on the bed. */
  feel?: number
  /** Down-current; a sinker on the bed is left out. */
  shares: Share[]
}

/** The shape, or why it has none, in a sentence. */
export function lineShapeOf(settling: Settling): LineShape | { trouble: string } {
  try {
    switch (settling.water.method) {
      case 'shore':
        return bowed(settling)
      case 'uptide':
        return uptide(settling)
      default:
        return hanging(settling)
    }
  } catch (error) {
    if (error instanceof CoreError) return { trouble: error.message }
    throw error
  }
}

function hanging(settling: Settling): LineShape {
  const { water, outfit } = settling
  const points: LinePoint[] = []
  const input = lineInput(settling)
  const hung = waterLine(input, { tolerance: LINE_TOLERANCE, onPoint: (point) => points.push(point) })
  const ownLines = input.layers.length - outfit.wound.length
  const sum = (forces: readonly number[]) => forces.reduce((total, force) => total + force, 0)
  return {
    view: 'side',
    points: inItsPlane(points),
    lineOutM: hung.lineOutM,
    scope: hung.lineOutM / water.depthM,
    setbackM: hung.setbackM,
    angleDeg: hung.topAngleFromVerticalDeg,
    shares: [
      { id: 'sinker', forceN: hung.dragN.sinker },
      { id: 'bait', forceN: hung.dragN.bait },
      { id: 'trace', forceN: sum(hung.dragN.layers.slice(0, ownLines)) },
      { id: 'line', forceN: sum(hung.dragN.layers.slice(ownLines)) },
    ],
  }
}

/** A line that a drift sets across, seen from the side on which it lies farthest from the boat. */
function inItsPlane(points: readonly LinePoint[]): LinePoint[] {
  const { x: farX = 0, y: farY } = points.at(-1) ?? {}
  if (farY === undefined) return [...points]
  const far = Math.hypot(farX, farY) || 1
  const across = (x: number, y: number) => -(x * farX + y * farY) / far
  return points.map(({ s, x, y = 0, z, tx, ty = 0, tz }) => ({ s, x: across(x, y), z, tx: across(tx, ty), tz }))
}

function uptide(settling: Settling): LineShape {
  const points: LinePoint[] = []
  const input = uptideInput(settling, 1)
  const { pullUptideN } = waterUptideHold(input, { tolerance: UPTIDE_TOLERANCE, onPoint: (point) => points.push(point) })
  const top = points.at(-1)!
  const nearBed = powerProfile(input.surfaceCurrentMperS, input.depthM, input.profileExponent)(BED_LAYER_M)
  return {
    view: 'side',
    points,
    lineOutM: input.lineOutM,
    scope: settling.water.scope,
    setbackM: -input.uptideDistanceM,
    angleDeg: (Math.atan2(top.tx, top.tz) * 180) / Math.PI,
    shares: [
      { id: 'bait', forceN: pushN(input.baitDragAreaM2, nearBed, SEA_WATER_KG_PER_M3) },
      { id: 'line', forceN: pullUptideN },
    ],
  }
}

function bowed(settling: Settling): LineShape {
  const input = shoreInput(settling, 1)
  const points: LinePoint[] = []
  const side: LinePoint[] = []
  const lineOutM = lineWantedM(settling, settling.water)
  // From above, from the rod to the sinker: the other way round from how it is solved.
  const { bowM, pullN } = waterShoreLine(input, ({ s, x, y, z, tx, ty, tz }) => {
    const pull = Math.hypot(tx, ty, tz)
    points.unshift({ s: lineOutM - s, x: input.spanM - y, z: x, tx: ty / pull, tz: -tx / pull })
    side.push({ s, x: y, z, tx: ty / pull, tz: tz / pull })
  })
  const nearBed = powerProfile(input.surfaceCurrentMperS, input.depthM, input.profileExponent)(BED_LAYER_M)
  const baitN = pushN(input.baitDragAreaM2, nearBed, SEA_WATER_KG_PER_M3)
  const rod = points[0]!
  return {
    view: 'above',
    points: points,
    side: side,
    lineOutM,
    scope: input.scope,
    setbackM: bowM,
    angleDeg: (Math.atan2(Math.abs(rod.tz), rod.tx) * 180) / Math.PI,
    shares: [
      { id: 'bait', forceN: baitN },
      { id: 'line', forceN: Math.max(0, pullN - baitN) },
    ],
  }
}

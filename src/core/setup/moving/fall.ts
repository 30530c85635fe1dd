import { lineDiameterM } from '../../catalogue/materials.ts'
import { SEA_WATER_KG_PER_M3 } from '../../math/constants.ts'
import { freeLine } from '../../outfits/outfitLines.ts'
import type { TowedLine } from '../../physics/flown/towed.ts'
import { waterSink } from '../../physics/water/sink.ts'
import type { Rig } from '../setup.ts'
import type { Tow } from './tow.ts'

/** How all that hangs on a line falls when it is let go: how long to a depth, and how far from there in so many seconds. */
export type Fall = { timeToS: (depthM: number) => number; dropM: (depthM: number, seconds: number) => number }

/** @returns undefined for what does not sink. */
export function fallOf({ outfit, catalogue }: Rig, tow: Tow): Fall | undefined {
  const bodies = bodiesOf(tow.line(tow.traceM))
  const massKg = bodies.reduce((sum, body) => sum + body.massKg, 0)
  const volumeM3 = bodies.reduce((sum, body) => sum + body.massKg / body.densityKgperM3, 0)
  if (!(massKg / volumeM3 > SEA_WATER_KG_PER_M3)) return undefined
  const sink = (depthM: number) =>
    waterSink({
      massKg,
      densityKgperM3: massKg / volumeM3,
      dragAreaM2: bodies.reduce((sum, body) => sum + body.dragAreaM2, 0),
      lineDiameterM: lineDiameterM(catalogue, freeLine(outfit)),
      depthM,
    })
  return { timeToS: (depthM) => sink(depthM).timeS, dropM: (depthM, seconds) => sink(depthM).bottomSpeedMperS * seconds }
}

/** Seconds in which so much line runs off in free spool behind a boat: by its way, and by what falls. */
export const runsOffS = (lineOutM: number, speedMperS: number, fall: Fall | undefined, depthM: number): number =>
  lineOutM / Math.hypot(speedMperS, fall ? fall.dropM(depthM, 1) : 0)

const bodiesOf = ({ bodies, after }: TowedLine): TowedLine['bodies'] => [...bodies, ...after.flatMap(bodiesOf)]

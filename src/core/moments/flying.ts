import { bestCast } from '../catalogue/rods.ts'
import { halved } from '../math/halved.ts'
import { castRange } from '../physics/cast/range.ts'
import { releaseSpeedMperS } from '../physics/cast/releaseSpeed.ts'
import { flightAreaM2 } from '../setup/flight.ts'
import { flyingMassKg } from '../setup/masses.ts'
import type { Setup } from '../setup/setup.ts'
import { clippedDown } from './castPath.ts'

/** Height of the hand at release over the angler's feet, m. Nominal. */
const RELEASE_ABOVE_FEET_M = 2
/** What is left of the range in still air once the line's own drag is taken off, and the steps it is worth, m. Nominal. */
const LEFT_OF_RANGE = { least: 0.75, most: 0.9 }
const RANGE_STEP_M = 5

type CastStyle = { releaseSpeedMperS: number }
/** What `cast.range` is asked of a cast. */
export type Flight = Parameters<typeof castRange>[0]

/** The flight of all that flies, as if it weighed so much, in a style of cast. */
export function flightOf(setup: Setup, { releaseSpeedMperS: styleMperS }: CastStyle, massKg: number): Flight {
  const { trace, conditions, outfit } = setup
  const clipped = clippedDown(trace)
  return {
    massKg,
    dragAreaM2: trace.pieces.reduce((sum, piece) => sum + flightAreaM2(setup, piece, clipped.has(piece.id)), 0),
    releaseSpeedMperS: releaseSpeedMperS(styleMperS, massKg / bestCast(outfit.rod).massKg),
    launchDeg: conditions.launchDeg,
    releaseHeightM: RELEASE_ABOVE_FEET_M + conditions.freeboardM,
  }
}

/** How far a flight goes with the line's own drag taken off, in steps of 5 m. */
export function rangeOf(flight: Flight): { least: number; most: number } {
  const { rangeM } = castRange(flight)
  const inSteps = (share: number) => RANGE_STEP_M * Math.round((share * rangeM) / RANGE_STEP_M)
  return { least: inSteps(LEFT_OF_RANGE.least), most: inSteps(LEFT_OF_RANGE.most) }
}

/**
 * The least weight at the end over one that holds, which the cast carries to a distance, kg: the rest of the trace flies with it.
 * @returns undefined where nothing is cast, where what holds reaches by itself, or not even what the rod throws best does.
 */
export function leastToReachKg(
  setup: Setup & { weight: { massKg: number } },
  distanceM: number,
  holdsKg: number,
): number | undefined {
  const { castStyle } = setup.conditions
  if (castStyle === 'none') return undefined
  const otherKg = Math.max(0, flyingMassKg(setup) - setup.weight.massKg)
  const best = bestCast(setup.outfit.rod).massKg
  const style = setup.catalogue.castStyles[castStyle]
  const flight = flightOf(setup, style, best)
  const reaches = (weightKg: number) => {
    const massKg = otherKg + weightKg
    const speedMperS = releaseSpeedMperS(style.releaseSpeedMperS, massKg / best)
    return LEFT_OF_RANGE.most * castRange({ ...flight, massKg, releaseSpeedMperS: speedMperS }).rangeM >= distanceM
  }
  if (reaches(holdsKg) || !reaches(best)) return undefined
  return halved([holdsKg, best], reaches)[1]
}

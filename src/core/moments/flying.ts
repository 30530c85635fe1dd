import { bestCast } from '../catalogue/rods.ts'
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
/** Halvings of the mass that find the least that reaches a distance. */
const HALVINGS = 12

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
 * The least weight at the end that the cast carries to a distance, kg: the rest of the trace flies with it.
 * @returns undefined where nothing is cast, or not even what the rod throws best reaches.
 */
export function leastToReachKg(setup: Setup & { weight: { massKg: number } }, distanceM: number): number | undefined {
  const { castStyle } = setup.conditions
  if (castStyle === 'none') return undefined
  const style = setup.catalogue.castStyles[castStyle]
  const otherKg = Math.max(0, flyingMassKg(setup) - setup.weight.massKg)
  const reaches = (weightKg: number) =>
    LEFT_OF_RANGE.most * castRange(flightOf(setup, style, otherKg + weightKg)).rangeM >= distanceM
  let high = bestCast(setup.outfit.rod).massKg
  if (!reaches(high)) return undefined
  let low = 0
  for (let i = 0; i < HALVINGS; i += 1) {
    const middle = (low + high) / 2
    if (otherKg + middle > 0 && reaches(middle)) high = middle
    else low = middle
  }
  return high
}

import { tipOverFeetM } from '../../catalogue/rods.ts'
import type { MovingBy, SwimsAt } from '../../documents/moving.ts'
import { CoreError } from '../../errors.ts'
import { findRoot } from '../../math/findRoot.ts'
import { newton } from '../../math/newton.ts'
import { linePerTurnM } from '../../outfits/outfitLines.ts'
import { towed } from '../../physics/flown/towed.ts'
import type { Setup } from '../setup.ts'
import type { Tow } from './tow.ts'
import { deepestOf, wantedDepthM } from './trolled.ts'

export type RetrievedWay = MovingBy<'retrieved'>

/** Turns of the handle in a second that a hand keeps up. Ours. */
export const TURNS = { least: 0.2, most: 4 }
/** Height of a rod tip held low, over the water, m. Nominal. */
const LOW_TIP_M = 0.5
/** Places along a retrieve, and how closely a rate is found, as a share; how near to where it is meant to swim is near enough, m. */
const SAMPLES = 11
const CLOSE = 2e-3
const NEAR_M = 0.02
const CLOSE_M = 0.05
/** Error of the line's steps over its length: a coarser one shows in the rates. */
const TOLERANCE = 1e-4
/** The last length of line in the water that is shown, m. */
const LAST_M = 1

/** Why a lure is not where it is meant to be: too shallow however slowly it is wound, too deep however fast. */
export type OffPath = 'tooShallow' | 'tooDeep'

/** A place of a retrieve: how far from the rod and how deep it swims, and how fast it must be wound to. */
export type RetrievePoint = {
  lineOutM: number
  /** Of it in the water. */
  inWaterM: number
  /** From the rod’s tip, along the water. */
  awayM: number
  depthM: number
  wantedM: number
  bedM: number
  turnsPerS: number
  speedMperS: number
  off?: OffPath
}

/** Height of the rod’s tip over the water, m. */
export const tipOverWaterM = (
  { outfit, conditions }: Pick<Setup, 'outfit' | 'conditions'>,
  { rodTip }: Pick<RetrievedWay, 'rodTip'>,
): number => (rodTip === 'high' ? conditions.freeboardM + tipOverFeetM(outfit.rod) : Math.max(LOW_TIP_M, conditions.freeboardM))

/** Depth of the bed so far from the rod: a straight slope from under the rod to where it lands, m. */
export const bedAtM = ({ nearWaterM, waterM, lineOutM }: RetrievedWay, awayM: number): number =>
  nearWaterM + (waterM - nearWaterM) * Math.min(1, Math.max(0, awayM / lineOutM))

/**
 * The rate that keeps a lure where it is meant to swim, from where it lands to under the rod, with where it swims: at each length of
 * line in the water as if it had always been so long. From where the line leaves the water it runs straight to the rod’s tip.
 */
export function retrieve(setup: Setup, tow: Tow, way: RetrievedWay, swimsAt: SwimsAt = way.swimsAt): RetrievePoint[] {
  const tipM = tipOverWaterM(setup, way)
  const perTurnM = (lineOutM: number) =>
    linePerTurnM(setup.catalogue, setup.outfit, Math.min(Math.max(0, lineOutM - tow.traceM), tow.mostM - tow.traceM))
  const outM = Math.min(way.lineOutM, tow.mostM)
  const firstM = inWaterOf(outM, (inWaterM) => swimming(tow, inWaterM, perTurnM(outM), tipM).airM)
  const lastM = Math.min(firstM, Math.max(tow.traceM, LAST_M))
  // Of the places before, the nearest first.
  let kept: number[] = []
  return Array.from({ length: SAMPLES + 1 }, (_, i): RetrievePoint => {
    const inWaterM = firstM + ((lastM - firstM) * i) / SAMPLES
    const turnM = perTurnM(inWaterM + tipM)
    const swim = (turnsPerS: number) => swimming(tow, inWaterM, turnsPerS * turnM, tipM)
    const over = (turnsPerS: number) => {
      const { depthM, awayM } = swim(turnsPerS)
      return depthM - wantedDepthM(swimsAt, bedAtM(way, awayM))
    }
    const rate = rateFor(over, carriedOn(kept))
    kept = rate.off ? [] : [rate.turnsPerS, ...kept.slice(0, 1)]
    const { depthM, awayM, airM } = swim(rate.turnsPerS)
    const bedM = bedAtM(way, awayM)
    return {
      lineOutM: inWaterM + airM,
      inWaterM,
      awayM,
      depthM: Math.min(depthM, bedM),
      wantedM: wantedDepthM(swimsAt, bedM),
      bedM,
      speedMperS: rate.turnsPerS * turnM,
      ...rate,
    }
  })
}

/** Line in the water of so much out, m: the rest is in the air up to the rod’s tip. */
function inWaterOf(lineOutM: number, airM: (inWaterM: number) => number): number {
  const over = (inWaterM: number) => inWaterM + airM(inWaterM) - lineOutM
  return over(LAST_M) >= 0 ? LAST_M : findRoot(over, LAST_M, lineOutM, CLOSE_M)
}

/** The rate that those of the two places before lead to. */
const carriedOn = ([last, before]: readonly number[]): number | undefined => last && (before ? last ** 2 / before : last)

/** The rate at which a lure is neither too deep nor too shallow; else the end of what a hand winds that comes nearest. */
function rateFor(over: (turnsPerS: number) => number, about?: number): { turnsPerS: number; off?: OffPath } {
  const near = about && nearby(over, about)
  if (near) return { turnsPerS: near }
  const [slow, fast] = [over(TURNS.least), over(TURNS.most)]
  if (slow > 0 !== fast > 0)
    return { turnsPerS: Math.exp(findRoot((rate) => over(Math.exp(rate)), Math.log(TURNS.least), Math.log(TURNS.most), CLOSE)) }
  const turnsPerS = Math.abs(slow) <= Math.abs(fast) ? TURNS.least : TURNS.most
  return { turnsPerS, off: slow > 0 ? 'tooDeep' : 'tooShallow' }
}

/** How a rate is looked for close by, in its logarithm, and the longest step and most steps there. */
const CARE = { tolerance: TOLERANCE, close: NEAR_M, difference: 0.02 }
const LONGEST = 0.3
const MAX_STEPS = 4

/** A rate close to one; undefined where none is that a hand winds. */
function nearby(over: (turnsPerS: number) => number, about: number): number | undefined {
  const shoot = ([log]: readonly [number]) => ({ missed: [over(Math.exp(log))] })
  const met = newton(shoot, [Math.log(about)], [LONGEST], CARE, { mostSteps: MAX_STEPS })
  const turnsPerS = met && Math.exp(met.at[0])
  return turnsPerS && turnsPerS >= TURNS.least && turnsPerS <= TURNS.most ? turnsPerS : undefined
}

/** The flattest that a line is taken to leave the water, from upright: flatter it lies on it. */
const FLATTEST = (85 * Math.PI) / 180

/** Where a lure swims on so much line in the water, wound so fast, and how much line is in the air up to the rod’s tip, m. */
function swimming(tow: Tow, inWaterM: number, speedMperS: number, tipM: number): { depthM: number; awayM: number; airM: number } {
  const { depthM, setbackM, angle } = towedAs(tow, inWaterM, speedMperS)
  return { depthM, awayM: setbackM + tipM * Math.tan(angle), airM: tipM / Math.cos(angle) }
}

function towedAs(tow: Tow, inWaterM: number, speedMperS: number): { depthM: number; setbackM: number; angle: number } {
  try {
    const { places, topAngleFromVerticalDeg } = towed(tow.line(inWaterM), speedMperS, { tolerance: TOLERANCE })
    const angle = Math.min(FLATTEST, Math.max(0, (topAngleFromVerticalDeg * Math.PI) / 180))
    return { ...(deepestOf(places) ?? { depthM: 0, setbackM: inWaterM }), angle }
  } catch (error) {
    if (error instanceof CoreError && (error.code === 'does-not-sink' || error.code === 'blown-out'))
      return { depthM: 0, setbackM: inWaterM, angle: FLATTEST }
    throw error
  }
}

/** Share of a retrieve over which a lure is kept where it is meant to swim. */
export const keptShare = (points: readonly RetrievePoint[]): number =>
  points.length === 0 ? 0 : points.filter(({ off }) => off === undefined).length / points.length

import { tipOverFeetM } from '../../catalogue/rods.ts'
import type { MovingBy, SwimsAt } from '../../documents/moving.ts'
import { CoreError } from '../../errors.ts'
import { findRoot } from '../../math/findRoot.ts'
import { towed } from '../../physics/flown/towed.ts'
import { linePerTurnM } from '../outfitLines.ts'
import type { Setup } from '../setup.ts'
import { TOW_TOLERANCE, type Tow } from './tow.ts'
import { deepestOf, wantedDepthM } from './trolled.ts'

export type RetrievedWay = MovingBy<'retrieved'>

/** Turns of the handle in a second that a hand keeps up. Ours. */
export const TURNS = { least: 0.2, most: 4 }
/** Height of a rod tip held low, over the water, m. Nominal. */
const LOW_TIP_M = 0.5
/** Places along a retrieve, and how closely a rate is found, as a share. */
const SAMPLES = 11
const CLOSE = 2e-3
const CLOSE_M = 0.05
/** The last line in the water that is told of, m. */
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
  let near: number | undefined
  return Array.from({ length: SAMPLES + 1 }, (_, i): RetrievePoint => {
    const inWaterM = firstM + ((lastM - firstM) * i) / SAMPLES
    const turnM = perTurnM(inWaterM + tipM)
    const swim = (turnsPerS: number) => swimming(tow, inWaterM, turnsPerS * turnM, tipM)
    const over = (turnsPerS: number) => {
      const { depthM, awayM } = swim(turnsPerS)
      return depthM - wantedDepthM(swimsAt, bedAtM(way, awayM))
    }
    const rate = rateFor(over, near)
    near = rate.off ? undefined : rate.turnsPerS
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

/** How far from the rate of the place before one is looked for at first. */
const NEAR = 1.3

/** The rate at which a lure is neither too deep nor too shallow; else the end of what a hand winds that comes nearest. */
function rateFor(over: (turnsPerS: number) => number, near?: number): { turnsPerS: number; off?: OffPath } {
  const between = (least: number, most: number) => {
    const [slow, fast] = [over(least), over(most)]
    if (slow > 0 === fast > 0) return { slow, fast }
    return { turnsPerS: Math.exp(findRoot((rate) => over(Math.exp(rate)), Math.log(least), Math.log(most), CLOSE)) }
  }
  const first = near && between(Math.max(TURNS.least, near / NEAR), Math.min(TURNS.most, near * NEAR))
  if (first && first.turnsPerS !== undefined) return first
  const all = between(TURNS.least, TURNS.most)
  if (all.turnsPerS !== undefined) return all
  const turnsPerS = Math.abs(all.slow) <= Math.abs(all.fast) ? TURNS.least : TURNS.most
  return { turnsPerS, off: all.slow > 0 ? 'tooDeep' : 'tooShallow' }
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
    const { places, topAngleFromVerticalDeg } = towed(tow.line(inWaterM), speedMperS, { tolerance: TOW_TOLERANCE })
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

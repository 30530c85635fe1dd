import { isCastMethod } from '../../catalogue/methods.ts'
import { CoreError, type CoreErrorCode } from '../../errors.ts'
import { SEA_WATER_KG_PER_M3 } from '../../math/constants.ts'
import { findRoot } from '../../math/findRoot.ts'
import { massForScopeKg } from '../../physics/water/hangMass.ts'
import { waterLine } from '../../physics/water/line.ts'
import { waterShoreHold } from '../../physics/water/shoreHold.ts'
import { massOfSubmergedKg } from '../../physics/water/sphere.ts'
import { waterUptideHold } from '../../physics/water/uptideHold.ts'
import type { Settling } from './settling.ts'
import { lineInput, shoreInput, uptideInput } from './solverInputs.ts'

/** Solves for a verdict need no more than these. */
export const LINE_TOLERANCE = 1e-6
export const UPTIDE_TOLERANCE = 1e-7
/** What is wanted where any weight holds, kg. */
export const LEAST_KG = 0.001
/** Streams this weak are slack: nothing is needed to hold, m/s; a cast line lies loose in a little more. */
const SLACK_MPERS = { hanging: 1e-3, cast: 0.05 }
/** How far past the stream in question it is asked what a weight holds, and how closely. */
const MOST_SHARE = 4
const SHARE_TOLERANCE = 1e-4

/** The least weight that holds, by its grip on the bed; or why there is none, in a sentence. */
export type MinimumSinker = { kgFor: (grip: number) => number } | { trouble: string; code: CoreErrorCode }

/** The least weight of this density that holds in still water at this stream, without a reserve. */
export function minimumSinker(settling: Settling): MinimumSinker {
  if (isSlack(settling)) return { kgFor: () => LEAST_KG }
  try {
    return { kgFor: solve(settling) }
  } catch (error) {
    if (!(error instanceof CoreError)) throw error
    if (error.code === 'no-root' && error.details.end === 'least') return { kgFor: () => LEAST_KG }
    // A line that sags to the bed lies on it: what it pulls along is the most that the sinker feels, and nothing lifts it.
    if (error.code === 'line-on-bed') return { kgFor: (grip) => weighingKg(settling, Number(error.details.pullN) / grip) }
    return { trouble: error.message, code: error.code }
  }
}

function isSlack({ water }: Settling): boolean {
  if (isCastMethod(water.method)) return water.streamMperS < SLACK_MPERS.cast
  const drift = water.method === 'drift' ? [water.driftMperS, water.driftAcrossMperS] : []
  return Math.hypot(water.streamMperS, ...drift) < SLACK_MPERS.hanging
}

const weighingKg = ({ weight }: Settling, submergedN: number) =>
  massOfSubmergedKg(submergedN, weight.densityKgperM3, SEA_WATER_KG_PER_M3)

function solve(settling: Settling): (grip: number) => number {
  const { water } = settling
  switch (water.method) {
    case 'shore': {
      // The pull does not depend on the grip.
      const { sinkerMassKg } = waterShoreHold(shoreInput(settling, 1))
      return (grip) => sinkerMassKg / grip
    }
    case 'uptide': {
      // Nor do the pull and the lift, and only the pull is held by grip.
      const { sinkerMassKg, liftN } = waterUptideHold(uptideInput(settling, 1), { tolerance: UPTIDE_TOLERANCE })
      const liftKg = weighingKg(settling, liftN)
      return (grip) => liftKg + (sinkerMassKg - liftKg) / grip
    }
    default: {
      const input = lineInput(settling)
      const lineOutM = (sinkerMassKg: number) => waterLine({ ...input, sinkerMassKg }, { tolerance: LINE_TOLERANCE }).lineOutM
      const kg = massForScopeKg(lineOutM, water.depthM, water.scope)
      return () => kg
    }
  }
}

/**
 * The stream up to which the weight holds with a reserve, m/s; up to four times the one in question. Cast, where what is needed
 * grows with the square of the stream (up-tide but for the line's own weight, some hundredths), it follows from the least at that
 * stream; hanging it is the root of the scope. A drift grows with its stream.
 * @returns undefined where it is not known: no stream, or no least to go by.
 */
export function holdsToMperS(settling: Settling, minimum: MinimumSinker, grip: number, reserve: number): number | undefined {
  const { water, weight } = settling
  if (isSlack(settling)) return undefined
  if (isCastMethod(water.method))
    return 'kgFor' in minimum ? water.streamMperS * Math.sqrt(weight.massKg / (reserve * minimum.kgFor(grip))) : undefined
  const over = (share: number) => {
    const input = { ...lineInput(atShare(settling, share)), sinkerMassKg: weight.massKg / reserve }
    try {
      return waterLine(input, { tolerance: LINE_TOLERANCE }).lineOutM / water.depthM - water.scope
    } catch (error) {
      if (error instanceof CoreError && error.code === 'blown-out') return Number.POSITIVE_INFINITY
      throw error
    }
  }
  try {
    if (over(MOST_SHARE) < 0) return MOST_SHARE * water.streamMperS
    return water.streamMperS * findRoot(over, 0, MOST_SHARE, SHARE_TOLERANCE)
  } catch (error) {
    // What floats never reaches the bottom.
    if (error instanceof CoreError) return undefined
    throw error
  }
}

/** The same water at so many times its stream; a drift goes with it. */
function atShare(settling: Settling, share: number): Settling {
  const { water } = settling
  const scaled = {
    streamMperS: share * water.streamMperS,
    driftMperS: share * water.driftMperS,
    driftAcrossMperS: share * water.driftAcrossMperS,
  }
  return { ...settling, water: { ...water, ...scaled } }
}

import { holdKindOf } from '../../catalogue/grip.ts'
import type { HoldKind } from '../../catalogue/ids.ts'
import { isCastMethod } from '../../catalogue/methods.ts'
import { CoreError, type CoreErrorCode } from '../../errors.ts'
import { SEA_WATER_KG_PER_M3 } from '../../math/constants.ts'
import { findRoot } from '../../math/findRoot.ts'
import { massForScopeKg } from '../../physics/water/hangMass.ts'
import { waterLine } from '../../physics/water/line.ts'
import { waterShoreHold } from '../../physics/water/shoreHold.ts'
import { waterShoreLine } from '../../physics/water/shoreLine.ts'
import { massOfSubmergedKg, submergedWeightN } from '../../physics/water/sphere.ts'
import { waterUptideHold } from '../../physics/water/uptideHold.ts'
import { type Settling, shoreHoldOf } from './settling.ts'
import { lineInput, shoreInput, uptideInput } from './solverInputs.ts'

/** Solves for a verdict need no more than these. */
export const LINE_TOLERANCE = 1e-6
export const UPTIDE_TOLERANCE = 1e-6
/** What is wanted where any weight holds, kg. */
export const MIN_KG = 0.001
/** Streams this weak are slack: nothing is needed to hold, m/s; a cast line lies loose in a little more. */
const SLACK_MPERS = { hanging: 1e-3, cast: 0.05 }
/** By how much the stream is raised to find an answer for a slack line, and up to what, m/s. */
const STRONGER = 1.3
const MAX_SLACK_MPERS = 1
/** The strongest stream that it is asked what a weight holds in, m/s, and how closely. */
const MAX_MPERS = 6
const STREAM_TOLERANCE = 1e-3

/** The least weight that holds, by its grip on the bed and, left out that of the weight in question, how it holds; or why there is none. */
export type MinimumSinker = { kgFor: (grip: number, kind?: HoldKind) => number } | { trouble: string; code: CoreErrorCode }

/** The least weight of this density that holds in still water at this stream, without a reserve. */
export function minimumSinker(settling: Settling): MinimumSinker {
  if (isSlack(settling)) return { kgFor: () => MIN_KG }
  try {
    return { kgFor: solve(settling) }
  } catch (error) {
    if (!(error instanceof CoreError)) throw error
    if (error.code === 'no-root' && error.details.end === 'least') return { kgFor: () => MIN_KG }
    // A line that sags to the bed lies on it: what it pulls along is the most that the sinker feels, and nothing lifts it.
    if (error.code === 'line-on-bed') return { kgFor: heldKg(settling, { pullN: Number(error.details.pullN), liftN: 0 }) }
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

/** The weight that holds against a pull along the bed and a lift. */
function heldKg(settling: Settling, { pullN, liftN }: { pullN: number; liftN: number }) {
  return (grip: number, kind: HoldKind = holdKindOf(settling.weight.shape)): number => {
    const byWires = settling.water.method === 'shore' ? shoreHoldOf(settling, grip, kind) : { grip, breakOutN: 0 }
    return weighingKg(settling, Math.max(0, pullN - byWires.breakOutN) / byWires.grip + liftN)
  }
}

/** Floating line in so weak a stream lies on the water: it pulls no more than it would if all of it were in it, in an even stream. */
function shorePull(settling: Settling): { pullN: number; liftN: number } {
  const input = shoreInput(settling, 1)
  try {
    return waterShoreLine(input)
  } catch (error) {
    if (!(error instanceof CoreError) || error.code !== 'no-convergence') throw error
    return { pullN: waterShoreHold({ ...input, currentMperS: input.surfaceCurrentMperS }).pullN, liftN: 0 }
  }
}

/**
 * In so weak a stream that no pull is found the line floats or lies slack: it pulls no more than in the next stronger stream that has an
 * answer.
 */
function uptidePull(settling: Settling): { pullN: number; liftN: number } {
  const { streamMperS } = settling.water
  for (let times = 1; ; times *= STRONGER) {
    const input = uptideInput(atStream(settling, times * streamMperS), 1)
    try {
      const { sinkerMassKg, liftN } = waterUptideHold(input, { tolerance: UPTIDE_TOLERANCE })
      return { pullN: submergedWeightN(sinkerMassKg, input.sinkerDensityKgperM3, SEA_WATER_KG_PER_M3) - liftN, liftN }
    } catch (error) {
      const isSlackLine = error instanceof CoreError && error.code === 'no-convergence'
      if (!isSlackLine || times * STRONGER * streamMperS > MAX_SLACK_MPERS) throw error
    }
  }
}

function solve(settling: Settling): (grip: number, kind?: HoldKind) => number {
  const { water } = settling
  switch (water.method) {
    case 'shore':
      // Neither pull nor lift depends on the grip.
      return heldKg(settling, shorePull(settling))
    case 'uptide':
      return heldKg(settling, uptidePull(settling))
    default: {
      const input = lineInput(settling)
      const lineOutM = (sinkerMassKg: number) => waterLine({ ...input, sinkerMassKg }, { tolerance: LINE_TOLERANCE }).lineOutM
      const kg = massForScopeKg(lineOutM, water.depthM, water.scope)
      return () => kg
    }
  }
}

/**
 * The stream up to which the weight holds with a reserve, m/s, at most 6: the root of what is wanted there over what is on; hanging,
 * of the scope. A drift grows with its stream.
 * @param now the least that holds in the stream as it is, where that was asked before.
 * @returns undefined where it is not known, or where it holds in none.
 */
export function holdsToMperS(
  settling: Settling,
  grip: number,
  reserve: number,
  now: MinimumSinker = minimumSinker(settling),
): number | undefined {
  const { water, weight } = settling
  const wantedOver = (minimum: MinimumSinker) => {
    if ('kgFor' in minimum) return (reserve * minimum.kgFor(grip)) / weight.massKg
    // Where no pull is found the weight may be too light or have nothing to hold: that is not known, and each such search is long.
    if (minimum.code === 'no-convergence') throw new CoreError(minimum.code, minimum.trouble)
    return Number.POSITIVE_INFINITY
  }
  const isCast = isCastMethod(water.method)
  // Above 1 it does not hold: of what is wanted over what is on, or of what the line out has over the depth, over what it may have.
  const share = (streamMperS: number) => {
    const then = atStream(settling, streamMperS)
    if (isCast) return wantedOver(minimumSinker(then))
    const input = { ...lineInput(then), sinkerMassKg: weight.massKg / reserve }
    try {
      return (waterLine(input, { tolerance: LINE_TOLERANCE }).lineOutM / water.depthM - 1) / (water.scope - 1)
    } catch (error) {
      if (error instanceof CoreError && error.code === 'blown-out') return Number.POSITIVE_INFINITY
      throw error
    }
  }
  try {
    const least = isCast ? SLACK_MPERS.cast : SLACK_MPERS.hanging
    const start = Math.max(water.streamMperS, 2 * least)
    const found = byPowerLaw(share, {
      least,
      start,
      there: isCast && start === water.streamMperS ? wantedOver(now) : share(start),
    })
    if (found !== undefined) return found
    const over = (streamMperS: number) => share(streamMperS) - 1
    const [low, high] = bracket(over, least, start)
    if (high === undefined) return low
    return low === undefined ? undefined : findRoot(over, low, high, STREAM_TOLERANCE)
  } catch (error) {
    // What floats never reaches the bottom.
    if (error instanceof CoreError) return undefined
    throw error
  }
}

/** Steps of the power law that are tried, and how near to just wanted is near enough: a thousandth of the stream. */
const MAX_STEPS = 5
const NEAR_ENOUGH = 2e-3

/**
 * What a stream does grows as a power of it: a few steps of that find where it is just what may be.
 * @returns undefined where they do not, or lead out of the streams that are asked about.
 */
function byPowerLaw(
  share: (streamMperS: number) => number,
  { least, start, there }: { least: number; start: number; there: number },
): number | undefined {
  let [at, off, power] = [start, Math.log(there), 2]
  for (let step = 0; step < MAX_STEPS && Number.isFinite(off); step += 1) {
    if (Math.abs(off) < NEAR_ENOUGH) return at
    const next = at * Math.exp(-off / power)
    if (!(next > least && next < MAX_MPERS)) return undefined
    const then = Math.log(share(next))
    power = (then - off) / Math.log(next / at)
    if (!(power > 0.5 && power < 8)) return undefined
    ;[at, off] = [next, then]
  }
  return undefined
}

/** Two streams that the root lies between, from one to begin at; without a first it holds in none, without a second in the strongest. */
function bracket(over: (streamMperS: number) => number, least: number, start: number): [number | undefined, number | undefined] {
  let at = Math.min(start, MAX_MPERS)
  if (over(at) > 0) {
    for (let high = at; ; high = at) {
      at /= 1.5
      if (at <= least) return over(least) > 0 ? [undefined, high] : [least, high]
      if (over(at) <= 0) return [at, high]
    }
  }
  for (let low = at; ; low = at) {
    if (at >= MAX_MPERS) return [MAX_MPERS, undefined]
    at = Math.min(1.5 * at, MAX_MPERS)
    if (over(at) > 0) return [low, at]
  }
}

/** The same water at another stream; a drift goes with it. */
export function atStream(settling: Settling, streamMperS: number): Settling {
  const { water } = settling
  const share = water.streamMperS > 0 ? streamMperS / water.streamMperS : 0
  const drifting = { driftMperS: share * water.driftMperS, driftAcrossMperS: share * water.driftAcrossMperS }
  return { ...settling, water: { ...water, streamMperS, neapMperS: undefined, ...drifting } }
}

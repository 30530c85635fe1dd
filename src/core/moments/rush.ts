import { spoolEffectiveMassKg } from '../catalogue/reels.ts'
import { rodStiffnessNperM } from '../catalogue/rods.ts'
import type { Conditions } from '../documents/conditions.ts'
import { linesOut, spoolOf, woundM } from '../outfits/outfitLines.ts'
import { type LungeInput, strengthLunge } from '../physics/strength/lunge.ts'
import type { PreparedSetup } from '../setup/prepareSetup.ts'
import type { Setup } from '../setup/setup.ts'
import { stretchyLines } from '../setup/stretch.ts'
import { linesAlong, type PathElement, pathToPiece } from '../soundness/paths.ts'
import { type CalculationRequest, type Graded, gradeAtLeast, type Input, type Verdict } from './moment.ts'
import { RUSH_SURVIVAL } from './thresholds.ts'

const SAMPLES = 60

type RodHeld = Conditions['rodHeld']

/** Peak pull of a sudden rush with so much line out: the rod bent, and pointed at the fish. */
export type RushPoint = { lineOutM: number; bentN: number; pointedN: number }

/** Where a rush comes: with so much of the outfit’s line out, or, with the fish at the side, so much of any line from rod tip to fish. */
export type RushPlace = { lineOutM: number; atSide: boolean }
/** A rush judged: what it pulls there, and whether what it pulls on stays whole. */
export type Rush = RushPlace & { peakN: number; survival: number; verdict: Verdict }

/** What `strength.lunge` is asked of a rush on a path of the trace. */
export function lungeInput(
  { outfit, conditions, catalogue }: Setup,
  path: readonly PathElement[],
  { lineOutM, atSide }: RushPlace,
  held: RodHeld,
): LungeInput {
  const ofTrace = linesAlong(path)
  const outside = atSide ? lastOf(ofTrace, lineOutM) : ofTrace
  const ofReelM = atSide ? lineOutM - sumM(outside) : lineOutM
  const spool = spoolOf(catalogue, outfit, ofReelM)
  const out = linesOut(outfit, spool, ofReelM).map(({ line, outM }) => ({ line, lengthM: outM }))
  return {
    // The setting is what a full spool lets go at; a smaller one holds harder.
    dragN: conditions.dragN * spool.dragGrowth,
    startFactor: conditions.startFactor,
    speedMperS: conditions.fishSpeedMperS,
    layers: stretchyLines(catalogue, [...outside, ...out]),
    spoolEffectiveMassKg: spoolEffectiveMassKg(catalogue, outfit.reel),
    // Pointed at the fish the line runs straight through the guides.
    guideWrapRad: conditions.dragMeasuredAt === 'tip' || held === 'pointed' ? 0 : conditions.guideWrapRad,
    guideFriction: conditions.guideFriction,
    rodStiffnessNperM: held === 'pointed' ? undefined : rodStiffnessNperM(catalogue, outfit.rod),
  }
}

type Length = ReturnType<typeof linesAlong>[number]

const sumM = (lengths: readonly Length[]) => lengths.reduce((sum, { lengthM }) => sum + lengthM, 0)

/** The last metres of lines that follow each other. */
function lastOf(lengths: readonly Length[], metres: number): Length[] {
  let leftM = metres
  return lengths
    .toReversed()
    .map(({ line, lengthM }) => {
      const outM = Math.min(lengthM, leftM)
      leftM -= outM
      return { line, lengthM: outM }
    })
    .toReversed()
}

/**
 * What a sudden rush does before the spool turns, by line out from a metre on, closer together near the boat: there the line is short
 * and does not give; far out the spool is small and holds harder.
 */
export function rushByLineOut(setup: Setup, endId: string): RushPoint[] {
  const mostM = woundM(setup.catalogue, setup.outfit)
  const path = pathToPiece(setup.trace, endId)
  const peakN = (lineOutM: number, held: RodHeld) =>
    strengthLunge(lungeInput(setup, path, { lineOutM, atSide: false }, held)).peakN
  return Array.from({ length: SAMPLES + 1 }, (_, i) => mostM ** (i / SAMPLES) * (1 - 1e-9)).map((lineOutM) => ({
    lineOutM,
    bentN: peakN(lineOutM, 'bent'),
    pointedN: peakN(lineOutM, 'pointed'),
  }))
}

/** A rush, the rod held as the conditions say: holds where what it pulls on is as good as sure to stay whole. */
export function rushOn(setup: PreparedSetup, endId: string, { lineOutM, atSide }: RushPlace): Rush {
  const { peakN } = strengthLunge(lungeInput(setup, setup.tracePath(endId), { lineOutM, atSide }, setup.conditions.rodHeld))
  const survival = atSide ? setup.survivalUnderTip(endId, peakN) : setup.path(endId).survival(peakN)
  return { lineOutM, atSide, peakN, survival, verdict: gradeAtLeast(survival, RUSH_SURVIVAL) }
}

/** A rush as what a path is judged by. */
export const gradedRush = ({ survival, verdict }: Rush): Graded<'rush'> => ({
  cause: 'rush',
  figure: { key: 'rushSurvival', quantity: 'share', value: survival },
  verdict,
  margin: survival / RUSH_SURVIVAL.holds,
})

export const rushInputs = ({ conditions }: Setup, rush: Rush): Input[] => [
  { key: 'rodHeld', quantity: 'word', value: conditions.rodHeld, origin: 'document' },
  { key: 'rushPeak', quantity: 'strength', value: rush.peakN, origin: 'computed' },
  { key: 'rushSurvival', quantity: 'share', value: rush.survival, origin: 'computed' },
]

export const rushRequest = (setup: PreparedSetup, endId: string, place: RushPlace): CalculationRequest => ({
  calculation: 'strength.lunge',
  input: lungeInput(setup, setup.tracePath(endId), place, setup.conditions.rodHeld),
  from: { layers: 'nominal', spoolEffectiveMassKg: 'nominal', rodStiffnessNperM: 'nominal' },
})

export const rushPeakN = ({ bentN, pointedN }: RushPoint, held: RodHeld): number => (held === 'bent' ? bentN : pointedN)

/** Where a rush pulls least: nearer the line gives less, farther out the spool holds harder. */
export const leastRush = (points: readonly RushPoint[], held: RodHeld): RushPoint | undefined =>
  points.toSorted((a, b) => rushPeakN(a, held) - rushPeakN(b, held))[0]

/** A least nearer than this is at the boat, m. */
const AT_THE_BOAT_M = 5

/** Whether the trace gives enough near the boat: a rush then only pulls harder as the spool empties. */
export const givesEnough = (least: RushPoint): boolean => least.lineOutM < AT_THE_BOAT_M

import { spoolEffectiveMassKg } from '../catalogue/reels.ts'
import { rodStiffnessNperM } from '../catalogue/rods.ts'
import { strengthLunge } from '../physics/strength/lunge.ts'
import { linesOut, spoolOf, woundM } from '../setup/outfitLines.ts'
import { linesAlong, pathToPiece } from '../setup/paths.ts'
import type { Setup } from '../setup/setup.ts'
import { stretchyLines } from '../setup/stretch.ts'

const SAMPLES = 60

/** Peak pull of a sudden rush with so much line out: the rod bent, and pointed at the fish. */
export type RushPoint = { lineOutM: number; bentN: number; pointedN: number }

/**
 * What a sudden rush does before the spool turns, by line out from a metre on, closer together near the boat: there the line is short
 * and does not give; far out the spool is small and holds harder.
 * @param endId the hook or lure whose path is meant.
 */
export function rushByLineOut({ trace, outfit, conditions, catalogue }: Setup, endId: string): RushPoint[] {
  const mostM = woundM(catalogue, outfit)
  const linesOutM = Array.from({ length: SAMPLES + 1 }, (_, i) => mostM ** (i / SAMPLES) * (1 - 1e-9))
  const ofTrace = linesAlong(pathToPiece(trace, endId))
  const rod = rodStiffnessNperM(catalogue, outfit.rod)
  const effectiveKg = spoolEffectiveMassKg(catalogue, outfit.reel)
  return linesOutM.map((lineOutM): RushPoint => {
    const spool = spoolOf(catalogue, outfit, lineOutM)
    const out = linesOut(outfit, spool, lineOutM).map(({ line, outM }) => ({ line, lengthM: outM }))
    const peakN = (rodStiffness: number | undefined) =>
      strengthLunge({
        // The setting is what a full spool lets go at; a smaller one holds harder.
        dragN: conditions.dragN * spool.dragGrowth,
        startFactor: conditions.startFactor,
        speedMperS: conditions.fishSpeedMperS,
        layers: stretchyLines(catalogue, [...ofTrace, ...out]),
        spoolEffectiveMassKg: effectiveKg,
        // Pointed at the fish the line runs straight through the guides.
        guideWrapRad: conditions.dragMeasuredAt === 'tip' || rodStiffness === undefined ? 0 : conditions.guideWrapRad,
        guideFriction: conditions.guideFriction,
        rodStiffnessNperM: rodStiffness,
      }).peakN
    return { lineOutM, bentN: peakN(rod), pointedN: peakN(undefined) }
  })
}

/** Where a rush pulls least with the rod pointed at the fish: nearer the line gives less, farther out the spool holds harder. */
export const leastRush = (points: readonly RushPoint[]): RushPoint | undefined =>
  points.toSorted((a, b) => a.pointedN - b.pointedN)[0]

/** A least nearer than this is at the boat, m. */
const AT_THE_BOAT_M = 5

/** Whether the trace gives enough near the boat: a rush then only pulls harder as the spool empties. */
export const givesEnough = (least: RushPoint): boolean => least.lineOutM < AT_THE_BOAT_M

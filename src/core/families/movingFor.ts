import type { Conditions } from '../documents/conditions.ts'
import { type Moving, type MovingBy, type MovingWay, usualMoving } from '../documents/moving.ts'
import { CoreError } from '../errors.ts'
import { KEPT_SHARE } from '../moments/thresholds.ts'
import { flownBait, isTold, leadInStepsKg, ownedFor } from '../setup/moving/kite.ts'
import { keptShare, retrieve } from '../setup/moving/retrieved.ts'
import { towOf } from '../setup/moving/tow.ts'
import { deepestOf, leastWaterM, lineOutFor, trolledAt, wantedDepthM } from '../setup/moving/trolled.ts'
import type { Setup } from '../setup/setup.ts'

/** How the line of a family moves to begin with, in the water that it is made for; lowered, a lure is towed. */
export function movingFor(moves: MovingWay, { castStyle, water }: Pick<Conditions, 'castStyle' | 'water'>): Moving {
  const way = moves === 'retrieved' && castStyle === 'none' ? 'trolled' : moves
  const usual = usualMoving(way)
  if (usual.way === 'kite' || !water) return usual
  const { depthM } = water
  return usual.way === 'trolled'
    ? { ...usual, waterM: depthM }
    : { ...usual, waterM: depthM, nearWaterM: Math.min(depthM, usual.nearWaterM) }
}

/** The same set so that it does what it is for: line out to the depth that is meant, or a depth that it gets to. */
export function settledMoving(setup: Setup, moving: Moving): Moving {
  try {
    if (moving.way === 'trolled') return towedToDepth(setup, moving)
    return moving.way === 'retrieved' ? woundAtDepth(setup, moving) : moving
  } catch (error) {
    if (error instanceof CoreError) return moving
    throw error
  }
}

function towedToDepth(setup: Setup, moving: MovingBy<'trolled'>): Moving {
  const tow = towOf(setup)
  const lineOutM = lineOutFor(tow, moving.speedMperS, wantedDepthM(moving.swimsAt, leastWaterM(moving)))
  if (lineOutM !== undefined) return { ...moving, lineOutM: Math.max(1, Math.round(lineOutM)) }
  const deepest = deepestOf(trolledAt(tow, moving).places)
  return deepest ? { ...moving, swimsAt: { from: 'surface', m: Math.round(2 * deepest.depthM) / 2 } } : moving
}

/** Over the bed where a hand’s winding keeps it there; else in the upper water. */
function woundAtDepth(setup: Setup, moving: MovingBy<'retrieved'>): Moving {
  const tow = towOf(setup)
  const outM = Math.min(moving.lineOutM, Math.floor(tow.mostM))
  const upper = { from: 'surface', m: Math.round(moving.nearWaterM) / 2 } as const
  const tries = [moving.swimsAt, upper].map((swimsAt): MovingBy<'retrieved'> => ({ ...moving, lineOutM: outM, swimsAt }))
  return tries.find((each) => keptShare(retrieve(setup, tow, each)) >= KEPT_SHARE.holds) ?? tries[0]!
}

/** The lead that keeps every bait of a kite in the water in gusts: the lightest at hand that is enough, else in whole steps, kg. */
export function kiteLeadFor(setup: Setup, moving: MovingBy<'kite'>, sinkersKg: readonly number[] = []): number | undefined {
  const told = moving.baits.map((bait) => flownBait(setup, moving, bait)).filter(isTold)
  if (told.length === 0) return undefined
  const neededKg = leadInStepsKg(Math.max(...told.map(({ gust }) => gust.leadMassKg)))
  return ownedFor(neededKg, sinkersKg) ?? neededKg
}

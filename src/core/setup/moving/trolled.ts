import type { MovingBy, SwimsAt } from '../../documents/moving.ts'
import type { Trace } from '../../documents/trace.ts'
import { CoreError } from '../../errors.ts'
import { findRoot } from '../../math/findRoot.ts'
import { type Towed, type TowedPlace, towed } from '../../physics/flown/towed.ts'
import { TOW_TOLERANCE, type Tow } from './tow.ts'

export type TrolledWay = MovingBy<'trolled'>

/** Samples of a curve by line out, and the least that is out, m. */
const SAMPLES = 14
const LEAST_M = 1
/** How closely a length of line out is found, m. */
const CLOSE_M = 0.05

/** How deep it is meant to swim where the water is so deep, m. */
export const wantedDepthM = (swimsAt: SwimsAt, waterM: number): number =>
  swimsAt.from === 'surface' ? swimsAt.m : Math.max(0, waterM - swimsAt.m)

/** The least water on the boat’s way, m. */
export const leastWaterM = ({ waterM, course = [] }: Pick<TrolledWay, 'waterM' | 'course'>): number =>
  Math.min(waterM, ...course.map(({ depthM }) => depthM))

/** What swims deepest of a line: what meets the bed first. */
export const deepestOf = (places: readonly TowedPlace[]): TowedPlace | undefined =>
  places.toSorted((a, b) => b.depthM - a.depthM)[0]

/**
 * What a trace does with so much line out at a speed.
 * @throws CoreError 'does-not-sink', 'blown-out'.
 */
export const trolledAt = (
  tow: Tow,
  { speedMperS, lineOutM }: Pick<TrolledWay, 'speedMperS' | 'lineOutM'>,
  weightTimes = 1,
  mainTimes = 1,
): Towed => towed(tow.line(lineOutM, weightTimes, mainTimes), speedMperS, { tolerance: TOW_TOLERANCE })

export type DepthPoint = { lineOutM: number; depthM: number }

/** Depth of what swims deepest, 0 where nothing takes it down. */
function depthAt(tow: Tow, speedMperS: number, lineOutM: number): number {
  try {
    return deepestOf(trolledAt(tow, { speedMperS, lineOutM }).places)?.depthM ?? 0
  } catch (error) {
    if (error instanceof CoreError && (error.code === 'does-not-sink' || error.code === 'blown-out')) return 0
    throw error
  }
}

/** Depth of what swims deepest by line out, from the trace alone to so much. */
export function depthByLineOut(tow: Tow, speedMperS: number, mostM: number): DepthPoint[] {
  const from = Math.max(LEAST_M, tow.traceM)
  const to = Math.max(from, Math.min(mostM, tow.mostM))
  return Array.from({ length: SAMPLES + 1 }, (_, i) => {
    const lineOutM = from + ((to - from) * i) / SAMPLES
    return { lineOutM, depthM: depthAt(tow, speedMperS, lineOutM) }
  })
}

/** Line out that takes the deepest to a depth, m; undefined where all of the line does not, or the trace alone is deeper. */
export function lineOutFor(tow: Tow, speedMperS: number, depthM: number): number | undefined {
  const over = (lineOutM: number) => depthAt(tow, speedMperS, lineOutM) - depthM
  const from = Math.max(LEAST_M, tow.traceM)
  if (over(from) > 0 || over(tow.mostM) < 0) return undefined
  return findRoot(over, from, tow.mostM, CLOSE_M)
}

/** Two lines, or legs, as they swim: how far apart in depth, along the way, and altogether, m. */
export type Apart = { deepM: number; alongM: number; apartM: number }

export const apartOf = (a: TowedPlace, b: TowedPlace): Apart => {
  const [deepM, alongM] = [b.depthM - a.depthM, b.setbackM - a.setbackM]
  return { deepM, alongM, apartM: Math.hypot(deepM, alongM) }
}

/** Speeds of two lines so far apart across as the boat turns: the inner one slower, the outer faster. */
export const inTurn = (speedMperS: number, apartM: number, radiusM: number): { innerMperS: number; outerMperS: number } => {
  const share = Math.min(0.9, apartM / 2 / radiusM)
  return { innerMperS: speedMperS * (1 - share), outerMperS: speedMperS * (1 + share) }
}

/** Two lines nearer than this take hold of each other, m; two legs of one trace, m. Ours. */
export const TANGLES_UNDER_M = { lines: 1, legs: 0.3 }

/** The two lures of a tandem as they swim; undefined without two. */
export function legsOf({ pieces }: Pick<Trace, 'pieces'>, places: readonly TowedPlace[]): [TowedPlace, TowedPlace] | undefined {
  const lures = pieces.filter(({ role }) => role === 'lure')
  const [first, second] = lures.flatMap(({ id }) => places.find((place) => place.id === id) ?? [])
  return first && second ? [first, second] : undefined
}

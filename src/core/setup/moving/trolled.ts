import type { MovingBy, SwimsAt } from '../../documents/moving.ts'
import type { Trace } from '../../documents/trace.ts'
import { CoreError } from '../../errors.ts'
import { findRoot } from '../../math/findRoot.ts'
import { type Towed, type TowedPlace, towed } from '../../physics/flown/towed.ts'
import { TOW_TOLERANCE, type Tow } from './tow.ts'

export type TrolledWay = MovingBy<'trolled'>

/** Samples of a curve by line out, and the least that is out, m. */
const SAMPLES = 14
const MIN_M = 1
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
  const from = Math.max(MIN_M, tow.traceM)
  const to = Math.max(from, Math.min(mostM, tow.mostM))
  return Array.from({ length: SAMPLES + 1 }, (_, i) => {
    const lineOutM = from + ((to - from) * i) / SAMPLES
    return { lineOutM, depthM: depthAt(tow, speedMperS, lineOutM) }
  })
}

/** Line out that takes the deepest to a depth, m; undefined where all of the line does not, or the trace alone is deeper. */
export function lineOutFor(tow: Tow, speedMperS: number, depthM: number): number | undefined {
  const over = (lineOutM: number) => depthAt(tow, speedMperS, lineOutM) - depthM
  const from = Math.max(MIN_M, tow.traceM)
  if (over(from) > 0 || over(tow.mostM) < 0) return undefined
  return findRoot(over, from, tow.mostM, CLOSE_M)
}

/** How far its rod’s tip is taken to be off the boat’s middle, where no second line tells, m. Nominal. */
export const TIP_OFF_M = 2
/** However tight a turn, so much of the speed is left or gained by a line off the middle. */
const MAX_SHARE = 0.9

/** Straight on, and in a turn with a line’s rod on the inside of it or on the outside. */
export type OnCourse = 'straight' | 'inside' | 'outside'
const COURSE: readonly OnCourse[] = ['straight', 'inside', 'outside']

/** How fast a line off the boat’s middle is drawn on each part of a course, m/s: inside a turn slower, outside faster. */
export function speedsOnCourse({
  speedMperS,
  beside,
  turnRadiusM,
}: Pick<TrolledWay, 'speedMperS' | 'beside' | 'turnRadiusM'>): Record<OnCourse, number> {
  const share = Math.min(MAX_SHARE, (beside ? beside.apartM / 2 : TIP_OFF_M) / turnRadiusM)
  return { straight: speedMperS, inside: speedMperS * (1 - share), outside: speedMperS * (1 + share) }
}

/** Two lines nearer than this take hold of each other, m; two legs of one trace, m. Ours. */
export const TANGLES_UNDER_M = { lines: 1, legs: 0.3 }

/** Two that are towed, on a part of the course, and how far they are from each other, m. */
export type Pair = { on: OnCourse; one: TowedPlace; other: TowedPlace; apartM: number }

function pairOf(on: OnCourse, one: TowedPlace | undefined, other: TowedPlace | undefined): Pair[] {
  if (!one || !other) return []
  return [{ on, one, other, apartM: Math.hypot(other.depthM - one.depthM, other.setbackM - one.setbackM) }]
}

/** The two lures of a tandem on each part of a course; none without two. @throws CoreError as `trolledAt` does. */
export function legsOnCourse({ pieces }: Pick<Trace, 'pieces'>, tow: Tow, way: TrolledWay): Pair[] {
  const [first, second] = pieces.filter(({ role }) => role === 'lure')
  if (!first || !second) return []
  const speeds = speedsOnCourse(way)
  return COURSE.flatMap((on) => {
    const { places } = trolledAt(tow, { ...way, speedMperS: speeds[on] })
    const placeOf = ({ id }: { id: string }) => places.find((place) => place.id === id)
    return pairOf(on, placeOf(first), placeOf(second))
  })
}

/**
 * What swims deepest on a line and on the second beside it, on each part of a course: inside a turn the second is outside it.
 * @throws CoreError as `trolledAt` does.
 */
export function linesOnCourse(tow: Tow, way: TrolledWay): Pair[] {
  const { beside, lineOutM } = way
  if (!beside) return []
  const speeds = speedsOnCourse(way)
  const across: Record<OnCourse, OnCourse> = { straight: 'straight', inside: 'outside', outside: 'inside' }
  const deepest = (on: OnCourse, outM: number, times: number) =>
    deepestOf(trolledAt(tow, { speedMperS: speeds[on], lineOutM: outM }, times).places)
  return COURSE.flatMap((on) => pairOf(on, deepest(on, lineOutM, 1), deepest(across[on], beside.lineOutM, beside.weightTimes)))
}

import type { Mark } from '../documents/mark.ts'
import type { Water } from '../documents/water.ts'
import { type Stream, streamOfTable } from '../physics/tide/stream.ts'
import { heightAtM, TIDE_HOURS, type TideSpan, tideHourAt } from '../physics/tide/tideSpan.ts'
import { strongestOf } from './assumedStream.ts'

/** Wind at an hour: its speed, and where it comes from, clockwise from north. */
export type Wind = { timeMs: number; speedMperS: number; fromDeg: number }
/** A mark at an instant. */
export type AtMark = {
  timeMs: number
  heightM: number
  depthM: number
  stream: Stream
  wind: Wind | undefined
  /** The wind blows against the stream and steepens the sea. */
  windOverTide: boolean
  water: Water
}

/** Way that a drifting boat makes over the wind's. Nominal, ours: 2 to 5 hundredths by its windage. */
const LEEWAY = 0.03
/** Wind against stream counts within so many degrees of dead against, from such speeds on, m/s. */
const AGAINST_DEG = 60
const MIN_WIND_MPERS = 5
const MIN_STREAM_MPERS = 0.3
const MIN_DEPTH_M = 1
/** The hour that stream tables end with, before and after high water. */
const LAST_HOUR = 6
const RAD = Math.PI / 180

/**
 * Depth, stream, wind and the water to settle in at a mark at an instant. A boat adrift goes with the stream at the surface and with
 * a share of the wind.
 * @param tide of the mark itself, see `tideAtMark`; undefined where it is unknown: the current is then the strongest at any hour.
 * @throws CoreError 'out-of-range' outside what is known of the tide.
 */
export function atMark(mark: Mark, tide: TideSpan | undefined, winds: readonly Wind[], timeMs: number): AtMark {
  const heightM = tide ? heightAtM(tide, timeMs) : 0
  const stream = streamAt(mark, tide, timeMs)
  const wind = windAt(winds, timeMs)
  const depthM = Math.max(MIN_DEPTH_M, mark.depthM + heightM)
  const { rateMperS } = stream
  return {
    timeMs,
    heightM,
    depthM,
    stream,
    wind,
    windOverTide: wind !== undefined && isOverTide(wind, stream),
    water: {
      method: mark.method,
      depthM,
      streamMperS: rateMperS,
      bed: mark.bed,
      scope: mark.scope,
      distanceM: mark.distanceM,
      weedFactor: mark.weedFactor,
      ...(mark.method === 'drift' ? driftOf(stream, wind) : { driftMperS: 0, driftAcrossMperS: 0 }),
    },
  }
}

/** Rate and set of the stream at a mark at an instant, see `streamsAt`. */
export const streamAt = (mark: StreamsOfMark, tide: TideSpan | undefined, timeMs: number): Stream => streamsAt(mark, tide)(timeMs)

type StreamsOfMark = Pick<Mark, 'stream' | 'streamFrom'>

/**
 * Rate and set of the stream at a mark, for many instants. Past the ends of its table, between six hours after one high water and six
 * before the next, the stream passes evenly from the one row to the other.
 */
export function streamsAt(mark: StreamsOfMark, tide: TideSpan | undefined): (timeMs: number) => Stream {
  if (!tide) return () => ({ rateMperS: strongestOf(mark.stream), directionDeg: null })
  const at = streamOfTable(mark.stream, tide)
  const inTide = (timeMs: number) => {
    const { hour, rangeM } = tideHourAt(tide, timeMs)
    if (Math.abs(hour) <= LAST_HOUR) return at(hour, rangeM)
    const gapHours = TIDE_HOURS - 2 * LAST_HOUR
    const past = hour > 0 ? hour - LAST_HOUR : hour + TIDE_HOURS - LAST_HOUR
    return between(at(LAST_HOUR, rangeM), at(-LAST_HOUR, rangeM), past / gapHours)
  }
  // Which way an assumed current runs is unknown.
  return mark.streamFrom === 'table' ? inTide : (timeMs) => ({ ...inTide(timeMs), directionDeg: null })
}

/** One stream turning into another: the velocity as a vector. */
function between(from: Stream, to: Stream, share: number): Stream {
  const mixed = (part: (angle: number) => number) =>
    (1 - share) * from.rateMperS * part((from.directionDeg ?? 0) * RAD) +
    share * to.rateMperS * part((to.directionDeg ?? 0) * RAD)
  const [north, east] = [mixed(Math.cos), mixed(Math.sin)]
  const rateMperS = Math.hypot(north, east)
  return rateMperS > 0
    ? { rateMperS, directionDeg: (Math.atan2(east, north) / RAD + 360) % 360 }
    : { rateMperS: 0, directionDeg: null }
}

/** The wind of the hour, or between two hours. */
function windAt(winds: readonly Wind[], timeMs: number): Wind | undefined {
  const after = winds.findIndex((wind) => wind.timeMs >= timeMs)
  const [high, low] = [winds[after], winds[Math.max(0, after - 1)]]
  if (!high || !low) return undefined
  const share = high.timeMs === low.timeMs ? 0 : (timeMs - low.timeMs) / (high.timeMs - low.timeMs)
  const asStream = ({ speedMperS, fromDeg }: Wind): Stream => ({ rateMperS: speedMperS, directionDeg: fromDeg })
  const { rateMperS, directionDeg } = between(asStream(low), asStream(high), share)
  return { timeMs, speedMperS: rateMperS, fromDeg: directionDeg ?? low.fromDeg }
}

function isOverTide({ speedMperS, fromDeg }: Wind, { rateMperS, directionDeg }: Stream): boolean {
  if (directionDeg === null || speedMperS < MIN_WIND_MPERS || rateMperS < MIN_STREAM_MPERS) return false
  return Math.cos((fromDeg - directionDeg) * RAD) >= Math.cos(AGAINST_DEG * RAD)
}

/** A drift with the stream, and with and across it by the wind. */
function driftOf({ rateMperS, directionDeg }: Stream, wind: Wind | undefined) {
  const leewayMperS = LEEWAY * (wind?.speedMperS ?? 0)
  const off = directionDeg === null ? 0 : ((wind?.fromDeg ?? 0) + 180 - directionDeg) * RAD
  return { driftMperS: rateMperS + leewayMperS * Math.cos(off), driftAcrossMperS: leewayMperS * Math.sin(off) }
}

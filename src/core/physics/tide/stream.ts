import { CoreError } from '../../errors.ts'
import { monotoneCubic } from '../../math/monotoneCubic.ts'

/** One row of a stream table: rates at springs and neaps, and where the stream sets, by the hour from high water. */
export type StreamRow = { hour: number; springMperS: number; neapMperS: number; directionDeg: number }
export type StreamInput = {
  hourFromHighWater: number
  tidalRangeM: number
  neapRangeM: number
  springRangeM: number
  table: readonly StreamRow[]
}
/** `directionDeg` is where it sets to, clockwise from north; null where there is no stream. */
export type Stream = { rateMperS: number; directionDeg: number | null }

/** Hours from high water that the end rows still hold for. */
const FARTHEST_HOUR = 6.5
/** By how much spring and neap ranges must differ for a day’s range to lie between them. */
const MIN_DIFFERENCE_M = 0.01
/** Rows no farther apart than this are of one hour; the first counts. */
const SAME_HOUR = 1e-6
/** A rate under this is none, m/s. */
const NO_RATE = 1e-12

/**
 * Rate and set of the stream at an hour from high water: each row scaled between neaps and springs by the day's range (extrapolated,
 * floored at nothing), and between rows east and north each by a monotone cubic, so that neither has a corner.
 * @throws CoreError 'hour-outside-table' beyond 6.5 hours; 'out-of-range' where the spring range does not exceed the neap's by
 * a centimetre.
 */
export const tideStream = ({ hourFromHighWater, tidalRangeM, table, ...ranges }: StreamInput): Stream =>
  streamOfTable(table, ranges)(hourFromHighWater, tidalRangeM)

/** The same of one table for many hours, each with its range. @throws CoreError as `tideStream`. */
export function streamOfTable(
  table: readonly StreamRow[],
  { neapRangeM, springRangeM }: Pick<StreamInput, 'neapRangeM' | 'springRangeM'>,
): (hourFromHighWater: number, tidalRangeM: number) => Stream {
  if (!(springRangeM >= neapRangeM + MIN_DIFFERENCE_M))
    throw new CoreError('out-of-range', 'The spring range must exceed the neap range by a centimetre', { value: springRangeM })
  const rows = table
    .toSorted((a, b) => a.hour - b.hour)
    .filter((row, i, all) => i === 0 || row.hour - all[i - 1]!.hour > SAME_HOUR)
  const hours = rows.map((row) => row.hour)
  const [easts, norths] = [Math.sin, Math.cos].map((of) => rows.map((row) => of((row.directionDeg * Math.PI) / 180)))
  return (hour, tidalRangeM) => {
    if (!(Math.abs(hour) <= FARTHEST_HOUR))
      throw new CoreError('hour-outside-table', `${hour} hours from high water is outside the table`, { value: hour })
    const share = (tidalRangeM - neapRangeM) / (springRangeM - neapRangeM)
    const rateOf = ({ springMperS, neapMperS }: StreamRow) => Math.max(0, neapMperS + share * (springMperS - neapMperS))
    const part = (parts: readonly number[]) => monotoneCubic(hours, (i) => rateOf(rows[i]!) * parts[i]!, hour)
    const [east, north] = [part(easts!), part(norths!)]
    const rateMperS = Math.hypot(east, north)
    if (rateMperS < NO_RATE) return { rateMperS: 0, directionDeg: null }
    return { rateMperS, directionDeg: ((Math.atan2(east, north) * 180) / Math.PI + 360) % 360 }
  }
}

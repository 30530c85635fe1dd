import { CoreError } from '../errors.ts'
import { DAY_MS } from './durations.ts'

/** Years that tides are predicted for. */
export const FIRST_YEAR = 1950
export const LAST_YEAR = 2100
const FROM_MS = Date.UTC(FIRST_YEAR, 0, 1)
/** The last year's end; a day more on each side lets any zone have its first and last day. */
const TO_MS = Date.UTC(LAST_YEAR + 1, 0, 1)

/**
 * @throws CoreError 'out-of-range' for an instant outside 1950 to 2100, in any time zone.
 */
export function assertInYears(timeMs: number): void {
  if (!(timeMs >= FROM_MS - DAY_MS && timeMs <= TO_MS + DAY_MS))
    throw new CoreError('out-of-range', `Tides are predicted from ${FIRST_YEAR} to ${LAST_YEAR}`, {
      value: Number.isFinite(timeMs) ? new Date(timeMs).toISOString() : String(timeMs),
    })
}

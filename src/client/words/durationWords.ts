import { DAY_MS, HOUR_MS, MINUTE_MS } from '../../core/time/durations.ts'

/** A length of time as it is said: minutes, then hours and minutes, then days. */
export function durationWords(ms: number): string {
  if (ms >= 2 * DAY_MS) return `${Math.round(ms / DAY_MS)} days`
  const minutes = Math.max(0, Math.floor(ms / MINUTE_MS))
  const hours = Math.floor(ms / HOUR_MS)
  if (hours === 0) return `${minutes} min`
  const rest = minutes - 60 * hours
  return rest === 0 ? `${hours} h` : `${hours} h ${rest} min`
}

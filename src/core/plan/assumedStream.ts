import type { Mark } from '../documents/mark.ts'
import { TIDE_HOURS } from '../physics/tide/tideSpan.ts'

/** The strongest current as people say it, m/s. Nominal, ours. */
export const STREAM_WORDS = {
  none: { name: 'none', mPerS: 0 },
  walks: { name: 'a plain sinker walks', mPerS: 0.5 },
  hard: { name: 'hard to hold', mPerS: 0.9 },
  twoKnots: { name: 'about 2 knots', mPerS: 1.03 },
} as const satisfies Record<string, { name: string; mPerS: number }>
export type StreamWord = keyof typeof STREAM_WORDS

/** Hours from high water at which the current of a table is strongest. */
const PEAK_HOUR = 3
const rateAt = (hour: number) => Math.abs(Math.sin((2 * Math.PI * hour) / TIDE_HOURS))

/** The current at neaps over that at springs, where only the strongest is known. Nominal, ours. */
const NEAP_SHARE = 0.5

/**
 * A current table where only the strongest is known, m/s. With a tide it is strongest half-way between high and low water and slack at
 * both, and goes the other way after high water; without one it is as strong at any hour.
 */
export const assumedStream = (strongestMperS: number, isWithTide: boolean): Mark['stream'] =>
  Array.from({ length: 13 }, (_, i) => {
    const hour = i - 6
    const share = isWithTide ? rateAt(hour) / rateAt(PEAK_HOUR) : 1
    return {
      hour,
      springMperS: strongestMperS * share,
      neapMperS: strongestMperS * share * (isWithTide ? NEAP_SHARE : 1),
      directionDeg: isWithTide && hour > 0 ? 180 : 0,
    }
  })

/** The strongest current of a table, m/s. */
export const strongestOf = (stream: Mark['stream']): number => Math.max(...stream.map(({ springMperS }) => springMperS))

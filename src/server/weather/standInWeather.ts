import { HOUR_MS } from '../../core/time/durations.ts'
import type { WeatherSource } from './weatherSource.ts'

/** Waves of the invented wind: period in hours, phase, and what each adds, m/s to the east and north. */
const WAVES = [
  { hours: 107, phase: 0.7, east: 3.6, north: 1.4 },
  { hours: 61, phase: 2.1, east: 1.1, north: 3.1 },
  { hours: 23, phase: 4.4, east: 1.6, north: 0.9 },
  { hours: 9, phase: 1.3, east: 0.7, north: 0.8 },
] as const
/** The wind that mostly blows there: from the west-south-west. */
const MEAN = { east: 3.2, north: 1.5 }
/** How far the waves are moved on for a degree of longitude. */
const PHASE_PER_DEG = 0.35

/** An invented wind, the same for the same place and hour; stands in for a forecast. */
export const standInWeather: WeatherSource = {
  wind: async ({ longitudeDeg }, fromMs, toMs) => {
    const first = Math.floor(fromMs / HOUR_MS)
    const count = Math.ceil(toMs / HOUR_MS) - first + 1
    return Array.from({ length: count }, (_, i) => {
      const hour = first + i
      const swings = WAVES.map(({ hours, phase, east, north }) => {
        const swing = Math.sin((2 * Math.PI * hour) / hours + phase + PHASE_PER_DEG * longitudeDeg)
        return { east: east * swing, north: north * swing }
      })
      const east = MEAN.east + swings.reduce((sum, swing) => sum + swing.east, 0)
      const north = MEAN.north + swings.reduce((sum, swing) => sum + swing.north, 0)
      const towardsDeg = (Math.atan2(east, north) * 180) / Math.PI
      return { timeMs: hour * HOUR_MS, speedMperS: Math.hypot(east, north), fromDeg: (towardsDeg + 540) % 360 }
    })
  },
}

import type { LatLon } from '../../core/physics/sky/sky.ts'
import type { Wind } from '../../core/plan/atMark.ts'

/** Where the wind comes from, by the hour: a forecast service, or the stand-in that ships. */
export type WeatherSource = {
  /** Every hour from the one before `fromMs` to the one after `toMs`. */
  wind: (place: LatLon, fromMs: number, toMs: number) => Promise<Wind[]>
}

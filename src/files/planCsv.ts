import type { PlanRow } from '../core/plan/planDay.ts'
import { clockIn, dateIn } from '../core/time/localDay.ts'
import { QUANTITIES } from '../core/units/quantities.ts'
import { writeCsv } from './writeCsv.ts'

const KN = QUANTITIES.speed.units.kn

/** A day's timetable as a table: clock times of the mark's zone, and every figure in the unit its column names. */
export function writePlanCsv(rows: readonly PlanRow[], timeZone: string): string {
  const round = (value: number | undefined, decimals: number) => (value === undefined ? '' : Number(value.toFixed(decimals)))
  const table = rows.map(({ timeMs, heightM, depthM, stream, wind, windOverTide, wanted, take }) => ({
    date: dateIn(timeZone, timeMs),
    time: clockIn(timeZone, timeMs),
    utc: new Date(timeMs).toISOString(),
    height_m: round(heightM, 2),
    depth_m: round(depthM, 1),
    stream_kn: round(stream.rateMperS / KN, 2),
    sets_deg: round(stream.directionDeg ?? undefined, 0),
    wind_kn: round(wind && wind.speedMperS / KN, 0),
    wind_from_deg: round(wind?.fromDeg, 0),
    wind_over_tide: windOverTide ? 'yes' : 'no',
    least_g: 'neededKg' in wanted ? round(1000 * wanted.neededKg, 0) : '',
    wanted_g: 'wantedKg' in wanted ? round(1000 * wanted.wantedKg, 0) : '',
    take_g: take ? round(1000 * take.massKg, 0) : '',
    shape: take?.shape ?? '',
    note: 'trouble' in wanted ? wanted.trouble : take ? '' : 'no sinker in the box holds',
  }))
  return writeCsv(table)
}

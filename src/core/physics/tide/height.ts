import { createTidePredictor, constituents as KNOWN } from '@neaps/tide-predictor'
import { assertInYears } from '../../time/years.ts'

/** One constituent of a port's tide: its half-range, and its lag g behind Greenwich’s argument. */
export type Constituent = { name: string; amplitudeM: number; phaseDeg: number }
/** A port's tide: the mean level over chart datum, and its constituents. */
export type Harmonics = { meanLevelM: number; constituents: readonly Constituent[] }

/** A port's tide written as rows of name, amplitude in metres, and lag in degrees. */
export const harmonicsOf = (meanLevelM: number, rows: readonly (readonly [string, number, number])[]): Harmonics => ({
  meanLevelM,
  constituents: rows.map(([name, amplitudeM, phaseDeg]) => ({ name, amplitudeM, phaseDeg })),
})

export type HeightPoint = { timeMs: number; heightM: number }
/** High or low water. */
export type Turn = HeightPoint & { kind: 'high' | 'low' }

/** Whether a name is that of a constituent whose argument is known, as `M2`. */
export const isConstituent = (name: string) => Object.hasOwn(KNOWN, name)

/**
 * Height of the tide over chart datum at an instant, `h = Z0 + Σ f H cos(V0 + u − g)`.
 * @throws CoreError 'out-of-range' outside 1950 to 2100.
 * Source: IHO list of tidal constituents with nodal corrections f, u. Valid: astronomical tide; no surge, no shallow-water
 * constituents but those given.
 */
export function tideHeightM(harmonics: Harmonics, timeMs: number): number {
  assertInYears(timeMs)
  // The library's own water level at a time is that of the ten minutes before it: a timeline of seconds is to the second.
  const second = { start: new Date(timeMs), end: new Date(timeMs + 1_000), timeFidelity: 1 }
  return predictorOf(harmonics).getTimelinePrediction(second)[0]!.level
}

/** Heights every so many seconds, on even steps of the clock; both ends lie in them. */
export function heightsThrough(harmonics: Harmonics, fromMs: number, toMs: number, stepS: number): HeightPoint[] {
  return predictorOf(harmonics)
    .getTimelinePrediction({ start: new Date(fromMs), end: new Date(toMs), timeFidelity: stepS })
    .map(({ time, level }) => ({ timeMs: time.getTime(), heightM: level }))
}

/** High and low waters between two instants, in order. */
export function turnsThrough(harmonics: Harmonics, fromMs: number, toMs: number): Turn[] {
  return predictorOf(harmonics)
    .getExtremesPrediction({ start: new Date(fromMs), end: new Date(toMs) })
    .map(({ time, level, high }) => ({ timeMs: time.getTime(), heightM: level, kind: high ? 'high' : 'low' }))
}

/** Mean ranges at springs and neaps, `2 (M2 ± S2)`, m. */
export function meanRangesM({ constituents }: Harmonics): { springRangeM: number; neapRangeM: number } {
  const of = (wanted: string) => constituents.find(({ name }) => name === wanted)?.amplitudeM ?? 0
  return { springRangeM: 2 * (of('M2') + of('S2')), neapRangeM: 2 * Math.abs(of('M2') - of('S2')) }
}

function predictorOf({ meanLevelM, constituents }: Harmonics) {
  return createTidePredictor(
    constituents.map(({ name, amplitudeM, phaseDeg }) => ({ name, amplitude: amplitudeM, phase: phaseDeg })),
    { offset: meanLevelM },
  )
}

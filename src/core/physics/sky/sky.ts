import { getMoonIllumination, getMoonPosition, getPosition } from 'suncalc'
import { findRoot } from '../../math/findRoot.ts'

export type LatLon = { latitudeDeg: number; longitudeDeg: number }
export type SkyEvent = 'dawn' | 'sunrise' | 'sunset' | 'dusk' | 'moonrise' | 'moonset'
export type Span = { fromMs: number; toMs: number }
export type Sky = {
  events: { kind: SkyEvent; timeMs: number }[]
  /** Sun more than six degrees under the horizon. */
  night: Span[]
  /** Night without a moon: dusk to moonrise, moonset to dawn. */
  dark: Span[]
  /** At the middle of the span. `phase` 0 new, 0.5 full. */
  moon: { phase: number; litShare: number; waxing: boolean }
}

const STEP_MS = 10 * 60_000
/** Refraction at the horizon, which the library adds to every height at or under it, degrees. */
const REFRACTION_DEG = 0.484
/** Centre of the sun when its edge shows, and at dusk by civil twilight, degrees. */
const SUN_EDGE_DEG = -0.833
const DUSK_DEG = -6
/** Root of a height in time, ms. */
const TOLERANCE_MS = 500
/** Earth's radius over the moon's distance is its parallax; the moon's radius is 0.2725 of the earth's. */
const EARTH_RADIUS_KM = 6378.14
const MOON_OVER_EARTH = 0.2725
/** The refraction of half a degree and more that almanacs take for the moon, over the library's. */
const MOON_REFRACTION_DEG = 0.09

const DEG = 180 / Math.PI

/**
 * What the sun and moon do between two instants at a place: risings, settings, civil dawn and dusk, and the hours that are dark.
 * Source: J. Meeus, Astronomical Algorithms, in short series. Valid: to about a minute below the polar circles.
 */
export function skyThrough({ latitudeDeg: lat, longitudeDeg: lon }: LatLon, { fromMs, toMs }: Span): Sky {
  const sun = (timeMs: number) => getPosition(new Date(timeMs), lat, lon).altitude - REFRACTION_DEG
  const moonEdge = (timeMs: number) => {
    const { altitude, distance } = getMoonPosition(new Date(timeMs), lat, lon)
    return altitude + MOON_OVER_EARTH * Math.asin(EARTH_RADIUS_KM / distance) * DEG + MOON_REFRACTION_DEG
  }
  const steps = Array.from({ length: Math.ceil((toMs - fromMs) / STEP_MS) + 1 }, (_, i) => Math.min(toMs, fromMs + i * STEP_MS))
  const suns = steps.map(sun)
  const [edges, dusks] = [SUN_EDGE_DEG, DUSK_DEG].map((level) => crossings(sun, level, steps, suns))
  const moons = crossings(moonEdge, 0, steps, steps.map(moonEdge))
  const events = [
    ...edges!.map(({ timeMs, up }) => ({ kind: up ? ('sunrise' as const) : ('sunset' as const), timeMs })),
    ...dusks!.map(({ timeMs, up }) => ({ kind: up ? ('dawn' as const) : ('dusk' as const), timeMs })),
    ...moons.map(({ timeMs, up }) => ({ kind: up ? ('moonrise' as const) : ('moonset' as const), timeMs })),
  ].toSorted((a, b) => a.timeMs - b.timeMs)
  const marks = [fromMs, ...[...dusks!, ...moons].map(({ timeMs }) => timeMs).toSorted((a, b) => a - b), toMs]
  const spansWhere = (holds: (timeMs: number) => boolean) =>
    joined(
      marks.slice(1).map((end, i) => ({ fromMs: marks[i]!, toMs: end })),
      (span) => span.toMs > span.fromMs && holds((span.fromMs + span.toMs) / 2),
    )
  const { phase, fraction, waxing } = getMoonIllumination(new Date((fromMs + toMs) / 2))
  return {
    events,
    night: spansWhere((timeMs) => sun(timeMs) < DUSK_DEG),
    dark: spansWhere((timeMs) => sun(timeMs) < DUSK_DEG && moonEdge(timeMs) < 0),
    moon: { phase, litShare: fraction, waxing },
  }
}

/** When a height passes a level, from what it is at even steps. */
function crossings(
  height: (timeMs: number) => number,
  level: number,
  steps: readonly number[],
  heights: readonly number[],
): { timeMs: number; up: boolean }[] {
  const over = (timeMs: number) => height(timeMs) - level
  return steps.slice(1).flatMap((end, i) => {
    const [before, after] = [heights[i]! - level, heights[i + 1]! - level]
    if (before > 0 === after > 0) return []
    return [{ timeMs: findRoot(over, steps[i]!, end, TOLERANCE_MS), up: after > 0 }]
  })
}

/** Spans that hold, those that touch joined. */
function joined(spans: readonly Span[], holds: (span: Span) => boolean): Span[] {
  const kept: Span[] = []
  for (const span of spans) {
    if (!holds(span)) continue
    const last = kept.at(-1)
    if (last?.toMs === span.fromMs) last.toMs = span.toMs
    else kept.push({ ...span })
  }
  return kept
}

const PHASES = [
  'new moon',
  'waxing crescent',
  'first quarter',
  'waxing moon',
  'full moon',
  'waning moon',
  'last quarter',
  'waning crescent',
]

/** What a phase of the moon is called; 0 new, 0.5 full. */
export const phaseName = (phase: number) => PHASES[Math.round(phase * 8) % 8]!

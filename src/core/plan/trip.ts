import type { MarkKind } from '../documents/mark.ts'
import type { TripEvent } from '../documents/observation.ts'
import type { Trip, TripRod } from '../documents/trip.ts'
import { DAY_MS } from '../time/durations.ts'
import { instantAt, type LocalDay, localDay } from '../time/localDay.ts'

/** The hours of a trip as instants; hours that end before they begin end the next day. */
export function tripSpan(
  { date, from, to }: Pick<Trip, 'date' | 'from' | 'to'>,
  timeZone: string,
): { fromMs: number; toMs: number } {
  const fromMs = instantAt(date, from, timeZone)
  const sameDayMs = instantAt(date, to, timeZone)
  if (sameDayMs > fromMs) return { fromMs, toMs: sameDayMs }
  return { fromMs, toMs: instantAt(dayAfter(date), to, timeZone) }
}

/** The day of a trip, with the hours past midnight that it has. */
export function tripDay(trip: Pick<Trip, 'date' | 'from' | 'to'>, timeZone: string): LocalDay {
  const day = localDay(trip.date, timeZone)
  return { ...day, endMs: Math.max(day.endMs, tripSpan(trip, timeZone).toMs) }
}

/** The time at one mark of a trip. */
export type Visit = { markId: string; fromMs: number; toMs: number }

/**
 * When a trip is at which mark. A mark with an hour begins then; those between share the time evenly. An hour outside those of the trip,
 * or before the one ahead of it, counts as none.
 */
export function visitsOf(trip: Pick<Trip, 'date' | 'from' | 'to' | 'marks'>, timeZone: string): Visit[] {
  const { fromMs, toMs } = tripSpan(trip, timeZone)
  const begins: (number | undefined)[] = []
  let lastMs = fromMs
  for (const [i, { from }] of trip.marks.entries()) {
    const atMs = i === 0 ? fromMs : from && afterMs(fromMs, trip.date, from, timeZone)
    const isIn = atMs && atMs >= lastMs && atMs < toMs
    begins.push(isIn ? atMs : undefined)
    if (isIn) lastMs = atMs
  }
  for (let i = 0; i < begins.length; i += 1) {
    if (begins[i] !== undefined) continue
    const before = begins[i - 1] ?? fromMs
    const next = begins.findIndex((at, j) => j > i && at !== undefined)
    const until = next < 0 ? toMs : begins[next]!
    begins[i] = before + (until - before) / ((next < 0 ? begins.length : next) - i + 1)
  }
  return trip.marks.map(({ id }, i) => ({ markId: id, fromMs: begins[i]!, toMs: begins[i + 1] ?? toMs }))
}

/** A clock time as the first instant of it at or after another. */
function afterMs(startMs: number, date: string, clock: string, timeZone: string): number {
  const sameDayMs = instantAt(date, clock, timeZone)
  return sameDayMs >= startMs ? sameDayMs : instantAt(dayAfter(date), clock, timeZone)
}

const dayAfter = (date: string): string => new Date(Date.parse(date) + DAY_MS).toISOString().slice(0, 10)

/** How long a bait stays on the bottom, minutes, and what is taken beyond that. Working values of the craft: 15 to 30 minutes, a quarter in reserve. */
export const DEFAULT_BAIT_MINUTES = 20
const BAIT_RESERVE = 1.25

/** Baits for some hooks through some hours, with a reserve. Half a fish makes two. */
export function baitsFor(hooks: number, hours: number, minutes: number = DEFAULT_BAIT_MINUTES): number {
  return Math.max(0, Math.ceil(hooks * Math.ceil((hours * 60) / minutes) * BAIT_RESERVE - 1e-9))
}

export type TripCaution = 'wayBack' | 'lifeJacket' | 'alone' | 'localRules'

/** What to take care of on a trip, by the kinds of its marks and how many people go. */
export const tripCautions = (kinds: readonly (MarkKind | undefined)[], people: number): TripCaution[] => [
  ...(kinds.some((kind) => kind === 'rock' || kind === 'beach') ? ['wayBack' as const] : []),
  ...(kinds.some((kind) => kind === 'boat' || kind === 'rock' || kind === 'pier') ? ['lifeJacket' as const] : []),
  ...(people < 2 ? ['alone' as const] : []),
  'localRules',
]

/** What is on a rod now, and what happened on it. */
export type RodNow = {
  trace: TripRod['trace']
  tiedId: string | undefined
  sinkerKg: number | undefined
  bait: string | undefined
  /** When it was cast last, ms; undefined since it came in with something. */
  castMs: number | undefined
  counts: Readonly<Partial<Record<TripEvent['what']['type'], number>>>
}

/** A rod as it is after the events of a trip, in the order in which they happened. */
export function rodNow(rod: TripRod, events: readonly TripEvent[]): RodNow {
  const counts: Partial<Record<TripEvent['what']['type'], number>> = {}
  const now: RodNow = {
    trace: rod.trace,
    tiedId: rod.tiedId,
    sinkerKg: rod.sinkerKg,
    bait: undefined,
    castMs: undefined,
    counts,
  }
  for (const { rod: on, at, what } of events) {
    if (on !== rod.id) continue
    counts[what.type] = (counts[what.type] ?? 0) + 1
    if (what.type === 'cast') now.castMs = Date.parse(at)
    if (what.type === 'snag' && what.lost !== 'nothing') now.sinkerKg = undefined
    if (what.type === 'changed') {
      if (what.part === 'sinker') now.sinkerKg = what.massKg
      if (what.part === 'bait') now.bait = what.to
      if (what.part === 'trace') now.tiedId = what.tiedId
    }
  }
  return now
}

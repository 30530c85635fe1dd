import type { MarkKind } from '../documents/mark.ts'
import type { TripEvent } from '../documents/observation.ts'
import type { Trip, TripRod } from '../documents/trip.ts'
import { DAY_MS } from '../time/durations.ts'
import { instantAt } from '../time/localDay.ts'

/** The hours of a trip as instants; hours that end before they begin end the next day. */
export function tripSpan(
  { date, from, to }: Pick<Trip, 'date' | 'from' | 'to'>,
  timeZone: string,
): { fromMs: number; toMs: number } {
  const fromMs = instantAt(date, from, timeZone)
  const sameDayMs = instantAt(date, to, timeZone)
  if (sameDayMs > fromMs) return { fromMs, toMs: sameDayMs }
  const nextDay = new Date(Date.parse(date) + DAY_MS).toISOString().slice(0, 10)
  return { fromMs, toMs: instantAt(nextDay, to, timeZone) }
}

/** How long a bait stays on the bottom, minutes, and what is taken beyond that. Working values of the craft: 15 to 30 minutes, a quarter in reserve. */
export const DEFAULT_BAIT_MINUTES = 20
const BAIT_RESERVE = 1.25

/** Baits for some hooks through some hours, with a reserve. Half a fish makes two. */
export function baitsFor(hooks: number, hours: number, minutes: number = DEFAULT_BAIT_MINUTES): number {
  return Math.max(0, Math.ceil(hooks * Math.ceil((hours * 60) / minutes) * BAIT_RESERVE - 1e-9))
}

export type TripCaution = 'wayBack' | 'lifeJacket' | 'alone' | 'localRules'

/** What to take care of on a trip, by the kind of its first mark and how many people go. */
export const tripCautions = (kind: MarkKind | undefined, people: number): TripCaution[] => [
  ...(kind === 'rock' || kind === 'beach' ? ['wayBack' as const] : []),
  ...(kind === 'boat' || kind === 'rock' || kind === 'pier' ? ['lifeJacket' as const] : []),
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

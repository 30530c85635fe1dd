import { stageOf, type Trip } from '../documents/trip.ts'
import { HOUR_MS } from '../time/durations.ts'
import { tripSpan } from './trip.ts'

type Stored = { id: string; content: Trip }

/** The trip to look at: the one under way, else the first that is not over; undefined where there is none. `zoneOf` gives the zone of a mark. */
export function nextTrip<T extends Stored>(
  trips: readonly T[],
  zoneOf: (markId: string | undefined) => string,
  nowMs: number,
): T | undefined {
  const open = trips
    .filter(({ content }) => stageOf(content) !== 'ended')
    .map((trip) => ({ trip, ...tripSpan(trip.content, zoneOf(trip.content.marks[0]?.id)) }))
    .sort((a, b) => a.fromMs - b.fromMs)
  const underWay = open.findLast(({ trip, toMs }) => stageOf(trip.content) === 'underWay' && toMs > nowMs - LATE_MS)
  return (underWay ?? open.find(({ toMs }) => toMs > nowMs))?.trip
}

/** A trip that nobody ended counts as under way for so long after its hours, ms. */
const LATE_MS = 6 * HOUR_MS

/** The trip that ended last; undefined where none has. */
export const lastTrip = <T extends Stored>(trips: readonly T[]): T | undefined =>
  trips
    .filter(({ content }) => stageOf(content) === 'ended')
    .reduce<T | undefined>((last, trip) => (last && last.content.date >= trip.content.date ? last : trip), undefined)

/** Without a trip to come, the mark to look at: that of the last trip, else one that a trace is made for, else any; undefined where there is none. */
export function usualMark<T extends { id: string }>(
  marks: readonly T[],
  trips: readonly Stored[],
  madeFor: readonly (string | null)[],
): T | undefined {
  const last = trips.toSorted((a, b) => b.content.date.localeCompare(a.content.date))[0]?.content.marks[0]?.id
  return marks.find(({ id }) => id === last) ?? marks.find(({ id }) => madeFor.includes(id)) ?? marks[0]
}

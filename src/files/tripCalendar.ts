import ical from 'ical-generator'
import { oneLine } from './planCalendar.ts'

/** A part of a trip: the hours, at a mark. */
export type TripEntry = { fromMs: number; toMs: number; title: string; place: string }

/**
 * A trip as iCalendar, an entry for each mark.
 * @param about the plan as text.
 * @param stampMs when it was made; the calendar's own form wants it.
 */
export function writeTripCalendar(name: string, about: string, entries: readonly TripEntry[], stampMs: number): string {
  const calendar = ical({ name: oneLine(name), prodId: { company: 'Wide Reach', product: 'trip', language: 'EN' } })
  for (const { fromMs, toMs, title, place } of entries)
    calendar.createEvent({
      // The same trip taken in twice replaces its entries, as their ids are the same.
      id: `${fromMs}-trip@wide-reach.invalid`,
      stamp: new Date(stampMs),
      start: new Date(fromMs),
      end: new Date(toMs),
      summary: oneLine(title),
      location: oneLine(place),
      description: about,
    })
  return calendar.toString()
}

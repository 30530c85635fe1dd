import ical from 'ical-generator'
import type { DayEvent } from '../core/plan/dayEvents.ts'

/** A calendar entry's length: long enough to be seen in a day, ms. */
const LENGTH_MS = 10 * 60_000

/**
 * A day's plan as iCalendar, an entry for each event.
 * @param wordsOf what an event is called, in the reader's own units.
 * @param stampMs when the plan was made; the calendar's own form wants it.
 */
export function writeCalendar(
  day: { title: string; place: string; notes: string },
  events: readonly DayEvent[],
  wordsOf: (event: DayEvent) => string,
  stampMs: number,
): string {
  const calendar = ical({ name: oneLine(day.title), prodId: { company: 'Wide Reach', product: 'day plan', language: 'EN' } })
  for (const event of events)
    calendar.createEvent({
      // The same plan taken in twice replaces its entries, as their ids are the same.
      id: `${event.timeMs}-${event.kind}@wide-reach.invalid`,
      stamp: new Date(stampMs),
      start: new Date(event.timeMs),
      end: new Date(event.timeMs + LENGTH_MS),
      summary: oneLine(wordsOf(event)),
      location: oneLine(day.place),
      description: day.notes,
    })
  return calendar.toString()
}

/** A line break in a name would begin a line of the calendar’s own. */
export const oneLine = (text: string): string => text.replace(/\p{Cc}+/gu, ' ')

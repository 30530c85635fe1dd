import { expect, test } from 'vitest'
import { observationSchema, type TripEvent } from '../../src/core/documents/observation.ts'
import { stageOf } from '../../src/core/documents/trip.ts'
import { demoEvents, demoTrips } from '../../src/server/demo/trips.ts'

const TODAY = '2026-11-30'
const events = demoEvents(TODAY)
const trips = demoTrips(TODAY)

test('ten trips are over and one is tomorrow; drawn again, on another day too, each is the same', () => {
  expect(trips.map(({ content }) => stageOf(content))).toEqual([...Array.from({ length: 10 }, () => 'ended'), 'planned'])
  expect(trips.at(-1)!.content.date).toBe('2026-12-01')
  expect(demoEvents(TODAY)).toEqual(events)
  expect(demoTrips('2027-06-15').map(({ id }) => id)).toEqual(trips.map(({ id }) => id))
  for (const event of events) expect(observationSchema.safeParse(event).error).toBeUndefined()
  expect(new Set(events.map(({ id }) => id)).size).toBe(events.length)
})

test('two knots break more often than was said, and one mark holds less', () => {
  const breaks = events.filter(({ what }) => what.type === 'break')
  const isWorse = (link: string | undefined) => /^(hook|hook-[ab]|tail|snood-[ab])\.joint$/.test(link ?? '')
  const seen = breaks.filter(({ what }) => 'link' in what && isWorse(what.link)).length
  const predicted = breaks
    .filter(({ what }) => 'link' in what && what.link !== undefined)
    .reduce((sum, { told }) => sum + told!.first!.reduce((all, { link, chance }) => all + (isWorse(link) ? chance : 0), 0), 0)
  expect(seen).toBeGreaterThan(1.5 * predicted)
  const ledge = trips.find(({ content }) => content.name.startsWith('Long Ledge'))!.content.marks[0]!.id
  const shareHeld = (at: readonly TripEvent[]) => {
    const looked = at.filter(({ what }) => what.type === 'held' || what.type === 'dragged')
    return {
      said: looked.reduce((sum, { told }) => sum + told!.holds!, 0) / looked.length,
      was: looked.filter(({ what }) => what.type === 'held').length / looked.length,
    }
  }
  const worse = shareHeld(events.filter(({ markId }) => markId === ledge))
  const others = shareHeld(events.filter(({ markId }) => markId !== ledge))
  expect(worse.was).toBeLessThan(worse.said - 0.1)
  expect(Math.abs(others.was - others.said)).toBeLessThan(0.15)
})

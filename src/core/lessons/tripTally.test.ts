import { describe, expect, test } from 'vitest'
import { draftOf } from '../../../tests/fixtures/drafts.ts'
import { braidOutfit } from '../../../tests/fixtures/outfits.ts'
import { catalogue } from '../../../tests/fixtures/setups.ts'
import { HOUR_MS, MARK, tideOfDay } from '../../../tests/fixtures/tides.ts'
import { toldOf } from '../analysis/told.ts'
import { defaultConditions } from '../documents/conditions.ts'
import type { TripEvent } from '../documents/observation.ts'
import type { Trip } from '../documents/trip.ts'
import type { Happening } from '../documents/tripEvent.ts'
import { skyThrough } from '../physics/sky/sky.ts'
import { heightAtM } from '../physics/tide/tideSpan.ts'
import { dayAtMark } from '../plan/dayAtMark.ts'
import { wholeReplacement } from '../setup/replacement.ts'
import type { Dimension } from './counts.ts'
import { tallyTrip } from './tripTally.ts'

const outfit = braidOutfit(50)
const setup = { ...draftOf('runningLedger', outfit, { ...defaultConditions(), castStyle: 'none' }), outfit, catalogue }
const { told, links } = toldOf(setup)
const MARK_ID = '6386e4a5-fa15-4f85-9a3a-25676b972465'
const DATE = '2026-11-24'
const tide = tideOfDay(DATE)
const trip: Trip = {
  formatVersion: 1,
  name: 'one',
  date: DATE,
  from: '06:00',
  to: '11:00',
  marks: [{ id: MARK_ID }],
  people: [],
  rods: [
    { id: 'a', outfitId: MARK_ID, trace: { id: MARK_ID, revision: 1 } },
    { id: 'b', outfitId: MARK_ID, trace: { id: MARK_ID, revision: 1 } },
  ],
  packing: [],
  startedAt: `${DATE}T06:00:00.000Z`,
  endedAt: `${DATE}T11:00:00.000Z`,
}
const mark = { ...MARK, timeZone: 'UTC' }

const ids = Array.from({ length: 99 }, (_, i) => `00000000-0000-4000-8000-${String(i).padStart(12, '0')}`)
const event = (clock: string, what: Happening, rod = 'a', more: Partial<TripEvent> = {}): TripEvent => ({
  formatVersion: 1,
  kind: 'event',
  id: ids.pop()!,
  at: `${DATE}T${clock}:00.000Z`,
  tripId: MARK_ID,
  markId: MARK_ID,
  rod,
  what,
  told,
  ...more,
})
const tally = (events: TripEvent[], of: Trip = trip) =>
  tallyTrip({ trip: of, events, marks: new Map([[MARK_ID, mark]]), setupOf: () => setup, portOf: () => tide })
const counted = (events: TripEvent[], by: Dimension, of: Trip = trip) =>
  Object.fromEntries(
    tally(events, of)
      .counts.filter((each) => each.by === by)
      .map(({ value, counts }) => [value, counts]),
  )

describe('hours', () => {
  test('are those of each rod, and by tide, bait and light they add up to all', () => {
    const all = counted([], 'all').all!
    expect(all.hours).toBeCloseTo(10, 9)
    for (const by of ['tide', 'light', 'bait', 'hook', 'change', 'mark'] as const) {
      const parts = Object.values(counted([], by))
      expect(parts.length, by).toBeGreaterThan(0)
      expect(
        parts.reduce((sum, { hours }) => sum + hours, 0),
        by,
      ).toBeCloseTo(10, 9)
    }
  })

  test('by light are those of the sky: dark only at night, twilight on both sides of where it begins', () => {
    const night: Trip = {
      ...trip,
      from: '14:00',
      to: '20:00',
      startedAt: `${DATE}T14:00:00.000Z`,
      endedAt: `${DATE}T20:00:00.000Z`,
    }
    const sky = skyThrough(
      { latitudeDeg: mark.latitudeDeg!, longitudeDeg: mark.longitudeDeg! },
      { fromMs: Date.parse(night.startedAt!), toMs: Date.parse(night.endedAt!) + 3 * HOUR_MS },
    )
    const duskMs = sky.night[0]!.fromMs
    const hoursBefore = (duskMs - Date.parse(night.startedAt!)) / HOUR_MS
    const light = counted([], 'light', night)
    // Two rods; forty minutes on either side of dusk are twilight, to a step of ten.
    expect(Math.abs(light.day!.hours / 2 - (hoursBefore - 2 / 3))).toBeLessThan(0.2)
    expect(Math.abs(light.twilight!.hours / 2 - 4 / 3)).toBeLessThan(0.2)
    expect(Math.abs(light.night!.hours / 2 - (6 - hoursBefore - 2 / 3))).toBeLessThan(0.2)
    const moon = Object.values(counted([], 'moon', night)).reduce((sum, { hours }) => sum + hours, 0)
    expect(Math.abs(moon / 2 - (6 - hoursBefore))).toBeLessThan(0.2)
  })

  test('at slack are half an hour on both sides of each, and rising and falling are the others', () => {
    const slacks = dayAtMark(mark, tide, tide)!.slacks.map(({ timeMs }) => timeMs)
    const [slackMs] = slacks.filter((timeMs) => timeMs > tide.startMs + 2 * HOUR_MS && timeMs < tide.endMs - 2 * HOUR_MS)
    const iso = (timeMs: number) => new Date(timeMs).toISOString()
    const round = { ...trip, startedAt: iso(slackMs! - HOUR_MS), endedAt: iso(slackMs! + HOUR_MS), from: '00:00', to: '23:59' }
    const water = counted([], 'tide', round)
    expect(Math.abs(water.slack!.hours / 2 - 1)).toBeLessThan(0.2)
    const others = (water.rising?.hours ?? 0) + (water.falling?.hours ?? 0)
    expect(Math.abs(others / 2 - 1)).toBeLessThan(0.2)
  })

  test('of another bait begin when it is put on, on that rod only; for an hour they are those after a change', () => {
    const events = [event('09:00', { type: 'changed', part: 'bait', to: 'squid' })]
    const baits = counted(events, 'bait')
    expect(baits.squid!.hours).toBeCloseTo(2, 9)
    expect(Object.values(baits).reduce((sum, { hours }) => sum + hours, 0)).toBeCloseTo(10, 9)
    expect(counted(events, 'change').bait!.hours).toBeCloseTo(1, 9)
  })

  test('of a trip that nobody ended go to what was logged last; one just begun has none', () => {
    const { endedAt: _, ...open } = trip
    expect(counted([], 'all', open)).toEqual({})
    expect(counted([event('12:00', { type: 'cast' })], 'all', open).all!.hours).toBeCloseTo(12, 9)
    // Ended long after its hours, by a phone that was forgotten in a pocket.
    expect(counted([], 'all', { ...trip, endedAt: `${DATE}T23:00:00.000Z` }).all!.hours).toBeCloseTo(10, 9)
  })
})

describe('events', () => {
  test('are counted where the tide rises or falls at their time', () => {
    const at = (clock: string) => Date.parse(`${DATE}T${clock}:00.000Z`)
    const rises = (clock: string) => heightAtM(tide, at(clock) + 60_000) > heightAtM(tide, at(clock))
    for (const clock of ['06:30', '08:00', '10:30']) {
      const by = counted([event(clock, { type: 'bite' })], 'tide')
      const [[value]] = Object.entries(by).filter(([, { bites }]) => bites === 1) as [[string, unknown]]
      if (value !== 'slack') expect(value).toBe(rises(clock) ? 'rising' : 'falling')
    }
  })

  test('of a snag say what was lost, and what it costs', () => {
    const { all } = counted(
      [
        event('07:00', { type: 'snag', lost: 'nothing' }),
        event('08:00', { type: 'snag', lost: 'sinker' }),
        event('09:00', { type: 'snag', lost: 'trace' }),
      ],
      'all',
    )
    expect(all).toMatchObject({ snags: 3, sinkersLost: 2, tracesLost: 1 })
    const whole = wholeReplacement(setup).cost
    expect(all!.cost).toBeGreaterThan(whole)
    expect(all!.cost).toBeLessThan(2 * whole)
  })
})

test('where a weak link let go, what it cost and what it saved are the whole trace together', () => {
  const withWeak = { ...draftOf('threeWay', outfit, { ...defaultConditions(), castStyle: 'none' }), outfit, catalogue }
  const { counts } = tallyTrip({
    trip,
    events: [event('08:00', { type: 'snag', lost: 'sinker' })],
    marks: new Map([[MARK_ID, mark]]),
    setupOf: () => withWeak,
    portOf: () => tide,
  })
  const { cost, saved } = counts.find(({ by }) => by === 'all')!.counts
  expect(cost + saved).toBeCloseTo(wholeReplacement(withWeak).cost, 9)
  expect(saved).toBeGreaterThan(cost)
})

describe('predictions', () => {
  const [likeliest] = links
  test('of a break is the chance of each kind of link, together one, and the kind that broke', () => {
    const { breaks, chains } = tally([event('08:00', { type: 'break', during: 'run', link: likeliest!.key })])
    expect(breaks.reduce((sum, { chance }) => sum + chance, 0)).toBeCloseTo(1, 3)
    expect(breaks.filter(({ happened }) => happened)).toHaveLength(1)
    expect(breaks.find(({ happened }) => happened)!.chance).toBeGreaterThanOrEqual(likeliest!.chance - 1e-3)
    expect(chains).toHaveLength(1)
  })

  test('of a break in a snag, or one that nobody saw, is nothing', () => {
    const found = tally([
      event('08:00', { type: 'break', during: 'snag', link: likeliest!.key }),
      event('08:10', { type: 'break', during: 'run' }),
      event('08:20', { type: 'break', during: 'run', link: likeliest!.key }, 'a', { told: {} }),
    ])
    expect(found).toMatchObject({ breaks: [], unseen: 1, notPredicted: 2 })
  })

  test('of a sinker is the chance that was stored, whatever it would be now', () => {
    const holds = [0.2, 0.9].map((chance, i) =>
      event(`0${7 + i}:00`, { type: i === 0 ? 'dragged' : 'held' }, 'b', { told: { holds: chance } }),
    )
    expect(tally(holds).holds).toEqual([
      { markId: MARK_ID, chance: 0.2, held: false },
      { markId: MARK_ID, chance: 0.9, held: true },
    ])
  })
})

test('a year without tides counts its hours without them', () => {
  const dark = tallyTrip({
    trip,
    events: [],
    marks: new Map([[MARK_ID, mark]]),
    setupOf: () => undefined,
    portOf: () => undefined,
  })
  expect(dark.counts.find(({ by }) => by === 'all')!.counts.hours).toBeCloseTo(10, 9)
  expect(dark.counts.some(({ by }) => by === 'tide')).toBe(false)
  expect(HOUR_MS).toBe(3_600_000)
})

import { expect, test } from 'vitest'
import type { TripEvent } from '../documents/observation.ts'
import type { Tied } from '../documents/tied.ts'
import type { Happening } from '../documents/tripEvent.ts'
import { afterTrip, isChangedBy } from './afterTrip.ts'

const ROD = { id: 'a', outfitId: crypto.randomUUID(), tiedId: 'first' }
const event = (what: Happening, more: Partial<TripEvent> = {}): TripEvent => ({
  formatVersion: 1,
  kind: 'event',
  id: crypto.randomUUID(),
  at: '2026-11-30T20:00:00.000Z',
  tripId: crypto.randomUUID(),
  rod: 'a',
  sinkerKg: 0.15,
  what,
  ...more,
})

test('a tied trace that came home is ready, after a fish used hard; one that broke is cut off, one in a snag lost', () => {
  const change = (tiedId?: string) => event({ type: 'changed', part: 'trace', to: 'another', ...(tiedId ? { tiedId } : {}) })
  expect(afterTrip({ rods: [ROD] }, []).tied).toEqual([{ id: 'first', state: 'ready', usedHard: false }])
  const fish = event({ type: 'fish', name: 'tope', size: 'usual', isKept: false, hooked: 'lip' })
  const after = afterTrip({ rods: [ROD] }, [
    fish,
    change('second'),
    event({ type: 'break', during: 'run' }),
    change('third'),
    event({ type: 'snag', lost: 'trace' }),
    // Nothing is on that is known: a fish is on none of them.
    fish,
    change(),
  ])
  expect(after.tied).toEqual([
    { id: 'first', state: 'ready', usedHard: true },
    { id: 'second', state: 'cutOff', usedHard: false },
    { id: 'third', state: 'lost', usedHard: false },
  ])
})

test('a sinker is lost alone or with its trace; a snag that gave all back loses none, another rod’s is its own', () => {
  const events = [
    event({ type: 'snag', lost: 'sinker' }),
    event({ type: 'snag', lost: 'nothing' }),
    event({ type: 'snag', lost: 'trace' }, { sinkerKg: 0.17 }),
    event({ type: 'snag', lost: 'sinker' }, { sinkerKg: undefined }),
    event({ type: 'snag', lost: 'sinker' }, { rod: 'elsewhere' }),
  ]
  const { lostSinkers } = afterTrip({ rods: [ROD, { ...ROD, id: 'b', tiedId: 'other' }] }, events)
  expect(lostSinkers.map(({ eventId, massKg }) => [eventId, massKg])).toEqual([
    [events[0]!.id, 0.15],
    [events[2]!.id, 0.17],
  ])
})

test('a tied trace is changed where its state or its use differs, and never after its end', () => {
  const tied = (state: Tied['state'], usedHard?: boolean): Tied => ({
    formatVersion: 1,
    name: 'one',
    traceId: crypto.randomUUID(),
    traceRevision: 1,
    tiedOn: '2026-11-20',
    state,
    ...(usedHard === undefined ? {} : { usedHard }),
  })
  const ready = { id: 'one', state: 'ready' as const, usedHard: false }
  expect(isChangedBy(tied('ready'), ready)).toBe(false)
  expect(isChangedBy(tied('onRod'), ready)).toBe(true)
  expect(isChangedBy(tied('ready'), { ...ready, usedHard: true })).toBe(true)
  expect(isChangedBy(tied('ready', true), { ...ready, usedHard: true })).toBe(false)
  expect(isChangedBy(tied('ready'), { ...ready, state: 'lost' })).toBe(true)
  for (const end of ['lost', 'cutOff', 'retired'] as const) expect(isChangedBy(tied(end), ready)).toBe(false)
})

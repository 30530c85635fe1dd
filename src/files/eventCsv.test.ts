import fc from 'fast-check'
import { expect, test } from 'vitest'
import { contractArb } from '../../tests/fixtures/contractArb.ts'
import { observationSchema, type TripEvent } from '../core/documents/observation.ts'
import { type Happening, happening } from '../core/documents/tripEvent.ts'
import { readEventCsv, writeEventCsv } from './eventCsv.ts'

const TARGET = { tripId: crypto.randomUUID(), rodIds: ['near', 'far'] }
const event = (what: Happening, more: Partial<TripEvent> = {}): TripEvent => ({
  formatVersion: 1,
  kind: 'event',
  id: crypto.randomUUID(),
  at: '2026-11-30T20:15:30.250Z',
  tripId: TARGET.tripId,
  rod: 'far',
  what,
  ...more,
})
const read = (text: string) => readEventCsv(text, TARGET)
const HEAD = 'utc,rod,what,fish,lost,during'

test('whatever happened goes out as a table and comes in again as it was', () => {
  const round = (each: TripEvent) => read(writeEventCsv([each], TARGET.rodIds))
  fc.assert(
    fc.property(contractArb(happening) as fc.Arbitrary<Happening>, (what) => {
      const told = observationSchema.safeParse(event(what, { sinkerKg: 0.17, markId: crypto.randomUUID() }))
      fc.pre(told.success)
      const back = round(told.data as TripEvent)
      if (!back.ok) throw new Error(JSON.stringify(back.faults))
      expect(back.value).toHaveLength(1)
      const [is, was] = [back.value[0]!, told.data as TripEvent]
      expect({ ...is, what: rounded(is.what) }).toEqual({ ...was, what: rounded(was.what) })
    }),
    { numRuns: 200 },
  )
})

/** Cells are trimmed, and hold thousandths of a gram; an empty text is none. */
function rounded(what: Happening): Record<string, unknown> {
  return Object.fromEntries(
    Object.entries(what).flatMap(([name, value]) => {
      if (typeof value === 'string') return value.trim() === '' ? [] : [[name, value.trim()]]
      return [[name, name === 'massKg' ? Number((value as number).toFixed(6)) : value]]
    }),
  )
}

test('a table typed by hand needs three columns; read twice its events are the same', () => {
  const text = `${HEAD}\n2026-11-30T18:00Z,1,cast,,,\n2026-11-30T18:20Z,1,fish,tope,,\n2026-11-30T18:20Z,2,snag,,sinker,\n2026-11-30T18:00Z,1,cast,,,\n`
  const [once, twice] = [read(text), read(text)]
  if (!once.ok) throw new Error(JSON.stringify(once.faults))
  expect(once.value.map(({ rod, what }) => `${rod} ${what.type}`)).toEqual(['near cast', 'near fish', 'far snag', 'near cast'])
  expect(once.value[1]!.what).toMatchObject({ name: 'tope', size: 'usual', isKept: false })
  expect(once).toEqual(twice)
  expect(new Set(once.value.map(({ id }) => id)).size).toBe(4)
})

test('every wrong line is named with its column', () => {
  const rows = [
    'never,1,cast,,,',
    '2026-11-30T18:00Z,3,cast,,,',
    '2026-11-30T18:00Z,1,dance,,,',
    '2026-11-30T18:00Z,1,break,,,sleep',
  ]
  const back = read([HEAD, ...rows].join('\n'))
  expect(back.ok).toBe(false)
  if (back.ok) return
  expect(back.faults.map(({ line }) => line)).toEqual([2, 3, 4, 5])
  expect(back.faults.map(({ message }) => message.split(':')[0])).toEqual(['utc', 'rod', 'what', 'during'])
})

import fc from 'fast-check'
import { expect, test } from 'vitest'
import { ageDays, codeOf, idsOfCode, remindersOf, type Tied, tiedCode } from './tied.ts'

test('the code of an id names it and those that begin alike, and no other', () => {
  fc.assert(
    fc.property(fc.uuid(), fc.uuid(), (id, other) => {
      const code = codeOf(id)
      expect(tiedCode.safeParse(code).success).toBe(true)
      const [first, last] = idsOfCode(code)
      expect(first <= id && id <= last).toBe(true)
      expect(first <= other && other <= last).toBe(codeOf(other) === code)
      expect(first).toMatch(/^[0-9a-f]{8}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{12}$/)
    }),
  )
})

const tied = (change: Partial<Tied>): Tied => ({
  formatVersion: 1,
  name: 'one',
  traceId: '',
  traceRevision: 1,
  tiedOn: '2026-03-01',
  state: 'ready',
  ...change,
})

test('a tied trace is old from so many days on, across the change of clocks; one at its end is reminded of no more', () => {
  expect(ageDays('2026-03-01', '2026-03-31')).toBe(30)
  expect(ageDays('2026-03-31', '2026-03-01')).toBe(0)
  expect(remindersOf(tied({}), '2026-03-30', 30)).toEqual([])
  expect(remindersOf(tied({}), '2026-03-31', 30)).toEqual(['old'])
  expect(remindersOf(tied({ state: 'onRod', usedHard: true }), '2026-03-31', 30)).toEqual(['old', 'usedHard'])
  for (const state of ['lost', 'cutOff', 'retired'] as const)
    expect(remindersOf(tied({ state, usedHard: true }), '2027-01-01', 30)).toEqual([])
})

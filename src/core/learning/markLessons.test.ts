import { describe, expect, test } from 'vitest'
import { catalogue } from '../../../tests/fixtures/setups.ts'
import { MARK } from '../../../tests/fixtures/tides.ts'
import { gripOf } from '../catalogue/grip.ts'
import { markSchema } from '../documents/mark.ts'
import type { Hold } from '../documents/observation.ts'
import { springWater } from '../setup/springWater.ts'
import { activeHolds, gripLesson, learnedHolding, reserveLesson } from './markLessons.ts'

const hold = (more: Partial<Hold> = {}): Hold => ({
  formatVersion: 1,
  kind: 'hold',
  id: '10000000-0000-4000-8000-000000000001',
  markId: '20000000-0000-4000-8000-000000000001',
  at: '2026-11-01T10:00:00.000Z',
  method: 'shore',
  shape: 'gripWire',
  massKg: 0.15,
  demand: 2.8,
  held: true,
  ...more,
})

describe('a mark', () => {
  test.each([
    ['a negative depth', { depthM: -4 }, 'must be above 0'],
    ['no name', { name: '  ' }, 'needs a name'],
    ['a place off the globe', { latitudeDeg: 95 }, 'north of the pole'],
    ['a zone that is none', { timeZone: 'Orran/Sound' }, 'not a time zone'],
    ['no stream', { stream: [] }, 'needs a row'],
    ['an hour twice', { stream: [MARK.stream[0], MARK.stream[0]] }, 'is there twice'],
    ['an hour outside the table', { stream: [{ ...MARK.stream[0], hour: 7 }] }, 'six hours after'],
    ['an endless number', { depthM: Number.POSITIVE_INFINITY }, ''],
  ])('is refused with %s', (_, change, message) => {
    const parsed = markSchema.safeParse({ ...MARK, ...change })
    expect(parsed.success).toBe(false)
    expect(parsed.error?.issues[0]?.message).toContain(message)
  })

  test('its water at springs is that of its strongest hour; a boat adrift goes with it', () => {
    expect(springWater(MARK)).toMatchObject({ method: 'anchor', depthM: 26, driftMperS: 0, scope: 1.2 })
    const { streamMperS, driftMperS } = springWater({ ...MARK, method: 'drift', depthM: 0.4 })
    expect(streamMperS).toBe(Math.max(...MARK.stream.map(({ springMperS }) => springMperS)))
    expect(driftMperS).toBe(streamMperS)
  })

  test('of what was said of the same sinker at the same time the later word counts, and what was taken back counts no more', () => {
    const again = hold({ id: '10000000-0000-4000-8000-000000000002', held: false })
    const heavier = hold({ id: '10000000-0000-4000-8000-000000000003', massKg: 0.175 })
    const later = hold({ id: '10000000-0000-4000-8000-000000000004', at: '2026-11-01T10:05:00.000Z' })
    expect(activeHolds([hold(), again])).toEqual([again])
    expect(activeHolds([hold(), again, heavier, later])).toEqual([again, heavier, later])
    const takenBack = { ...hold(), kind: 'retraction' as const, id: '10000000-0000-4000-8000-000000000005', of: again.id }
    expect(activeHolds([again, heavier, takenBack])).toEqual([heavier])
    // Taken back, the later word leaves the earlier one standing.
    expect(activeHolds([hold(), again, takenBack])).toEqual([hold()])
  })

  test('counts with the nominal grip and reserve until something held or dragged', () => {
    const { gripOf: grip, reserve } = learnedHolding(catalogue, MARK, [])
    for (const shape of ['bomb', 'flat', 'gripWire'] as const)
      expect(grip(shape)).toBeCloseTo(gripOf(catalogue, shape, MARK.bed), 3)
    expect(reserve).toBeCloseTo(catalogue.methods.anchor.reserve, 3)
  })

  test('what held with wires teaches the grip of wires alone; nominal shingle is 2', () => {
    const holds = [hold(), hold({ demand: 3.1 })]
    const lesson = gripLesson(catalogue, MARK, holds, 'wired')
    expect(lesson.prior.median).toBeCloseTo(2, 3)
    expect(lesson.prior.high / lesson.prior.low).toBeGreaterThan(lesson.posterior.high / lesson.posterior.low)
    expect(lesson.evidence).toHaveLength(2)
    expect(lesson.posterior.median).toBeGreaterThan(2.8)
    expect(gripLesson(catalogue, MARK, holds, 'plain').evidence).toEqual([])
    expect(learnedHolding(catalogue, MARK, holds).reserve).toBeCloseTo(catalogue.methods.anchor.reserve, 3)
  })

  test('a hanging sinker that dragged with room to spare raises the reserve, one that held with none lowers it', () => {
    const after = (demand: number, held: boolean) =>
      learnedHolding(catalogue, MARK, Array(4).fill(hold({ method: 'anchor', shape: 'pear', demand, held }))).reserve
    expect(after(1 / 1.6, false)).toBeGreaterThan(1.45)
    expect(after(1, true)).toBeLessThan(1.1)
    expect(reserveLesson(catalogue, [], 'anchor').posterior.median).toBeCloseTo(1 / 1.2, 4)
  })
})

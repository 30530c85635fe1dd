import { describe, expect, test } from 'vitest'
import { MARK } from '../../../tests/fixtures/tides.ts'
import { gripOf } from '../gear/grip.ts'
import { METHODS } from '../trace/waterConditions.ts'
import { countsLesson, gripLesson, type Hold, heldBy, markSchema, withHold } from './mark.ts'
import { springWater } from './springWater.ts'

const hold = (more: Partial<Hold>): Hold => ({
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
    ['an hour twice', { stream: [MARK.stream[0], MARK.stream[0]] }, 'comes twice'],
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

  test('what was seen is added; said again of the same sinker at the same time, the later word counts', () => {
    const once = withHold(MARK, hold({}))
    const twice = withHold(once, hold({ held: false }))
    expect(twice.holds).toEqual([hold({ held: false })])
    expect(withHold(twice, hold({ massKg: 0.175 })).holds).toHaveLength(2)
    expect(withHold(twice, hold({ at: '2026-11-01T10:05:00.000Z' })).holds).toHaveLength(2)
    expect(MARK.holds).toBeUndefined()
  })

  test('is reckoned with the nominal grip and reserve until something held or dragged', () => {
    const { gripOf: grip, reserve } = heldBy(MARK)
    for (const shape of ['bomb', 'flat', 'gripWire'] as const) expect(grip(shape)).toBeCloseTo(gripOf(shape, MARK.bed), 3)
    expect(reserve).toBeCloseTo(METHODS.anchor.reserve, 3)
  })

  test('what held with wires teaches the grip of wires alone; nominal shingle is 2', () => {
    const mark = { ...MARK, holds: [hold({}), hold({ demand: 3.1 })] }
    const lesson = gripLesson(mark, 'wired')
    expect(lesson.prior.median).toBeCloseTo(2, 3)
    expect(lesson.prior.high / lesson.prior.low).toBeGreaterThan(lesson.posterior.high / lesson.posterior.low)
    expect(lesson.evidence).toHaveLength(2)
    expect(lesson.posterior.median).toBeGreaterThan(2.8)
    expect(gripLesson(mark, 'plain').evidence).toEqual([])
    expect(heldBy(mark).reserve).toBeCloseTo(METHODS.anchor.reserve, 3)
  })

  test('a hanging sinker that dragged with room to spare raises the reserve, one that held with none lowers it', () => {
    const after = (demand: number, held: boolean) =>
      heldBy({ ...MARK, holds: Array(4).fill(hold({ method: 'anchor', shape: 'pear', demand, held })) }).reserve
    expect(after(1 / 1.6, false)).toBeGreaterThan(1.45)
    expect(after(1, true)).toBeLessThan(1.1)
    expect(countsLesson(MARK, 'anchor').posterior.median).toBeCloseTo(1 / 1.2, 4)
  })
})

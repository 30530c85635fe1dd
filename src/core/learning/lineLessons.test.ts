import { describe, expect, test } from 'vitest'
import { LB } from '../../../tests/fixtures/outfits.ts'
import { catalogue } from '../../../tests/fixtures/setups.ts'
import type { Observation, StraightPull } from '../documents/observation.ts'
import { activeStraightPulls, lineLesson, linesPulled, straightsOf } from './lineLessons.ts'

const idOf = (n: number) => `20000000-0000-4000-8000-${String(n).padStart(12, '0')}`
const SPOOL = idOf(900)
const straight = (n: number, loadN: number, more: Partial<StraightPull> = {}): StraightPull => ({
  formatVersion: 1,
  kind: 'straight',
  id: idOf(n),
  at: '2026-11-20T10:00:00.000Z',
  material: 'mono',
  labelN: 30 * LB,
  wet: false,
  loadN,
  ...more,
})
const LABEL = { material: 'mono', labelN: 30 * LB } as const

describe('a line pulled straight', () => {
  test('its label counts as one pull, and each of one’s own as one', () => {
    const pulls = [straight(1, 33 * LB), straight(2, 34 * LB), straight(3, 35 * LB)]
    const lesson = lineLesson(catalogue, pulls, LABEL)!
    expect(lesson.strengthN / LB).toBeCloseTo((30 + 33 + 34 + 35) / 4, 9)
    expect(lesson.lowN).toBeLessThan(lesson.strengthN)
    expect(lesson.highN - lesson.strengthN).toBeCloseTo(lesson.strengthN - lesson.lowN, 9)
    const many = Array.from({ length: 40 }, (_, i) => straight(i, (33 + (i % 3)) * LB))
    const sure = lineLesson(catalogue, many, LABEL)!
    expect(sure.highN - sure.lowN).toBeLessThan((lesson.highN - lesson.lowN) / 2)
  })

  test('soaked nylon is told as what it holds dry', () => {
    const left = catalogue.materials.mono.wetCondition
    const [dry, wet] = [straight(1, 33 * LB), straight(1, 33 * LB * left, { wet: true })].map(
      (pull) => lineLesson(catalogue, [pull], LABEL)!.strengthN,
    )
    expect(wet).toBeCloseTo(dry!, 9)
  })

  test('a spool is known by itself; without one, its material and its label', () => {
    const told = [straight(1, 40 * LB, { spoolId: SPOOL }), straight(2, 33 * LB), straight(3, 33 * LB, { labelN: 20 * LB })]
    expect(lineLesson(catalogue, told, { ...LABEL, spoolId: SPOOL })!.pulls.map(({ id }) => id)).toEqual([idOf(1)])
    expect(lineLesson(catalogue, told, LABEL)!.pulls.map(({ id }) => id)).toEqual([idOf(2)])
    expect(lineLesson(catalogue, told, { ...LABEL, spoolId: idOf(901) })).toBeUndefined()
    expect(lineLesson(catalogue, told, { ...LABEL, material: 'fluoro' })).toBeUndefined()
    expect(linesPulled([...told, straight(4, 34 * LB)])).toHaveLength(3)
  })

  test('what was discarded is told and counts in nothing; what was taken back is gone', () => {
    const back: Observation = { formatVersion: 1, kind: 'retraction', id: idOf(50), at: '2026-11-21T10:00:00.000Z', of: idOf(3) }
    const pulls = activeStraightPulls([
      straight(1, 33 * LB),
      straight(2, 9 * LB, { discarded: 'nicked' }),
      straight(3, 5 * LB),
      back,
    ])
    const lesson = lineLesson(catalogue, pulls, LABEL)!
    expect(lesson.strengthN).toBe(lineLesson(catalogue, [straight(1, 33 * LB)], LABEL)!.strengthN)
    expect(straightsOf(pulls, LABEL).map(({ id }) => id)).toEqual([idOf(1), idOf(2)])
    expect(lineLesson(catalogue, [straight(2, 9 * LB, { discarded: 'nicked' })], LABEL)).toBeUndefined()
  })
})

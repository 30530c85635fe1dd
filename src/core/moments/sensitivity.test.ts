import { expect, test } from 'vitest'
import { draftOf } from '../../../tests/fixtures/drafts.ts'
import { braidOutfit } from '../../../tests/fixtures/outfits.ts'
import { usualConditions } from '../trace/conditions.ts'
import { FAMILIES } from '../trace/families/families.ts'
import { usualWater } from '../trace/waterConditions.ts'
import { evaluate } from './evaluate.ts'
import { leversOf } from './levers.ts'
import { sensitivityOf } from './sensitivity.ts'

const outfit = braidOutfit(50)
const fished = { ...draftOf('runningLedger', outfit, usualConditions()), outfit }

test('the drag moves the run’s margin by its own inverse: a tenth less gives a ninth more', () => {
  const { margin, sways } = sensitivityOf(fished, 'run')!
  const drag = sways.find(({ id }) => id === 'dragN')!
  expect(drag.low.margin / margin).toBeCloseTo(1 / 0.9, 9)
  expect(drag.high.margin / margin).toBeCloseTo(1 / 1.1, 9)
})

test('the fish’s weight moves the hand alone, and in the hand by its inverse', () => {
  expect(sensitivityOf(fished, 'run')!.sways.some(({ id }) => id === 'fishMassKg')).toBe(false)
  const { margin, sways } = sensitivityOf(fished, 'hand')!
  expect(sways.find(({ id }) => id === 'fishMassKg')!.low.margin / margin).toBeCloseTo(1 / 0.9, 9)
})

test('the stream moves how it settles most: about by its square', () => {
  const water = { ...usualWater('anchor'), depthM: 28, streamMperS: 0.6 }
  const { margin, sways } = sensitivityOf({ ...fished, conditions: { ...fished.conditions, water } }, 'settle')!
  expect(sways[0]!.id).toBe('streamMperS')
  expect(sways[0]!.low.margin / margin).toBeGreaterThan(1.2)
  expect(sways[0]!.low.margin / margin).toBeLessThan(1.3)
})

test('strongest first; a link that does not decide does not move it; a moment that does not apply gives nothing', () => {
  const { sways } = sensitivityOf(fished, 'run')!
  for (const [i, sway] of sways.entries()) if (i > 0) expect(sway.swing).toBeLessThanOrEqual(sways[i - 1]!.swing)
  expect(sways.some(({ id }) => id === 'sinker mass')).toBe(false)
  expect(sensitivityOf({ ...fished, conditions: { ...fished.conditions, castStyle: 'none' } }, 'cast')).toBeUndefined()
})

test('every lever of every family can be pulled, and at 1 it changes no verdict', () => {
  for (const { id } of FAMILIES) {
    const content = { ...draftOf(id, outfit, usualConditions()), outfit }
    const now = evaluate(content.trace, outfit, content.conditions)
    for (const lever of leversOf(content)) {
      const same = lever.scaled(1)
      expect(evaluate(same.trace, same.outfit, same.conditions).run?.verdict, lever.id).toBe(now.run?.verdict)
    }
  }
})

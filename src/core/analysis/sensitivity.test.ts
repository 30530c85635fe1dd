import { expect, test } from 'vitest'
import { sampleOf } from '../../../tests/depth.ts'
import { draftOf } from '../../../tests/fixtures/drafts.ts'
import { inWords } from '../../../tests/fixtures/judgedDrafts.ts'
import { braidOutfit } from '../../../tests/fixtures/outfits.ts'
import { catalogue, evaluated } from '../../../tests/fixtures/setups.ts'
import { defaultConditions } from '../documents/conditions.ts'
import { jointOf } from '../documents/pieces.ts'
import { defaultWater } from '../documents/water.ts'
import { FAMILIES } from '../families/families.ts'
import { MOMENT_NAMES } from '../moments/moments.ts'
import { prepareSetup } from '../setup/prepareSetup.ts'
import { leversOf } from './levers.ts'
import { sensitivityOf } from './sensitivity.ts'

const outfit = braidOutfit(50)
const setup = { ...draftOf('runningLedger', outfit, defaultConditions()), outfit, catalogue }

test('the drag moves the run’s margin by its own inverse: a tenth less gives a ninth more', () => {
  const { margin, inputEffects } = sensitivityOf(setup, 'run')!
  const drag = inputEffects.find(({ id }) => id === 'dragN')!
  expect(drag.low.margin / margin).toBeCloseTo(1 / 0.9, 9)
  expect(drag.high.margin / margin).toBeCloseTo(1 / 1.1, 9)
})

test('the fish’s weight moves the hand alone, and in the hand by its inverse', () => {
  expect(sensitivityOf(setup, 'run')!.inputEffects.some(({ id }) => id === 'fishMassKg')).toBe(false)
  const given = { ...setup, conditions: { ...setup.conditions, fishAssumed: undefined } }
  const { margin, inputEffects } = sensitivityOf(given, 'hand')!
  expect(inputEffects.find(({ id }) => id === 'fishMassKg')!.low.margin / margin).toBeCloseTo(1 / 0.9, 9)
})

test('after the line let out it is the stream that moves how it settles most: about by its square', () => {
  const water = { ...defaultWater(catalogue, 'anchor'), depthM: 28, streamMperS: 0.6 }
  const { margin, inputEffects } = sensitivityOf({ ...setup, conditions: { ...setup.conditions, water } }, 'settle')!
  const [scope, stream] = inputEffects
  expect([scope!.id, stream!.id]).toEqual(['scope', 'streamMperS'])
  expect(stream!.low.margin / margin).toBeGreaterThan(1.2)
  expect(stream!.low.margin / margin).toBeLessThan(1.3)
})

test('strongest first; a link that does not decide does not move it; a moment that does not apply gives nothing', () => {
  const { inputEffects } = sensitivityOf(setup, 'run')!
  for (const [i, sway] of inputEffects.entries()) if (i > 0) expect(sway.swing).toBeLessThanOrEqual(inputEffects[i - 1]!.swing)
  expect(inputEffects.some(({ id }) => id === 'sinker mass')).toBe(false)
  expect(sensitivityOf({ ...setup, conditions: { ...setup.conditions, castStyle: 'none' } }, 'cast')).toBeUndefined()
})

test('a knot’s lever scales its efficiency, at most to 1; an input that is 0 has no lever', () => {
  const knot = leversOf(setup, ['run']).find(({ what }) => what.of === 'joint')!
  const efficiencyAt = (factor: number) => {
    const { trace } = knot.scaled(factor)
    return trace.pieces.flatMap((piece) => jointOf(piece)?.own?.efficiency ?? [])
  }
  expect(efficiencyAt(0.9)).toEqual([expect.closeTo(0.9 * knot.value, 12)])
  expect(efficiencyAt(10)).toEqual([1])
  const ids = (guideFriction: number) =>
    leversOf({ ...setup, conditions: { ...setup.conditions, guideFriction } }, ['run']).map(({ id }) => id)
  expect(ids(0.2)).toContain('guideFriction')
  expect(ids(0)).not.toContain('guideFriction')
})

test('every lever of every family can be pulled, and at 1 it changes no verdict', () => {
  for (const { id } of sampleOf(FAMILIES, 3)) {
    const content = { ...draftOf(id, outfit, defaultConditions()), outfit, catalogue }
    const now = evaluated(content.trace, outfit, content.conditions)
    for (const lever of leversOf(content, MOMENT_NAMES)) {
      const same = lever.scaled(1)
      expect(evaluated(same.trace, same.outfit, same.conditions).run?.verdict, lever.id).toBe(now.run?.verdict)
    }
  }
})

test('a drag that follows the trace is held while another input is scaled, and can itself be scaled', () => {
  const { trace, outfit: on, conditions } = inWords('leader 30 lb 2 m, J 2/0, dead prawn')
  expect(conditions.dragAssumed).toBe(true)
  const setup = { trace, outfit: on, conditions, catalogue }
  const levers = leversOf(setup, ['run'])
  const drag = levers.find(({ id }) => id === 'dragN')!
  expect(drag.value).toBe(prepareSetup(setup).conditions.dragN)
  expect(prepareSetup(drag.scaled(2)).conditions.dragN).toBeCloseTo(2 * drag.value, 9)
  const leader = levers.find(({ id }) => id === 'leader strength')!
  expect(prepareSetup(leader.scaled(0.5)).conditions.dragN).toBe(drag.value)
})

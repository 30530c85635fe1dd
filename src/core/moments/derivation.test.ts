import { expect, test } from 'vitest'
import { draftOf } from '../../../tests/fixtures/drafts.ts'
import { braidOutfit } from '../../../tests/fixtures/outfits.ts'
import { calculate } from '../calculations.ts'
import { usualConditions } from '../trace/conditions.ts'
import { FAMILIES } from '../trace/families/families.ts'
import { derivationOf, type Step } from './derivation.ts'
import { evaluate } from './evaluate.ts'
import type { MomentName } from './moment.ts'

const outfit = braidOutfit(50)
const fished = (id: string) => ({ ...draftOf(id, outfit, usualConditions()), outfit })
const MOMENTS: readonly MomentName[] = ['cast', 'run', 'snag', 'hand']

test.each(FAMILIES)(
  '$name: every step is a registered calculation on an input it takes, and gives just that output',
  ({ id }) => {
    for (const moment of MOMENTS)
      for (const { calculation, input, output } of derivationOf(fished(id), moment)) {
        const again = calculate(calculation, input)
        expect(again.ok && again.output, calculation).toEqual(output)
      }
  },
)

test('the last figure of a derivation is the one on the surface', () => {
  const content = fished('runningLedger')
  const { cast, run, snag, hand } = evaluate(content.trace, content.outfit, content.conditions)
  const output = <T>(steps: Step[], name: string) => steps.find(({ calculation }) => calculation === name)!.output as T
  const ofRun = derivationOf(content, 'run')
  expect(output<{ ceilingN: number }>(ofRun, 'strength.drag').ceilingN).toBe(run!.figure.value)
  expect(output<{ survival: number }>(ofRun, 'strength.failure').survival).toBeCloseTo(run!.paths[0]!.survival, 12)
  const ofCast = derivationOf(content, 'cast')
  expect(output<{ peakN: number }>(ofCast, 'cast.load').peakN).toBe(cast!.peakN)
  expect(output<{ weakest: { strengthN: number } }>(ofCast, 'strength.chain').weakest.strengthN).toBe(cast!.weakest.strengthN)
  expect(output<{ rangeM: number }>(ofCast, 'cast.range').rangeM).toBe(cast!.rangeM)
  const ofSnag = output<{ first: { id: string; probability: number }[] }>(derivationOf(content, 'snag'), 'strength.failure').first
  const path = snag!.paths.find(({ end }) => end === snag!.end)!
  expect(ofSnag.map(({ probability }) => probability)).toEqual(path.first)
  const held = output<{ links: { id: string; strengthN: number }[] }>(derivationOf(content, 'hand'), 'strength.chain').links
  expect(held.find(({ id }) => id === hand!.decides)!.strengthN).toBe(hand!.deciding.weakest.strengthN)
})

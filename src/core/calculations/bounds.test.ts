import fc from 'fast-check'
import { expect, test } from 'vitest'
import { atDepth } from '../../../tests/depth.ts'
import { contractArb } from '../../../tests/fixtures/contractArb.ts'
import { CoreError } from '../errors.ts'
import { CALCULATIONS, type CalculationName, calculate } from './registry.ts'

const NAMES = Object.keys(CALCULATIONS) as CalculationName[]

test.each(NAMES)('%s answers anything that its contract lets in: a figure of its contract or a named reason', (name) => {
  for (const input of fc.sample(contractArb(CALCULATIONS[name].input), { numRuns: atDepth(60, 150), seed: 11 })) {
    try {
      const outcome = calculate(name, input)
      if (outcome.ok) expect(CALCULATIONS[name].output.safeParse(outcome.output).error).toBeUndefined()
    } catch (error) {
      expect(error).toBeInstanceOf(CoreError)
    }
  }
})

test.each([
  [
    'cast.range',
    { massKg: 0.1, dragAreaM2: 0.002, releaseSpeedMperS: 35, launchDeg: 40, releaseHeightM: 1e308 },
    'releaseHeightM',
  ],
  ['cast.load', { massKg: 1e300, releaseSpeedMperS: 35, strokeM: 5, peakFactor: 2 }, 'massKg'],
  ['strength.waterDrag', { lineOutM: 1e9, diameterM: 5e-4, speedMperS: 2 }, 'lineOutM'],
  ['hook.gang', { baitLengthM: 0.2, hookPitchM: 0.03, linkLengthM: 0.02, count: 1e9 }, 'count'],
] as const)('%s refuses what no angler means, with the path to it', (name, input, field) => {
  const outcome = calculate(name, input)
  expect(outcome.ok ? [] : outcome.issues.map(({ path }) => path[0])).toEqual([field])
})

import { expect, test } from 'vitest'
import { stiffnessNperM, strengthLunge } from './lunge.ts'

const braid = { lengthM: 30, diameterM: 0.0003, modulusPa: 30e9 }
const mono = { lengthM: 5, diameterM: 0.0008, modulusPa: 2.2e9 }
const rush = {
  dragN: 40,
  startFactor: 1.2,
  speedMperS: 5,
  layers: [mono, braid],
  spoolEffectiveMassKg: 0.12,
  guideWrapRad: 0,
  guideFriction: 0.12,
}

test('springs in a row: half the line is twice as stiff, two halves are the whole, the softest decides', () => {
  const halves = [
    { ...braid, lengthM: 15 },
    { ...braid, lengthM: 15 },
  ]
  expect(stiffnessNperM(halves)).toBeCloseTo(stiffnessNperM([braid]), 9)
  expect(stiffnessNperM(halves.slice(1))).toBeCloseTo(2 * stiffnessNperM([braid]), 9)
  expect(stiffnessNperM([braid], 20)).toBeLessThan(20)
  expect(stiffnessNperM([braid], 1e12)).toBeCloseTo(stiffnessNperM([braid]), 3)
})

test('without a rush the drag sticks and no more; a spool without mass adds nothing; the guides multiply all of it', () => {
  expect(strengthLunge({ ...rush, speedMperS: 0 }).peakN).toBeCloseTo(1.2 * 40, 9)
  expect(strengthLunge({ ...rush, spoolEffectiveMassKg: 1e-12 }).peakAtReelN).toBeCloseTo(1.2 * 40, 4)
  const wrapped = strengthLunge({ ...rush, guideWrapRad: 1.2 })
  expect(wrapped.peakN / wrapped.peakAtReelN).toBeCloseTo(Math.exp(0.144), 9)
})

test('a short line and a rod that points at the fish are the worst', () => {
  const peak = (more: object) => strengthLunge({ ...rush, ...more }).peakN
  expect(peak({ layers: [mono] })).toBeGreaterThan(peak({}))
  expect(peak({})).toBeGreaterThan(peak({ rodStiffnessNperM: 60 }))
})

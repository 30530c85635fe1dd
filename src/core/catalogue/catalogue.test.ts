import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { catalogue } from '../../../tests/fixtures/setups.ts'
import { gearBarMass } from '../physics/gear/barMass.ts'
import { hookGang } from '../physics/hooking/hookGang.ts'
import { efficiencyOf, isTiedIn, withOwn } from './catalogue.ts'
import { defaultTurns, keptWithTurns, lineUsedM } from './connections.ts'
import { hardwareStrengthN } from './hardware.ts'
import { hookDimensions, straighteningLoadN } from './hooks.ts'
import type { Material } from './ids.ts'
import { CONNECTION_IDS, HOOK_PATTERN_IDS, MATERIAL_IDS } from './ids.ts'
import { labelStepsN, nextLabelN } from './labels.ts'
import { lineDiameterM, nominalDiameterM } from './materials.ts'

const lb = 4.4482216152605
const metres = fc.double({ min: 0.001, max: 2, noNaN: true })

describe('hook.gang', () => {
  test('one hook spans its pitch; more hooks span more; coverage has no size', () => {
    fc.assert(
      fc.property(metres, metres, metres, fc.integer({ min: 1, max: 6 }), (baitLengthM, hookPitchM, linkLengthM, count) => {
        expect(hookGang({ baitLengthM, hookPitchM, linkLengthM, count: 1 }).spanM).toBe(hookPitchM)
        const one = hookGang({ baitLengthM, hookPitchM, linkLengthM, count })
        expect(hookGang({ baitLengthM, hookPitchM, linkLengthM, count: count + 1 }).spanM).toBeGreaterThan(one.spanM)
        const twice = hookGang({ baitLengthM: 2 * baitLengthM, hookPitchM: 2 * hookPitchM, linkLengthM: 2 * linkLengthM, count })
        expect(twice.coverage).toBeCloseTo(one.coverage, 9)
      }),
    )
  })
})

describe('gear.barMass', () => {
  test('weighs what it displaces less: nothing in a liquid of its own density', () => {
    expect(gearBarMass({ diameterM: 0.03, lengthM: 0.4, densityKgperM3: 1025 }).submergedN).toBeCloseTo(0, 12)
    fc.assert(
      fc.property(metres, metres, fc.double({ min: 0.1, max: 10, noNaN: true }), (diameterM, lengthM, k) => {
        const bar = gearBarMass({ diameterM, lengthM, densityKgperM3: 7850 })
        const scaled = gearBarMass({ diameterM: diameterM * k, lengthM: lengthM * k, densityKgperM3: 7850 })
        expect(scaled.massKg / (bar.massKg * k ** 3)).toBeCloseTo(1, 9)
        expect(gearBarMass({ diameterM, lengthM: lengthM * 1.1, densityKgperM3: 7850 }).massKg).toBeGreaterThan(bar.massKg)
      }),
    )
  })
})

describe('connections', () => {
  test('every efficiency and spread is a share', () => {
    for (const id of CONNECTION_IDS) {
      for (const efficiency of Object.values(catalogue.connections[id].efficiency))
        expect(efficiency > 0 && efficiency <= 1).toBe(true)
      if (catalogue.connections[id].joins !== 'fixture')
        expect(catalogue.connections[id].spread > 0 && catalogue.connections[id].spread < 0.2).toBe(true)
    }
  })

  test('turns fall as line thickens and rise in braid', () => {
    expect(defaultTurns(catalogue, 'clinch', { material: 'mono', diameterM: 0.0004 })).toBe(6)
    expect(defaultTurns(catalogue, 'clinch', { material: 'mono', diameterM: 0.0007 })).toBe(4)
    expect(defaultTurns(catalogue, 'clinch', { material: 'mono', diameterM: 0.0002 })).toBe(7)
    expect(defaultTurns(catalogue, 'doubleUni', { material: 'braid', diameterM: 0.0003 })).toBe(8)
    const bimini = (strengthN: number) =>
      defaultTurns(catalogue, 'bimini', { material: 'braid', diameterM: nominalDiameterM(catalogue, 'braid', strengthN) })
    expect([10 * lb, 50 * lb, 80 * lb].map(bimini)).toEqual([30, 20, 15])
  })

  test('too few turns cost more and more down to slipping; more than usual cost nothing', () => {
    const kept = [9, 6, 5, 4, 3, 2, 1].map((turns) => keptWithTurns(turns, 6))
    expect(kept.slice(0, 2)).toEqual([1, 1])
    for (const [i, share] of kept.entries()) if (i > 1) expect(share).toBeLessThan(kept[i - 1]!)
    // Half the turns: 1 − 0.8 × 0.5^1.5.
    expect(kept[4]).toBeCloseTo(0.71716, 5)
    expect(kept.at(-1)).toBeLessThan(0.45)
  })

  test('line used is handling, loops and turns', () => {
    const mono = { material: 'mono' as Material, diameterM: 0.0005 }
    expect(lineUsedM(catalogue, 'uni', mono, { turns: 5, loopM: 0 })).toBeCloseTo(0.1 + 7 * 5 * 0.0005, 12)
    expect(lineUsedM(catalogue, 'surgeonsLoop', mono, { turns: 2, loopM: 0.08 })).toBeCloseTo(2 * 0.08 + 0.1 + 7 * 2 * 0.0005, 12)
    expect(lineUsedM(catalogue, 'fg', { ...mono, material: 'braid' }, { turns: 22, loopM: 0 })).toBeCloseTo(
      0.35 + 7 * 22 * 0.0005,
      12,
    )
    // The leader lies straight in the weave, however thick it is.
    expect(lineUsedM(catalogue, 'fg', { ...mono, diameterM: 0.001 }, { turns: 22, loopM: 0 })).toBe(0.06)
  })
})

describe('materials', () => {
  test('a nominal diameter carries its strength at the material’s stress', () => {
    for (const material of MATERIAL_IDS.filter((each) => each !== 'wire')) {
      const d = nominalDiameterM(catalogue, material, 100)
      expect(100 / ((Math.PI / 4) * d ** 2)).toBeCloseTo(catalogue.materials[material].stressPa, -1)
      expect(catalogue.materials[material].stressPa).toBeLessThan(catalogue.materials[material].sanePa)
    }
    expect(lineDiameterM(catalogue, { material: 'mono', strengthN: 100, diameterM: 0.0004 })).toBe(0.0004)
  })
})

test('single-strand wire has the diameters of its numbers, and lies between them', () => {
  expect(nominalDiameterM(catalogue, 'wire', 58 * lb)).toBeCloseTo(0.00041, 9)
  expect(nominalDiameterM(catalogue, 'wire', 27 * lb)).toBeCloseTo(0.00028, 9)
  expect(nominalDiameterM(catalogue, 'wire', 63.5 * lb)).toBeCloseTo(0.000435, 9)
})

describe('hooks', () => {
  test('gap grows with the hook in every pattern, and the straightening load follows wire cubed over gape', () => {
    for (const pattern of HOOK_PATTERN_IDS) {
      const gapes = catalogue.hooks.sizes.map((size) => hookDimensions(catalogue, pattern, size)!.gapeM)
      expect(gapes).toEqual(gapes.toSorted((a, b) => a - b))
    }
    expect(straighteningLoadN(0.0015, 0.016)).toBeCloseTo((1300 * 1.5 ** 3) / 16, 9)
    expect(hookDimensions(catalogue, 'j', 'big')).toBeUndefined()
  })
})

test('swivels: the smaller the number the stronger; a three-way has 70 % of a barrel', () => {
  expect(hardwareStrengthN(catalogue, 'swivel', '4')).toBe(500)
  expect(hardwareStrengthN(catalogue, 'threeWay', '4')).toBe(350)
  expect(hardwareStrengthN(catalogue, 'swivel', '3')).toBeUndefined()
})

test('labels step up and down and stay at their ends', () => {
  expect(nextLabelN(40 * lb, -1, 'lb') / lb).toBeCloseTo(30, 9)
  expect(nextLabelN(33 * lb, 1, 'lb') / lb).toBeCloseTo(40, 9)
  expect(nextLabelN(300 * lb, 1, 'lb') / lb).toBeCloseTo(300, 9)
  expect(labelStepsN('kg')[0]).toBeCloseTo(2 * 9.80665, 9)
})

describe('the efficiency of a joint', () => {
  const joint = { connection: 'uni' as const }

  test('is the joint’s own figure, else the crew’s latest, else the nominal one', () => {
    const { efficiency, spread } = catalogue.connections.uni
    expect(efficiencyOf(catalogue, joint, 'mono')).toEqual({ mean: efficiency.mono, spread, tests: 0, origin: 'nominal' })
    const measured = (mean: number) => ({ connection: 'uni' as const, material: 'mono' as const, mean, spread: 0.03, tests: 8 })
    const crew = withOwn(withOwn(catalogue, [measured(0.7)]), [measured(0.8)])
    expect(efficiencyOf(crew, joint, 'mono')).toEqual({ mean: 0.8, spread: 0.03, tests: 8, origin: 'own' })
    expect(efficiencyOf(crew, joint, 'fluoro')?.origin).toBe('nominal')
    expect(efficiencyOf(crew, { ...joint, own: { efficiency: 0.9 } }, 'mono')).toEqual({
      mean: 0.9,
      spread,
      tests: 0,
      origin: 'own',
    })
    expect(efficiencyOf(crew, { ...joint, own: { efficiency: 0.9, spread: 0.02, tests: 3 } }, 'mono')).toMatchObject({
      spread: 0.02,
      tests: 3,
    })
  })

  test('where a knot cannot be tied in a material it is tied once someone measured it there', () => {
    const haywire = { connection: 'haywire' as const }
    expect(isTiedIn(catalogue, haywire, 'braid')).toBe(false)
    const crew = withOwn(catalogue, [{ connection: 'haywire', material: 'braid', mean: 0.4, spread: 0.1, tests: 2 }])
    expect(isTiedIn(crew, haywire, 'braid')).toBe(true)
  })
})

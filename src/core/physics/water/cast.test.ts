import { describe, expect, test } from 'vitest'
import { SEA_WATER_KG_PER_M3 } from '../../math/constants.ts'
import { powerProfile } from './current.ts'
import { followLine, NORMAL_COEFFICIENT } from './lineInFluid.ts'
import { waterShoreHold } from './shoreHold.ts'
import { waterUptideHold } from './uptideHold.ts'

const RHO = SEA_WATER_KG_PER_M3

describe('from the shore, and up-tide', () => {
  const shore = {
    lineDiameterM: 0.00035,
    currentMperS: 0.3,
    spanM: 90,
    scope: 1.08,
    grip: 2,
    sinkerDensityKgperM3: 11340,
    baitDragAreaM2: 0.001,
  }

  test('the bow is a catenary: its length over its span is the scope, and the pull grows with the square of the stream', () => {
    const held = waterShoreHold(shore)
    const a = held.lineTensionN / (0.5 * RHO * NORMAL_COEFFICIENT * shore.lineDiameterM * shore.currentMperS ** 2)
    expect((2 * a * Math.sinh(shore.spanM / (2 * a))) / shore.spanM).toBeCloseTo(shore.scope, 10)
    expect(waterShoreHold({ ...shore, currentMperS: 0.6 }).pullN / held.pullN).toBeCloseTo(4, 9)
    expect(waterShoreHold({ ...shore, grip: 1 }).sinkerMassKg / held.sinkerMassKg).toBeCloseTo(2, 9)
  })

  test.each([
    ['line-too-short', { scope: 1 }],
    ['line-too-short', { scope: Number.NaN }],
    ['out-of-range', { scope: 4 }],
    ['out-of-range', { currentMperS: 0 }],
  ])('%s', (code, more) => {
    expect(() => waterShoreHold({ ...shore, ...more })).toThrow(expect.objectContaining({ code }))
  })

  const uptide = {
    lineDiameterM: 0.0003,
    lineDensityKgperM3: 970,
    surfaceCurrentMperS: 0.9,
    depthM: 18,
    uptideDistanceM: 38,
    lineOutM: 50,
    grip: 2.5,
    sinkerDensityKgperM3: 11340,
    baitDragAreaM2: 0.001,
    profileExponent: 1 / 7,
  }

  test('the line shot from the answer comes out at the boat', () => {
    const { pullUptideN, liftN } = waterUptideHold(uptide)
    const { point } = followLine(
      { line: { diameterM: 0.0003, densityKgperM3: 970 }, current: powerProfile(0.9, 18, 1 / 7), fluidDensityKgperM3: RHO },
      { s: 0, x: -38, z: 0, tx: pullUptideN, tz: liftN },
      { longest: 50, tolerance: 1e-11, scales: { along: 18, places: 18, rates: 1 }, untilSpent: false },
    )
    expect(point.x).toBeCloseTo(0, 5)
    expect(point.z).toBeCloseTo(18, 5)
  })

  test('more stream, more sinker; line at or under the chord is too short', () => {
    expect(waterUptideHold({ ...uptide, surfaceCurrentMperS: 1.2 }).sinkerMassKg).toBeGreaterThan(
      waterUptideHold(uptide).sinkerMassKg,
    )
    expect(() => waterUptideHold({ ...uptide, lineOutM: 42 })).toThrow(expect.objectContaining({ code: 'line-too-short' }))
  })
})

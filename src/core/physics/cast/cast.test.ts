import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { dormandPrinceStep, stepRoom } from '../../math/followState.ts'
import { castLoad } from './load.ts'
import { type CastRangeInput, castRange } from './range.ts'

const g = 9.80665
const throwOf = fc.record({
  massKg: fc.double({ min: 0.02, max: 0.3, noNaN: true }),
  dragAreaM2: fc.double({ min: 0.0001, max: 0.004, noNaN: true }),
  releaseSpeedMperS: fc.double({ min: 10, max: 60, noNaN: true }),
  launchDeg: fc.double({ min: 5, max: 70, noNaN: true }),
  releaseHeightM: fc.double({ min: 0, max: 20, noNaN: true }),
})

describe('cast.load', () => {
  test('at no speed it is the weight; it is proportional to the mass; it rises with speed', () => {
    expect(castLoad({ massKg: 0.1, releaseSpeedMperS: 1e-9, strokeM: 5, peakFactor: 2 }).peakN).toBeCloseTo(0.1 * g, 9)
    fc.assert(
      fc.property(fc.double({ min: 0.01, max: 1, noNaN: true }), fc.double({ min: 5, max: 60, noNaN: true }), (massKg, v) => {
        const at = (mass: number, speed: number) =>
          castLoad({ massKg: mass, releaseSpeedMperS: speed, strokeM: 5, peakFactor: 2 })
        expect(at(2 * massKg, v).peakN).toBeCloseTo(2 * at(massKg, v).peakN, 9)
        expect(at(massKg, v * 1.1).peakN).toBeGreaterThan(at(massKg, v).peakN)
        // One ounce asks for ten pounds.
        expect(at(0.028349523125, v).ruleN).toBeCloseTo(44.482216152605, 9)
      }),
    )
  })
})

describe('cast.range', () => {
  test('without drag it is the parabola', () => {
    fc.assert(
      fc.property(throwOf, (given) => {
        const { rangeM, timeS } = castRange({ ...given, dragAreaM2: 0 })
        const angle = (given.launchDeg * Math.PI) / 180
        const up = given.releaseSpeedMperS * Math.sin(angle)
        const flight = (up + Math.sqrt(up ** 2 + 2 * g * given.releaseHeightM)) / g
        expect(timeS).toBeCloseTo(flight, 5)
        expect(rangeM).toBeCloseTo(flight * given.releaseSpeedMperS * Math.cos(angle), 4)
      }),
    )
  })

  test('more drag area never flies further', () => {
    fc.assert(
      fc.property(throwOf, (given: CastRangeInput) => {
        expect(castRange({ ...given, dragAreaM2: given.dragAreaM2 * 1.5 }).rangeM).toBeLessThan(castRange(given).rangeM)
      }),
    )
  })

  test('only mass over drag area counts', () => {
    fc.assert(
      fc.property(throwOf, fc.double({ min: 0.1, max: 10, noNaN: true }), (given, k) => {
        const scaled = castRange({ ...given, massKg: given.massKg * k, dragAreaM2: given.dragAreaM2 * k })
        expect(scaled.rangeM / castRange(given).rangeM).toBeCloseTo(1, 9)
      }),
    )
  })

  test('thrown flat from the water’s edge it goes nowhere', () => {
    expect(castRange({ massKg: 0.1, dragAreaM2: 0.001, releaseSpeedMperS: 30, launchDeg: 0, releaseHeightM: 0 })).toEqual({
      rangeM: 0,
      timeS: 0,
    })
  })

  test('a straight-up throw falls back within its time at terminal speed', () => {
    const { timeS } = castRange({ massKg: 0.001, dragAreaM2: 0.01, releaseSpeedMperS: 60, launchDeg: 89, releaseHeightM: 50 })
    expect(timeS).toBeGreaterThan(10)
  })
})

test('halving a Dormand–Prince step cuts its error by about 2⁶ (local order of a fifth-order step)', () => {
  const f = (y: Float64Array, out: Float64Array) => {
    out[0] = -2 * y[0]!
  }
  const errorAt = (h: number) => {
    const room = stepRoom(1)
    f(Float64Array.of(1), room.k.k1)
    dormandPrinceStep(f, Float64Array.of(1), room, h)
    return Math.abs(room.next[0]! - Math.exp(-2 * h))
  }
  expect(errorAt(0.2) / errorAt(0.1)).toBeGreaterThan(50)
  expect(errorAt(0.2) / errorAt(0.1)).toBeLessThan(80)
})

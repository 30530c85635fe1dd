import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { GRAVITY_M_PER_S2 } from '../../math/constants.ts'
import type { LinePoint } from '../water/lineInFluid.ts'
import { type KiteLeadInput, kiteFollower, kiteLead, windProfile } from './kiteLead.ts'
import { type TrollDepthInput, trollDepth } from './trollDepth.ts'
import { trollLift } from './trollLift.ts'

const RUNS = { numRuns: 60, seed: 20261126 }
const between = (min: number, max: number) => fc.double({ min, max, noNaN: true })
const WEIGHT: TrollDepthInput = {
  speedMperS: 1.5,
  layers: [
    { lengthM: 2, diameterM: 0.00033, densityKgperM3: 1780 },
    { lengthM: 40, diameterM: 0.00028, densityKgperM3: 970 },
  ],
  endMassKg: 0.45,
  endDensityKgperM3: 11_340,
  endDragAreaM2: 6e-4,
  endLiftAreaM2: 0,
}
const withMain = (input: TrollDepthInput, change: Partial<TrollDepthInput['layers'][number]>): TrollDepthInput => ({
  ...input,
  layers: [input.layers[0]!, { ...input.layers[1]!, ...change }],
})
/** A weight that bears its line well down, at a trolling speed. */
const trolled = fc
  .record({
    speedMperS: between(0.3, 3),
    massKg: between(0.05, 1),
    mainM: between(5, 80),
    diameterM: between(1e-4, 8e-4),
    dragM2: between(1e-5, 2e-3),
  })
  .map(
    ({ speedMperS, massKg, mainM, diameterM, dragM2 }): TrollDepthInput => ({
      ...withMain(
        { ...WEIGHT, speedMperS, endMassKg: massKg, endDragAreaM2: dragM2 },
        { lengthM: mainM, diameterM, densityKgperM3: 1140 },
      ),
    }),
  )

describe('a line that is drawn through the water', () => {
  test('without a speed it hangs straight down, as long as it is', () => {
    const { depthM, setbackM, topTensionN } = trollDepth({ ...WEIGHT, speedMperS: 0 })
    expect(depthM).toBeCloseTo(42, 9)
    expect(setbackM).toBeCloseTo(0, 9)
    const lineN = WEIGHT.layers.reduce(
      (sum, { lengthM, diameterM, densityKgperM3 }) =>
        sum + (densityKgperM3 - 1025) * GRAVITY_M_PER_S2 * (Math.PI / 4) * diameterM ** 2 * lengthM,
      0,
    )
    expect(topTensionN).toBeCloseTo(0.45 * GRAVITY_M_PER_S2 * (1 - 1025 / 11_340) + lineN, 6)
  })

  test('at every depth the parts of its pull are those of what lies below: the balance of forces, piece by piece', () => {
    fc.assert(
      fc.property(trolled, (input) => {
        const points: LinePoint[] = []
        const top = trollDepth(input, {}, (point) => points.push(point))
        const dragN = 0.5 * 1025 * input.speedMperS ** 2 * input.endDragAreaM2
        expect(-points[0]!.tx).toBeCloseTo(dragN, 9)
        // Down-current the flow only adds: from the end up the pull grows.
        const across = points.map(({ tx }) => -tx)
        for (const [i, pull] of across.entries()) expect(pull).toBeGreaterThanOrEqual((across[i - 1] ?? 0) - 1e-12)
        expect(top.depthM).toBeLessThanOrEqual(points.at(-1)!.s)
        expect(Math.hypot(top.depthM, top.setbackM)).toBeLessThanOrEqual(42 + 80)
      }),
      RUNS,
    )
  })

  test('deeper with more line, a thinner one, a slower course and a heavier end', () => {
    fc.assert(
      fc.property(trolled, (input) => {
        const deep = trollDepth(input).depthM
        const main = input.layers[1]!
        expect(trollDepth(withMain(input, { lengthM: main.lengthM * 1.2 })).depthM).toBeGreaterThan(deep)
        expect(trollDepth(withMain(input, { diameterM: main.diameterM * 0.8, densityKgperM3: 1025 })).depthM).toBeGreaterThan(
          trollDepth(withMain(input, { densityKgperM3: 1025 })).depthM,
        )
        expect(trollDepth({ ...input, speedMperS: input.speedMperS * 0.8 }).depthM).toBeGreaterThan(deep)
        expect(trollDepth({ ...input, endMassKg: input.endMassKg * 1.2 }).depthM).toBeGreaterThan(deep)
      }),
      RUNS,
    )
  })

  test('the lip that a rating implies takes the lure back to the rated depth', () => {
    fc.assert(
      fc.property(between(1, 9), between(0.8, 2.5), between(1.2e-4, 4e-4), (depthM, speedMperS, diameterM) => {
        const rated = {
          ...withMain({ ...WEIGHT, speedMperS, endMassKg: 0.02, endDensityKgperM3: 1004.5 }, { lengthM: 30, diameterM }),
        }
        let area: number
        try {
          area = trollLift({ ...rated, depthM }).endLiftAreaM2
        } catch (error) {
          expect(error).toMatchObject({ code: 'no-root', details: { end: 'most' } })
          return
        }
        expect(trollDepth({ ...rated, endLiftAreaM2: area }).depthM / depthM).toBeCloseTo(1, 6)
      }),
      RUNS,
    )
    expect(() => trollLift({ ...WEIGHT, depthM: 1 })).toThrow(
      expect.objectContaining({ code: 'no-root', details: expect.objectContaining({ end: 'least' }) }),
    )
    expect(() => trollLift({ ...WEIGHT, endMassKg: 0.01, depthM: 500 })).toThrow(
      expect.objectContaining({ code: 'no-root', details: expect.objectContaining({ end: 'most' }) }),
    )
  })

  test('what floats and has no lip does not sink; a light one on floating line is blown out, and it says where', () => {
    const floating = { ...WEIGHT, endMassKg: 0.02, endDensityKgperM3: 900 }
    expect(() => trollDepth(floating)).toThrow(expect.objectContaining({ code: 'does-not-sink' }))
    const light = withMain({ ...WEIGHT, endMassKg: 0.0005 }, { lengthM: 400, diameterM: 0.001, densityKgperM3: 900 })
    expect(() => trollDepth(light)).toThrow(
      expect.objectContaining({ code: 'blown-out', details: { lengthM: expect.any(Number) } }),
    )
  })
})

const KITE: KiteLeadInput = {
  windMperS: 6,
  lineDiameterM: 0.00046,
  lineDensityKgperM3: 1140,
  tipHeightM: 3,
  ringHeightM: 20,
  ringDistanceM: 45,
  slack: 1.02,
  ringFriction: 0.1,
  hungMassKg: 0,
}
const flown = fc
  .record({
    windMperS: between(3, 12),
    ringHeightM: between(12, 35),
    ringDistanceM: between(20, 70),
    slack: between(1.005, 1.08),
    lineDiameterM: between(2.5e-4, 8e-4),
  })
  .map((drawn): KiteLeadInput => ({ ...KITE, ...drawn }))

describe('a bait under a kite', () => {
  test('the line ends at the ring, is as long as it is said to be, and each end’s pull carries wind and weight', () => {
    fc.assert(
      fc.property(flown, (input) => {
        const points: LinePoint[] = []
        const { lineToRingM, ringTensionN, ringAngleDeg, lowestM } = kiteLead(input, (point) => points.push(point))
        const ring = points.at(-1)!
        const chordM = Math.hypot(input.ringDistanceM, input.ringHeightM - input.tipHeightM)
        expect(lineToRingM / chordM).toBeCloseTo(input.slack, 9)
        // As near as a part of the slack in it.
        const near = 1e-3 * (input.slack - 1) * chordM
        expect(Math.hypot(ring.x - input.ringDistanceM, ring.z - input.ringHeightM)).toBeLessThan(near)
        expect(ringTensionN).toBeCloseTo(Math.hypot(ring.tx, ring.tz), 9)
        expect(Math.tan((ringAngleDeg * Math.PI) / 180)).toBeCloseTo(ring.tz / ring.tx, 6)
        // Upright: wind across a climbing line presses it down, and it weighs; from the tip up the pull turns upwards.
        const [first] = points
        const weighsN = (1140 - 1.225) * GRAVITY_M_PER_S2 * (Math.PI / 4) * input.lineDiameterM ** 2 * lineToRingM
        expect(ring.tz - first!.tz).toBeGreaterThan(0.9 * weighsN)
        expect(lowestM).toBeLessThanOrEqual(input.tipHeightM)
        expect(lowestM).toBeLessThanOrEqual(Math.min(...points.map(({ z }) => z)) + 1e-9)
      }),
      RUNS,
    )
  })

  test('in hardly any wind it hangs as a catenary', () => {
    const { ringDistanceM: span, slack, tipHeightM, ringHeightM } = KITE
    const rise = ringHeightM - tipHeightM
    const lineM = slack * Math.hypot(span, rise)
    const weight = (1140 - 1.225) * GRAVITY_M_PER_S2 * (Math.PI / 4) * KITE.lineDiameterM ** 2
    // √(L² − rise²) = 2a sinh(span / 2a)
    let a = span
    for (let i = 0; i < 60; i += 1) {
      const x = span / (2 * a)
      a -= (2 * a * Math.sinh(x) - Math.sqrt(lineM ** 2 - rise ** 2)) / (2 * Math.sinh(x) - 2 * x * Math.cosh(x))
    }
    // The ring lies so far over the catenary's lowest point that its pull is w · height.
    const mid = a * Math.atanh(rise / lineM)
    const ringN = weight * a * Math.cosh((span / 2 + mid) / a)
    expect(kiteLead({ ...KITE, windMperS: 0.01 }).ringTensionN / ringN).toBeCloseTo(1, 3)
  })

  test('lead grows with wind and with a thicker line, and falls with friction, with what hangs there, and with slack until the belly nears the sea', () => {
    fc.assert(
      fc.property(flown, (input) => {
        const { hungForceN, lowestM, leadMassKg } = kiteLead(input)
        expect(kiteLead({ ...input, windMperS: 1.2 * input.windMperS }).hungForceN).toBeGreaterThan(hungForceN)
        expect(kiteLead({ ...input, ringFriction: 0.3 }).hungForceN).toBeLessThan(hungForceN)
        expect(kiteLead({ ...input, hungMassKg: 0.003 }).leadMassKg).toBeCloseTo(Math.max(0, leadMassKg - 0.003), 9)
        if (lowestM > 2) expect(kiteLead({ ...input, slack: input.slack + 0.01 }).hungForceN).toBeLessThan(hungForceN)
        // Where the wind bears most of it, twice the thickness is twice the wind.
        const thick = kiteLead({ ...input, lineDiameterM: 1.3 * input.lineDiameterM })
        expect(thick.ringTensionN).toBeGreaterThan(kiteLead(input).ringTensionN)
      }),
      RUNS,
    )
  })

  test('one after the other they are what each is alone, and what has no answer does not stand in the way of the next', () => {
    for (const windMperS of [2, 8, 14]) {
      const lead = kiteFollower()
      for (const slack of [1.004, 1.02, 1.06, 1.12, 1.3]) {
        const input = { ...KITE, windMperS, slack }
        const [alone, after] = [kiteLead(input), lead(input)]
        expect(after.hungForceN).toBeCloseTo(alone.hungForceN, 2)
        expect(after.lowestM).toBeCloseTo(alone.lowestM, 1)
        expect(() => lead({ ...input, ringHeightM: 0 })).toThrow('over the rod tip')
      }
    }
  })

  test('the wind is what is told at ten metres, weaker below, even close to the sea', () => {
    const wind = windProfile(8)
    expect(wind(10)).toBeCloseTo(8, 12)
    expect(wind(20)).toBeCloseTo(8 * 2 ** (1 / 7), 9)
    expect(wind(0.5)).toBe(wind(-2))
  })

  test.each([
    [{ slack: 1 }, 'taut'],
    [{ slack: 1.4 }, 'in the sea'],
    [{ windMperS: 0 }, 'no kite'],
    [{ ringHeightM: 3 }, 'over the rod tip'],
  ])('%o is refused in words', (change, words) => {
    expect(() => kiteLead({ ...KITE, ...change })).toThrow(
      expect.objectContaining({ code: 'out-of-range', message: expect.stringContaining(words) }),
    )
  })

  test('whatever is asked, it is solved or says that it is not; nothing of it is no number', () => {
    const drawn = fc.record({
      windMperS: between(0.5, 60),
      tipHeightM: between(0.5, 5),
      over: between(0.5, 60),
      ringDistanceM: between(5, 150),
      slack: between(1.001, 1.3),
      lineDiameterM: between(1.5e-4, 1.2e-3),
    })
    fc.assert(
      fc.property(drawn, ({ over, ...rest }) => {
        try {
          const solved = kiteLead({ ...KITE, ...rest, ringHeightM: rest.tipHeightM + over })
          for (const value of Object.values(solved)) expect(Number.isFinite(value)).toBe(true)
        } catch (error) {
          expect(error).toMatchObject({ code: 'no-convergence' })
        }
      }),
      { numRuns: 200, seed: 7 },
    )
  })

  test('the belly that nears the sea is said by its lowest height', () => {
    const slack = kiteLead({ ...KITE, windMperS: 8, slack: 1.1 })
    expect(slack.lowestM).toBeLessThan(KITE.tipHeightM)
    expect(kiteLead({ ...KITE, windMperS: 8, slack: 1.3, tipHeightM: 1 }).lowestM).toBeLessThan(0)
  })
})

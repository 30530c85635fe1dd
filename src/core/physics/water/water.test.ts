import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { BOAT } from '../../../../tests/fixtures/hang.ts'
import { GRAVITY_M_PER_S2, SEA_WATER_KG_PER_M3 } from '../../math/constants.ts'
import { findRoot } from '../../math/findRoot.ts'
import { powerProfile } from './current.ts'
import { waterDriftLine, waterDriftMass } from './driftLine.ts'
import { type HangInput, waterHang } from './hang.ts'
import { waterHangMass } from './hangMass.ts'
import { waterLine } from './line.ts'
import { type LinePoint, NORMAL_COEFFICIENT } from './lineInFluid.ts'
import { waterSink } from './sink.ts'
import { sphereAreaM2, submergedWeightN } from './sphere.ts'

const RHO = SEA_WATER_KG_PER_M3
const hangArb: fc.Arbitrary<HangInput> = fc.record({
  sinkerMassKg: fc.double({ min: 0.3, max: 3, noNaN: true }),
  sinkerDensityKgperM3: fc.constantFrom(7850, 11340, 17500),
  sinkerDragCoefficient: fc.constant(0.5),
  baitDragAreaM2: fc.double({ min: 0, max: 0.002, noNaN: true }),
  lineDiameterM: fc.double({ min: 0.0001, max: 0.0004, noNaN: true }),
  lineDensityKgperM3: fc.constantFrom(970, 1140, 1780),
  surfaceCurrentMperS: fc.double({ min: 0.05, max: 0.6, noNaN: true }),
  depthM: fc.double({ min: 3, max: 60, noNaN: true }),
  profileExponent: fc.constantFrom(0, 1 / 7),
})

describe('a hanging line', () => {
  test('closed form: an even stream, a weightless line without drag along it, is a catenary', () => {
    // T constant, a = T/q, S = a sinh(D/a), X = a (cosh(D/a) − 1).
    const even = { ...BOAT, profileExponent: 0, lineDensityKgperM3: RHO, sinkerDragCoefficient: 0, baitDragAreaM2: 0 }
    const hung = waterHang(even, { tangentialCoefficient: 0, tolerance: 1e-10 })
    const tension = submergedWeightN(even.sinkerMassKg, even.sinkerDensityKgperM3, RHO)
    const a = tension / (0.5 * RHO * NORMAL_COEFFICIENT * even.lineDiameterM * even.surfaceCurrentMperS ** 2)
    expect(hung.topTensionN).toBeCloseTo(tension, 7)
    expect(hung.lineOutM).toBeCloseTo(a * Math.sinh(even.depthM / a), 6)
    expect(hung.setbackM).toBeCloseTo(a * (Math.cosh(even.depthM / a) - 1), 6)
  })

  test('in slack water it hangs straight down, and the pull at the top is all that hangs', () => {
    const still = waterHang({ ...BOAT, surfaceCurrentMperS: 0 })
    const lineN = (BOAT.lineDensityKgperM3 - RHO) * GRAVITY_M_PER_S2 * (Math.PI / 4) * BOAT.lineDiameterM ** 2 * BOAT.depthM
    expect(still.lineOutM).toBeCloseTo(BOAT.depthM, 9)
    expect(still.setbackM).toBeCloseTo(0, 12)
    expect(still.topTensionN).toBeCloseTo(submergedWeightN(BOAT.sinkerMassKg, BOAT.sinkerDensityKgperM3, RHO) + lineN, 6)
  })

  test('balance of the whole line: the pull at the top is weight, drag of the ends, and drag of every length between', () => {
    fc.assert(
      fc.property(hangArb, (input) => {
        const points: LinePoint[] = []
        const top = waterHang(input, { tolerance: 1e-9, onPoint: (point) => points.push(point) })
        const current = powerProfile(input.surfaceCurrentMperS, input.depthM, input.profileExponent)
        const last = points.at(-1)!
        expect(Math.hypot(last.tx, last.tz)).toBeCloseTo(top.topTensionN, 9)
        // The fluid's force summed over the drawn curve by trapezes, as coarse as its points.
        const force = ({ z, tx, tz }: LinePoint) => {
          const pull = Math.hypot(tx, tz)
          const [cx, cz] = [tx / pull, tz / pull]
          const u = current(z)
          const [n, t] = [0.5 * RHO * 1.2 * input.lineDiameterM, 0.5 * RHO * 0.03 * input.lineDiameterM]
          return n * Math.abs(u * cz) * u * cz * cz + t * Math.abs(u * cx) * u * cx * cx
        }
        let along = 0
        for (let i = 1; i < points.length; i += 1) {
          const [p, q] = [points[i - 1]!, points[i]!]
          along += ((force(p) + force(q)) / 2) * (q.s - p.s)
        }
        const area = 0.5 * sphereAreaM2(input.sinkerMassKg, input.sinkerDensityKgperM3) + input.baitDragAreaM2
        const ends = 0.5 * RHO * area * current(0.2) ** 2
        expect(-last.tx / (along + ends)).toBeCloseTo(1, 1)
        // Energy of the line as a whole: heights add up to the depth.
        expect(last.z).toBeCloseTo(input.depthM, 9)
      }),
      { numRuns: 60 },
    )
  })

  test('a tighter tolerance comes closer, by the order of the steps', () => {
    const exact = waterHang(BOAT, { tolerance: 1e-13 }).lineOutM
    const errors = [1e-4, 1e-6, 1e-8].map((tolerance) => Math.abs(waterHang(BOAT, { tolerance }).lineOutM - exact))
    expect(errors[1]!).toBeLessThan(errors[0]! / 5)
    expect(errors[2]!).toBeLessThan(errors[1]! / 5)
    expect(errors[2]! / exact).toBeLessThan(1e-6)
  })

  test('scaled in mass, length and time, the answer scales by its own dimension', () => {
    // Gravity is fixed, so length and time go together: T² = L.
    fc.assert(
      fc.property(
        hangArb,
        fc.double({ min: 0.5, max: 3, noNaN: true }),
        fc.double({ min: 0.5, max: 3, noNaN: true }),
        (input, M, L) => {
          const flat = { ...input, profileExponent: 0 }
          const T = Math.sqrt(L)
          const scaled: HangInput = {
            ...flat,
            sinkerMassKg: flat.sinkerMassKg * M,
            sinkerDensityKgperM3: (flat.sinkerDensityKgperM3 * M) / L ** 3,
            baitDragAreaM2: flat.baitDragAreaM2 * L ** 2,
            lineDiameterM: flat.lineDiameterM * L,
            lineDensityKgperM3: (flat.lineDensityKgperM3 * M) / L ** 3,
            surfaceCurrentMperS: (flat.surfaceCurrentMperS * L) / T,
            depthM: flat.depthM * L,
            waterDensityKgperM3: (RHO * M) / L ** 3,
          }
          const [plain, other] = [waterHang(flat), waterHang(scaled)]
          expect(other.lineOutM / (plain.lineOutM * L)).toBeCloseTo(1, 5)
          expect(other.topTensionN / (plain.topTensionN * ((M * L) / T ** 2))).toBeCloseTo(1, 5)
        },
      ),
      { numRuns: 40 },
    )
  })

  test('a sinker too light is blown out; one that floats is out of range', () => {
    expect(() => waterHang({ ...BOAT, sinkerMassKg: 0.02, surfaceCurrentMperS: 1.5 })).toThrow(
      expect.objectContaining({ code: 'blown-out' }),
    )
    expect(() => waterHang({ ...BOAT, sinkerDensityKgperM3: 900 })).toThrow(expect.objectContaining({ code: 'out-of-range' }))
  })
})

describe('a layered line', () => {
  const { lineDiameterM, lineDensityKgperM3, ...rest } = BOAT
  const whole = { diameterM: lineDiameterM, densityKgperM3: lineDensityKgperM3 }

  test('cut in lengths of the same line it is the one line; by a table of the same profile likewise', () => {
    const one = waterHang(BOAT)
    const cut = waterLine({
      ...rest,
      layers: [{ ...whole, lengthM: 0.1 }, { ...whole, lengthM: 7 }, { ...whole, lengthM: 3 }, whole],
    })
    expect(cut.lineOutM).toBeCloseTo(one.lineOutM, 6)
    expect(cut.topTensionN).toBeCloseTo(one.topTensionN, 6)
    const even = waterLine({
      ...rest,
      layers: [whole],
      profile: [
        { heightM: 0, speedMperS: 0.4 },
        { heightM: 28, speedMperS: 0.4 },
      ],
    })
    expect(even.lineOutM).toBeCloseTo(waterHang({ ...BOAT, profileExponent: 0, surfaceCurrentMperS: 0.4 }).lineOutM, 6)
  })

  test('closed form of two layers in an even stream, weightless, without drag along them', () => {
    // The tension is constant and the cotangent of the slope grows by q/T a metre: z = (T/q) Δasinh(cot), s = (T/q) Δcot.
    const still = { ...rest, profileExponent: 0, sinkerDragCoefficient: 0, baitDragAreaM2: 0 }
    const layers = [
      { diameterM: 0.0008, densityKgperM3: RHO, lengthM: 6 },
      { diameterM: 0.0003, densityKgperM3: RHO },
    ]
    const tension = submergedWeightN(BOAT.sinkerMassKg, BOAT.sinkerDensityKgperM3, RHO)
    const [q1, q2] = layers.map(({ diameterM }) => 0.5 * RHO * NORMAL_COEFFICIENT * diameterM * BOAT.surfaceCurrentMperS ** 2)
    const c1 = (q1! * 6) / tension
    const z1 = (tension / q1!) * Math.asinh(c1)
    const c2 = Math.sinh(Math.asinh(c1) + ((BOAT.depthM - z1) * q2!) / tension)
    const hung = waterLine({ ...still, layers }, { tangentialCoefficient: 0, tolerance: 1e-10 })
    expect(hung.lineOutM).toBeCloseTo(6 + (tension / q2!) * (c2 - c1), 6)
    expect(hung.topTensionN).toBeCloseTo(tension, 7)
  })

  test('the causes of the drag add up to the pull across at the top', () => {
    fc.assert(
      fc.property(hangArb, fc.double({ min: 0.2, max: 2, noNaN: true }), (input, lengthM) => {
        const { lineDiameterM: diameterM, lineDensityKgperM3: densityKgperM3, ...more } = input
        const layers = [
          { diameterM: 2 * diameterM, densityKgperM3: 1140, lengthM },
          { diameterM, densityKgperM3 },
        ]
        const { dragN, topTensionN, topAngleFromVerticalDeg } = waterLine({ ...more, layers })
        const across = topTensionN * Math.sin((topAngleFromVerticalDeg * Math.PI) / 180)
        expect(dragN.sinker + dragN.bait + dragN.layers.reduce((sum, n) => sum + n, 0)).toBeCloseTo(across, 9)
        const drifting = waterLine({ ...more, layers, driftAcrossMperS: 0.2 })
        const levelN = drifting.topTensionN * Math.sin((drifting.topAngleFromVerticalDeg * Math.PI) / 180)
        const causes = [drifting.dragN.sinker, drifting.dragN.bait, ...drifting.dragN.layers]
        expect(causes.reduce((sum, n) => sum + n, 0)).toBeCloseTo(levelN, 9)
      }),
      { numRuns: 40 },
    )
  })

  test('a drift across turns the flow: in an even one the line is the same, only lying another way', () => {
    const drift = fc.record({
      input: hangArb,
      along: fc.double({ min: -0.4, max: 0.4, noNaN: true }),
      across: fc.double({ min: -0.4, max: 0.4, noNaN: true }),
    })
    fc.assert(
      fc.property(drift, ({ input, along, across }) => {
        const even = { ...input, profileExponent: 0 }
        const [x, y] = [input.surfaceCurrentMperS - along, -across]
        const speed = Math.hypot(x, y)
        fc.pre(speed > 0.02)
        const hung = waterHang({ ...even, surfaceCurrentMperS: speed })
        const drifting = waterDriftLine({ ...even, driftAlongMperS: along, driftAcrossMperS: across })
        expect(drifting.lineOutM).toBeCloseTo(hung.lineOutM, 4)
        expect(drifting.setbackAlongM).toBeCloseTo((hung.setbackM * x) / speed, 4)
        expect(drifting.setbackAcrossM).toBeCloseTo((hung.setbackM * y) / speed, 4)
        expect(drifting.topAngleFromVerticalDeg).toBeCloseTo(hung.topAngleFromVerticalDeg, 3)
      }),
      { numRuns: 40 },
    )
  })

  test('without a drift it is the line at anchor; the more it drifts across, the more the sinker must weigh', () => {
    const { sinkerMassKg, ...rest } = BOAT
    const still = waterDriftLine({ ...BOAT, driftAlongMperS: 0, driftAcrossMperS: 0 })
    expect(still).toMatchObject({ lineOutM: waterHang(BOAT).lineOutM, setbackAlongM: waterHang(BOAT).setbackM })
    expect(sinkerMassKg).toBeGreaterThan(0)
    const masses = [0, 0.1, 0.2, 0.3, 0.5].map(
      (driftAcrossMperS) => waterDriftMass({ ...rest, scope: 1.2, driftAlongMperS: 0.3, driftAcrossMperS }).sinkerMassKg,
    )
    for (const [i, kg] of masses.slice(1).entries()) expect(kg).toBeGreaterThan(masses[i]!)
  })

  test('drifting with the stream in an even current it hangs straight down; line that ends below the surface is blown out', () => {
    const drift = waterLine({ ...rest, profileExponent: 0, layers: [whole], driftMperS: BOAT.surfaceCurrentMperS })
    expect(drift.lineOutM).toBeCloseTo(BOAT.depthM, 9)
    expect(() => waterLine({ ...rest, layers: [{ ...whole, lengthM: 20 }] })).toThrow(
      expect.objectContaining({ code: 'blown-out' }),
    )
  })
})

describe('the sinker for a scope', () => {
  test('put back, it gives that scope', () => {
    fc.assert(
      fc.property(hangArb, fc.double({ min: 1.02, max: 1.6, noNaN: true }), ({ sinkerMassKg: _, ...input }, scope) => {
        let sinkerMassKg: number
        try {
          sinkerMassKg = waterHangMass({ ...input, scope }).sinkerMassKg
        } catch (error) {
          expect(error).toMatchObject({ code: 'no-root' })
          return
        }
        expect(waterHang({ ...input, sinkerMassKg }).lineOutM / input.depthM).toBeCloseTo(scope, 5)
      }),
      { numRuns: 60 },
    )
  })

  test('grows with current, depth and diameter, about with the square of the current; more scope, less lead', () => {
    const { sinkerMassKg: _, ...rest } = { ...BOAT, baitDragAreaM2: 0 }
    const at = (more: Partial<HangInput> & { scope?: number }) => waterHangMass({ ...rest, scope: 1.15, ...more }).sinkerMassKg
    const base = at({})
    expect(at({ surfaceCurrentMperS: 0.9 })).toBeGreaterThan(base)
    expect(at({ depthM: 40 })).toBeGreaterThan(base)
    expect(at({ lineDiameterM: 0.0004 })).toBeGreaterThan(base)
    expect(at({ scope: 1.3 })).toBeLessThan(base)
    expect(at({ surfaceCurrentMperS: 1.4 }) / base).toBeGreaterThan(3.5)
    expect(at({ surfaceCurrentMperS: 1.4 }) / base).toBeLessThan(4.6)
  })

  test('no sinker that is thought of at all: which end it lies beyond', () => {
    const { sinkerMassKg: _, ...rest } = BOAT
    expect(() => waterHangMass({ ...rest, scope: 1.0001, surfaceCurrentMperS: 5, depthM: 300 })).toThrow(
      expect.objectContaining({ code: 'no-root', details: expect.objectContaining({ end: 'most' }) }),
    )
    expect(() => waterHangMass({ ...rest, baitDragAreaM2: 0, scope: 5, surfaceCurrentMperS: 0.001 })).toThrow(
      expect.objectContaining({ code: 'no-root', details: expect.objectContaining({ end: 'least' }) }),
    )
  })
})

describe('sinking', () => {
  const lead = { massKg: 0.3, densityKgperM3: 11340, dragAreaM2: 0.001, lineDiameterM: 0.0003, depthM: 60 }
  test('without line drag the time is depth over speed, and the two ways of calculating meet', () => {
    const bare = waterSink({ ...lead, lineDiameterM: 0 })
    expect(bare.timeS).toBeCloseTo(lead.depthM / bare.freeSpeedMperS, 12)
    // Either side of where the series takes over: Ct d D / CdA = 1e-6.
    const edge = (1e-6 * lead.dragAreaM2) / (0.03 * lead.depthM)
    const [under, over] = [0.999, 1.001].map((share) => waterSink({ ...lead, lineDiameterM: edge * share }).timeS)
    expect(over! / under!).toBeCloseTo(1, 8)
  })
  test('what floats does not sink', () => {
    expect(() => waterSink({ ...lead, densityKgperM3: 1000 })).toThrow(expect.objectContaining({ code: 'does-not-sink' }))
  })
})

test('a root is found inside its bracket, past an endless stretch, and refused without a change of sign', () => {
  expect(findRoot((x) => x ** 3 - 2, 0, 2, 1e-12)).toBeCloseTo(Math.cbrt(2), 9)
  expect(findRoot((x) => (x < 1 ? Number.POSITIVE_INFINITY : 3 - x), 0, 10, 1e-12)).toBeCloseTo(3, 9)
  expect(() => findRoot(() => 1, 0, 1, 1e-9)).toThrow(expect.objectContaining({ code: 'no-convergence' }))
})

import { NOMINAL_CATALOGUE } from '../src/core/catalogue/catalogue.ts'
// npm run bench: solves of a hanging line a second, at a tolerance of 1e-6, beside a Runge–Kutta of fixed steps taken as many as
// it needs to come as close. The fixed one is told where the line ends, which the solver has to find. Then a day's timetable of
// sinkers, 48 half hours, by each way of fishing.
import { GRAVITY_M_PER_S2, SEA_WATER_KG_PER_M3 as RHO } from '../src/core/math/constants.ts'
import { kiteLead } from '../src/core/physics/flown/kiteLead.ts'
import { trollDepth } from '../src/core/physics/flown/trollDepth.ts'
import { powerProfile } from '../src/core/physics/water/current.ts'
import { waterHang } from '../src/core/physics/water/hang.ts'
import { waterHangMass } from '../src/core/physics/water/hangMass.ts'
import { NORMAL_COEFFICIENT, TANGENTIAL_COEFFICIENT } from '../src/core/physics/water/lineInFluid.ts'
import { waterShoreLine } from '../src/core/physics/water/shoreLine.ts'
import { sphereAreaM2, submergedWeightN } from '../src/core/physics/water/sphere.ts'
import { planDay } from '../src/core/plan/planDay.ts'
import { draftOf } from '../tests/fixtures/drafts.ts'
import { BOAT } from '../tests/fixtures/hang.ts'
import { MARK, tideOfDay } from '../tests/fixtures/tides.ts'
import { conditions, outfit } from './subject.ts'

const TOLERANCE = 1e-6
const BENCH_MS = 1_000

/** Height that the classical fourth-order method gives at the end of the line, in so many even steps. */
function fixedSteps(lineOutM: number, steps: number): number {
  const current = powerProfile(BOAT.surfaceCurrentMperS, BOAT.depthM, BOAT.profileExponent)
  const { lineDiameterM: d, lineDensityKgperM3 } = BOAT
  const weight = (lineDensityKgperM3 - RHO) * GRAVITY_M_PER_S2 * (Math.PI / 4) * d ** 2
  const slope = ([, z, tx, tz]: readonly [number, number, number, number]): [number, number, number, number] => {
    const pull = Math.hypot(tx, tz)
    const [cx, cz] = [tx / pull, tz / pull]
    const u = current(z)
    const across = 0.5 * RHO * NORMAL_COEFFICIENT * d * Math.abs(u * cz) * u * cz
    const along = 0.5 * RHO * TANGENTIAL_COEFFICIENT * d * Math.abs(u * cx) * u * cx
    return [cx, cz, -(across * cz + along * cx), across * cx - along * cz + weight]
  }
  const area = BOAT.sinkerDragCoefficient * sphereAreaM2(BOAT.sinkerMassKg, BOAT.sinkerDensityKgperM3) + BOAT.baitDragAreaM2
  let y: [number, number, number, number] = [
    0,
    0,
    -0.5 * RHO * area * current(0.2) ** 2,
    submergedWeightN(BOAT.sinkerMassKg, BOAT.sinkerDensityKgperM3, RHO),
  ]
  const h = lineOutM / steps
  const moved = (k: readonly number[], by: number) => y.map((value, i) => value + by * k[i]!) as typeof y
  for (let i = 0; i < steps; i += 1) {
    const k1 = slope(y)
    const k2 = slope(moved(k1, h / 2))
    const k3 = slope(moved(k2, h / 2))
    const k4 = slope(moved(k3, h))
    y = y.map((value, j) => value + (h / 6) * (k1[j]! + 2 * k2[j]! + 2 * k3[j]! + k4[j]!)) as typeof y
  }
  return y[1]
}

function perSecond(work: () => void): number {
  for (let i = 0; i < 50; i += 1) work()
  const start = performance.now()
  let runs = 0
  for (; performance.now() - start < BENCH_MS; runs += 1) work()
  return Math.round((1_000 * runs) / (performance.now() - start))
}

/** A beach in a strong stream: two knots at 100 m. */
const BEACH = {
  ...{ lineDiameterM: 0.00028, lineDensityKgperM3: 970, surfaceCurrentMperS: 1, depthM: 6, spanM: 100, tipHeightM: 5 },
  ...{ scope: 1.15, profileExponent: 1 / 7, grip: 0.6, breakOutN: 5, sinkerDensityKgperM3: 11_340, baitDragAreaM2: 0.002 },
}

/** A light weight towed on 40 m of braid, and a bait 20 m under a kite in a fresh wind. */
const TROLLED = {
  ...{ speedMperS: 1.5, endMassKg: 0.45, endDensityKgperM3: 11_340, endDragAreaM2: 6e-4, endLiftAreaM2: 0 },
  layers: [
    { lengthM: 2, diameterM: 0.00033, densityKgperM3: 1780 },
    { lengthM: 40, diameterM: 0.00028, densityKgperM3: 970 },
  ],
}
const KITE = {
  ...{ windMperS: 8, lineDiameterM: 0.00046, lineDensityKgperM3: 1140, tipHeightM: 3, ringHeightM: 20, ringDistanceM: 45 },
  ...{ slack: 1.04, ringFriction: 0.1, hungMassKg: 0 },
}

const exact = waterHang(BOAT, { tolerance: 1e-13 }).lineOutM
const adaptiveError = Math.abs(waterHang(BOAT, { tolerance: TOLERANCE }).lineOutM / exact - 1)
let steps = 8
while (Math.abs(fixedSteps(exact, steps) / BOAT.depthM - 1) > adaptiveError && steps < 1 << 20) steps *= 2
const { sinkerMassKg: _, ...sought } = BOAT
const rows = [
  { what: 'water.hang, adaptive', error: adaptiveError, perSecond: perSecond(() => waterHang(BOAT, { tolerance: TOLERANCE })) },
  {
    what: `fixed steps, ${steps} of them`,
    error: Math.abs(fixedSteps(exact, steps) / BOAT.depthM - 1),
    perSecond: perSecond(() => fixedSteps(exact, steps)),
  },
  { what: 'water.shoreLine', error: Number.NaN, perSecond: perSecond(() => waterShoreLine(BEACH)) },
  { what: 'troll.depth', error: Number.NaN, perSecond: perSecond(() => trollDepth(TROLLED)) },
  { what: 'kite.lead', error: Number.NaN, perSecond: perSecond(() => kiteLead(KITE)) },
  { what: 'water.hangMass, a root', error: Number.NaN, perSecond: perSecond(() => waterHangMass({ ...sought, scope: 1.15 })) },
]
console.table(rows)

const PLANS = 15
const setup = { ...draftOf('runningLedger', outfit, conditions), outfit, catalogue: NOMINAL_CATALOGUE }
const tide = tideOfDay('2026-11-24')
const owned = [0.06, 0.115, 0.17, 0.23, 0.34, 0.45, 0.68, 0.9, 1.36].map((massKg) => ({ shape: 'pear' as const, massKg }))
const days = (['anchor', 'uptide', 'drift', 'shore'] as const).map((method) => {
  const mark = { ...MARK, method, scope: method === 'shore' ? 1.05 : 1.15, distanceM: 45 }
  const times = Array.from({ length: PLANS }, () => {
    const start = performance.now()
    planDay({ setup, mark, holds: [], tide, winds: [], fromMs: tide.startMs, toMs: tide.endMs, owned, way: 'fewest' })
    return performance.now() - start
  }).toSorted((a, b) => a - b)
  return {
    what: `a day's timetable, ${method}`,
    medianMs: times[Math.floor(PLANS / 2)]!.toFixed(1),
    firstOrMaxMs: times.at(-1)!.toFixed(1),
  }
})
console.table(days)
console.log(JSON.stringify({ water: rows, days }))

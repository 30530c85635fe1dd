import { describe, expect, test } from 'vitest'
import { outfit, set, setupFor, usual } from '../../../../tests/fixtures/moving.ts'
import type { FamilyId } from '../../catalogue/familyIds.ts'
import type { Trace } from '../../documents/trace.ts'
import { withMainLine } from '../../outfits/outfitLines.ts'
import { type TowedLine, towed } from '../../physics/flown/towed.ts'
import { trollDepth } from '../../physics/flown/trollDepth.ts'
import { towRows, trollTow } from '../../physics/flown/trollTow.ts'
import type { Setup } from '../setup.ts'
import { fallOf, runsOffS } from './fall.ts'
import { TRIED, towOf } from './tow.ts'
import {
  deepestOf,
  depthByLineOut,
  leastWaterM,
  legsOnCourse,
  lineOutFor,
  linesOnCourse,
  type Pair,
  speedsOnCourse,
  TIP_OFF_M,
  trolledAt,
  wantedDepthM,
} from './trolled.ts'

const depthOf = (setup: Setup, speedMperS = 1.5, lineOutM = 30) =>
  deepestOf(trolledAt(towOf(setup), { speedMperS, lineOutM }).places)!.depthM

describe('towed', () => {
  test('one body on one line is the lure of the formula', () => {
    const body = { massKg: 0.06, densityKgperM3: 5000, dragAreaM2: 4e-4, liftAreaM2: 2e-4 }
    const layers = [
      { lengthM: 2, diameterM: 0.5e-3, densityKgperM3: 1140 },
      { lengthM: 30, diameterM: 0.28e-3, densityKgperM3: 970 },
    ]
    const alone = trollDepth({
      speedMperS: 1.5,
      layers,
      endMassKg: body.massKg,
      endDensityKgperM3: body.densityKgperM3,
      endDragAreaM2: body.dragAreaM2,
      endLiftAreaM2: body.liftAreaM2,
    })
    const lure: TowedLine = { layers: [], bodies: [{ ...body, id: 'lure' }], after: [] }
    const made = towed({ layers: [layers[1]!], bodies: [], after: [{ layers: [layers[0]!], bodies: [], after: [lure] }] }, 1.5)
    expect(made.places[0]!.depthM).toBeCloseTo(alone.depthM, 6)
    expect(made.places[0]!.setbackM).toBeCloseTo(alone.setbackM, 6)
    expect(made.topTensionN).toBeCloseTo(alone.topTensionN, 6)
    expect(made.topAngleFromVerticalDeg).toBeCloseTo(alone.topAngleFromVerticalDeg, 5)
  })

  test('where legs meet their pulls add up, back and down', () => {
    const leg = (massKg: number, lengthM: number): TowedLine => ({
      layers: [{ lengthM, diameterM: 0.5e-3, densityKgperM3: 1140 }],
      bodies: [{ id: `${massKg}`, massKg, densityKgperM3: 5000, dragAreaM2: 3e-4, liftAreaM2: 0 }],
      after: [],
    })
    const pull = (line: TowedLine) => {
      const { topTensionN, topAngleFromVerticalDeg: angle } = towed(line, 1.2)
      return [topTensionN * Math.sin((angle * Math.PI) / 180), topTensionN * Math.cos((angle * Math.PI) / 180)]
    }
    const [one, other] = [leg(0.06, 1.5), leg(0.02, 3)]
    const both = pull({ layers: [], bodies: [], after: [one, other] })
    for (const axis of [0, 1]) expect(both[axis]).toBeCloseTo(pull(one)[axis]! + pull(other)[axis]!, 9)
  })

  test('as rows, parts at the tops and forks and ends, it is towed the same', () => {
    for (const family of ['tandemTroll', 'castingLeader', 'runningLedger', 'boomPaternoster'] as const) {
      const line = towOf(setupFor(family)).line(40)
      const { places, ...top } = towed(line, 1.3)
      const made = trollTow({ speedMperS: 1.3, ...towRows(line) })
      const byId = new Map(made.places.map((place) => [place.id, place]))
      expect(byId.size).toBe(places.length)
      for (const { id, depthM, setbackM } of places) {
        expect(byId.get(id)!.depthM, id).toBeCloseTo(depthM, 5)
        expect(byId.get(id)!.setbackM, id).toBeCloseTo(setbackM, 5)
      }
      expect(made.topTensionN).toBeCloseTo(top.topTensionN, 5)
    }
  })

  test('line out counts to the lure, its trace among it; the drawn line is as long', () => {
    const tow = towOf(setupFor('tandemTroll'))
    expect(tow.traceM).toBe(6)
    const { places } = trolledAt(tow, { speedMperS: 1.5, lineOutM: 30 })
    const lengthsM = (line: TowedLine): number[] => [
      ...line.layers.map(({ lengthM }) => lengthM),
      ...line.after.flatMap(lengthsM),
    ]
    expect(lengthsM(tow.line(30)).sort((a, b) => a - b)).toEqual([1.5, 3, 3, 24])
    for (const { depthM, setbackM } of places) expect(Math.hypot(depthM, setbackM)).toBeLessThan(30)
  })

  test('deeper with more line, slower, heavier, and on a thinner line', () => {
    const setup = setupFor('castingLeader')
    const deep = depthOf(setup)
    expect(depthOf(setup, 1.5, 40)).toBeGreaterThan(deep)
    expect(depthOf(setup, 1.2)).toBeGreaterThan(deep)
    const tow = towOf(setup)
    const at = { speedMperS: 1.5, lineOutM: 30 }
    expect(deepestOf(trolledAt(tow, at, 2).places)!.depthM).toBeGreaterThan(deep)
    expect(deepestOf(trolledAt(tow, at, 1, 0.7).places)!.depthM).toBeGreaterThan(deep)
  })

  test('what a lure is rated to it runs at, on the line, at the speed and with the line out that it was tried with', () => {
    const thin = withMainLine(outfit, { diameterM: TRIED.lineDiameterM })
    const bare = (trace: Trace): Trace => ({
      ...trace,
      pieces: trace.pieces.filter(({ role }) => role === 'leader' || role === 'lure'),
    })
    const rated = { floats: true, ratedDepthM: 4, ratedSpeedMperS: 1.8, ratedLineOutM: 40 }
    const setup = setupFor('straightLure', (trace) => set('lure', rated)(bare(trace)), thin)
    const leader = setup.trace.pieces.find(({ role }) => role === 'leader')!
    const asTried = { ...setup, trace: set(leader.id, { material: 'braid', diameterM: TRIED.lineDiameterM })(setup.trace) }
    expect(depthOf(asTried, 1.8, 40)).toBeCloseTo(4, 1)
    expect(depthOf(asTried, 1.8, 20)).toBeLessThan(4)
  })

  test('a floating lure without a lip does not sink, and says so; no lip takes a lure deeper than its line', () => {
    const floating = setupFor('straightLure', set('lure', { floats: true }))
    expect(() => trolledAt(towOf(floating), { speedMperS: 1.5, lineOutM: 30 })).toThrow(
      expect.objectContaining({ code: 'does-not-sink' }),
    )
    expect(() => towOf(setupFor('straightLure', set('lure', { ratedDepthM: 30, ratedLineOutM: 20 })))).toThrow(
      expect.objectContaining({ code: 'no-root' }),
    )
    expect(depthByLineOut(towOf(floating), 1.5, 60).every(({ depthM }) => depthM === 0)).toBe(true)
  })

  test('the line out for a depth takes it there; a depth that no line reaches has none', () => {
    const tow = towOf(setupFor('castingLeader'))
    const lineOutM = lineOutFor(tow, 1.5, 4)!
    expect(deepestOf(trolledAt(tow, { speedMperS: 1.5, lineOutM }).places)!.depthM).toBeCloseTo(4, 1)
    expect(lineOutFor(tow, 1.5, 200)).toBeUndefined()
  })

  test('in a turn a line is slower on the inside and runs deeper, faster on the outside; a tip nothing is told of is so far off the middle', () => {
    const beside = { lineOutM: 30, weightTimes: 1, apartM: 4 }
    const speeds = speedsOnCourse({ speedMperS: 1.5, turnRadiusM: 20, beside })
    expect(speeds.straight).toBe(1.5)
    expect(speeds.inside).toBeCloseTo(1.35, 12)
    expect(speeds.outside).toBeCloseTo(1.65, 12)
    expect(speedsOnCourse({ speedMperS: 1.5, turnRadiusM: 5, beside: { ...beside, apartM: 30 } }).inside).toBeGreaterThan(0)
    expect(speedsOnCourse({ speedMperS: 1.5, turnRadiusM: 20 }).inside).toBeCloseTo(1.5 * (1 - TIP_OFF_M / 20), 12)
    const tow = towOf(setupFor('castingLeader'))
    const [straight, inside, outside] = linesOnCourse(tow, usual('trolled', { lineOutM: 30, turnRadiusM: 20, beside }))
    expect(inside!.one.depthM).toBeGreaterThan(straight!.one.depthM)
    expect(outside!.one.depthM).toBeLessThan(straight!.one.depthM)
    // Alike and as far out they are one behind the other straight on; in a turn each is where the other was.
    expect(straight!.apartM).toBeCloseTo(0, 9)
    expect(inside!.other.depthM).toBeCloseTo(outside!.one.depthM, 9)
    expect(linesOnCourse(tow, usual('trolled'))).toEqual([])
  })

  test('two legs are told apart, straight on and in a turn; alike they meet everywhere', () => {
    const legs = (family: FamilyId, change?: (trace: Trace) => Trace, way: object = {}) => {
      const setup = setupFor(family, change)
      return legsOnCourse(setup.trace, towOf(setup), usual('trolled', { lineOutM: 30, speedMperS: 1.5, ...way }))
    }
    const [straight, inside, outside] = legs('tandemTroll')
    const deepM = ({ one, other }: Pair) => other.depthM - one.depthM
    const alongM = ({ one, other }: Pair) => other.setbackM - one.setbackM
    expect(deepM(straight!)).toBeLessThan(0)
    expect(alongM(straight!)).toBeGreaterThan(1)
    expect(straight!.apartM).toBeCloseTo(Math.hypot(deepM(straight!), alongM(straight!)), 12)
    // Slower, both sink, the heavy one by more.
    expect(inside!.one.depthM).toBeGreaterThan(straight!.one.depthM)
    expect(Math.abs(deepM(inside!))).toBeGreaterThan(Math.abs(deepM(outside!)))
    const [, wide] = legs('tandemTroll', undefined, { turnRadiusM: 1_000 })
    expect(Math.abs(wide!.apartM - straight!.apartM)).toBeLessThan(Math.abs(inside!.apartM - straight!.apartM))
    const alike = (trace: Trace) => set('light', { massKg: 0.06 })(set('long-leg', { lengthM: 1.5 })(trace))
    for (const { apartM } of legs('tandemTroll', alike)) expect(apartM).toBeCloseTo(0, 6)
    expect(legs('straightLure')).toEqual([])
  })

  test('the shallowest water counts, and a height over the bed is from there', () => {
    const way = usual('trolled', {
      waterM: 15,
      course: [
        { alongM: 0, depthM: 20 },
        { alongM: 300, depthM: 9 },
      ],
    })
    expect(leastWaterM(way)).toBe(9)
    expect(wantedDepthM({ from: 'bed', m: 1 }, 9)).toBe(8)
    expect(wantedDepthM({ from: 'surface', m: 3 }, 9)).toBe(3)
    expect(wantedDepthM({ from: 'bed', m: 12 }, 9)).toBe(0)
  })
})

test('a box of one kind of trace answers for every family without NaN', () => {
  for (const family of [
    'jigAndTrailer',
    'linkedRings',
    'dropShot',
    'slidingWeightTrace',
    'tandemTroll',
    'windOn',
    'pulley',
  ] as const) {
    const setup = setupFor(family)
    const { places, topTensionN } = trolledAt(towOf(setup), { speedMperS: 1, lineOutM: 20 })
    expect(places.length, family).toBeGreaterThan(0)
    for (const { depthM, setbackM } of places) expect(Number.isFinite(depthM + setbackM), family).toBe(true)
    expect(topTensionN).toBeGreaterThan(0)
  }
})

test('a curve by line out goes from the trace alone to all that is asked for, or all there is; what floats runs at the top', () => {
  const tow = towOf(setupFor('castingLeader'))
  const points = depthByLineOut(tow, 1.5, 60)
  expect([points[0]!.lineOutM, points.at(-1)!.lineOutM]).toEqual([
    expect.closeTo(Math.max(1, tow.traceM), 9),
    expect.closeTo(60, 9),
  ])
  const [one, other] = [points[1]!.lineOutM - points[0]!.lineOutM, points.at(-1)!.lineOutM - points.at(-2)!.lineOutM]
  expect(one).toBeCloseTo(other, 9)
  for (const { lineOutM, depthM } of points)
    expect(depthM).toBe(deepestOf(trolledAt(tow, { speedMperS: 1.5, lineOutM }).places)!.depthM)
  expect(depthByLineOut(tow, 1.5, 1e6).at(-1)!.lineOutM).toBeCloseTo(tow.mostM, 6)
  expect(depthByLineOut(tow, 1.5, 0.1).map(({ lineOutM }) => lineOutM)).toEqual(points.map(() => Math.max(1, tow.traceM)))
  const floating = towOf(setupFor('straightLure', set('lure', { floats: true })))
  expect(new Set(depthByLineOut(floating, 1.5, 30).map(({ depthM }) => depthM))).toEqual(new Set([0]))
  // A depth that the trace alone passes is not to be had by letting out.
  expect(lineOutFor(tow, 1.5, points[0]!.depthM / 2)).toBeUndefined()
})

test('what meets the bed first is the deepest, whatever its place', () => {
  const at = (depthM: number) => ({ id: `${depthM}`, depthM, setbackM: 0 })
  expect(deepestOf([at(1), at(5), at(3)])?.id).toBe('5')
  expect(deepestOf([])).toBeUndefined()
})

test('line runs off by the boat’s way and by what falls', () => {
  expect(runsOffS(30, 1.5, undefined, 5)).toBe(20)
  expect(runsOffS(30, 1.5, { timeToS: () => 0, dropM: (_depthM, seconds) => 2 * seconds }, 5)).toBeCloseTo(12, 12)
  const setup = setupFor('castingLeader')
  const fall = fallOf(setup, towOf(setup))!
  expect(fall.dropM(5, 3)).toBeCloseTo(3 * fall.dropM(5, 1), 12)
  expect(fall.timeToS(8)).toBeGreaterThan(fall.timeToS(4))
})

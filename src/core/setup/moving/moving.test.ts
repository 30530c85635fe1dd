import { describe, expect, test } from 'vitest'
import { draftOf } from '../../../../tests/fixtures/drafts.ts'
import { braidOutfit, LB } from '../../../../tests/fixtures/outfits.ts'
import { setupOf } from '../../../../tests/fixtures/setups.ts'
import type { FamilyId } from '../../catalogue/familyIds.ts'
import { defaultConditions } from '../../documents/conditions.ts'
import { type MovingBy, type MovingWay, usualMoving } from '../../documents/moving.ts'
import type { Piece, Trace } from '../../documents/trace.ts'
import { withPiece } from '../../edit/changes.ts'
import { type TowedLine, towed } from '../../physics/flown/towed.ts'
import { trollDepth } from '../../physics/flown/trollDepth.ts'
import { towRows, trollTow } from '../../physics/flown/trollTow.ts'
import { withMainLine } from '../outfitLines.ts'
import type { Setup } from '../setup.ts'
import { fallOf } from './fall.ts'
import {
  flownBait,
  GUST,
  hungKg,
  kiteInput,
  kiteLinePoints,
  leadBySlack,
  leadByWind,
  mostWindMperS,
  ownedFor,
  ringLoadN,
} from './kite.ts'
import { bedAtM, keptShare, retrieve, TURNS } from './retrieved.ts'
import { TRIED, towOf } from './tow.ts'
import {
  deepestOf,
  depthByLineOut,
  leastWaterM,
  legsOnCourse,
  lineOutFor,
  linesOnCourse,
  speedsOnCourse,
  TIP_OFF_M,
  trolledAt,
  wantedDepthM,
} from './trolled.ts'

const outfit = braidOutfit(50)
const afloat = { ...defaultConditions(), castStyle: 'none', freeboardM: 1.5 } as const
const setupFor = (family: FamilyId, change: (trace: Trace) => Trace = (trace) => trace, on = outfit): Setup =>
  setupOf(change(draftOf(family, on, afloat).trace), on, afloat)
const usual = <Way extends MovingWay>(way: Way, more: object = {}) => ({ ...usualMoving(way), ...more }) as MovingBy<Way>
const set = (id: string, change: object) => (trace: Trace) => withPiece(trace, id, (piece) => ({ ...piece, ...change }) as Piece)
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
    expect(straight!.deepM).toBeLessThan(0)
    expect(straight!.alongM).toBeGreaterThan(1)
    expect(straight!.apartM).toBeCloseTo(Math.hypot(straight!.deepM, straight!.alongM), 12)
    // Slower, both sink, the heavy one by more.
    expect(inside!.one.depthM).toBeGreaterThan(straight!.one.depthM)
    expect(Math.abs(inside!.deepM)).toBeGreaterThan(Math.abs(outside!.deepM))
    const [, wide] = legs('tandemTroll', undefined, { turnRadiusM: 1_000 })
    expect(Math.abs(wide!.apartM - straight!.apartM)).toBeLessThan(Math.abs(inside!.apartM - straight!.apartM))
    const alike = (trace: Trace) => set('light', { massKg: 0.06 })(set('long-leg', { lengthM: 1.5 })(trace))
    for (const { apartM } of legs('tandemTroll', alike)) expect(apartM).toBeCloseTo(0, 6)
    expect(legs('straightLure')).toEqual([])
  })

  test('the least water on the way counts, and a height over the bed is from there', () => {
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

describe('wound in', () => {
  const setup = setupFor('castingLeader')
  const tow = towOf(setup)

  test('a rate keeps it a metre over a sloping bed nearly all the way; the reel turns slower as the line shortens', () => {
    const way = usual('retrieved')
    const points = retrieve(setup, tow, way)
    expect(points[0]!.lineOutM).toBeCloseTo(way.lineOutM, 0)
    for (const { off, depthM, bedM, awayM } of points) {
      expect(bedM).toBeCloseTo(bedAtM(way, awayM), 9)
      if (off === undefined) expect(depthM).toBeCloseTo(bedM - 1, 1)
    }
    expect(keptShare(points)).toBeGreaterThan(0.9)
    const kept = points.filter(({ off }) => off === undefined)
    expect(kept.at(-1)!.turnsPerS).toBeLessThan(kept[0]!.turnsPerS)
  })

  test('upper water wants it wound faster; a tip held high lifts it, so that it is wound slower', () => {
    const rate = (more: object) => retrieve(setup, tow, usual('retrieved', more))[0]!.turnsPerS
    expect(rate({ swimsAt: { from: 'surface', m: 2 } })).toBeGreaterThan(rate({ swimsAt: { from: 'surface', m: 4 } }))
    expect(rate({ rodTip: 'high', lineOutM: 15 })).toBeLessThan(rate({ rodTip: 'low', lineOutM: 15 }))
  })

  test('deeper than it gets, however slowly: wound as slowly as a hand does, and it says so', () => {
    const points = retrieve(setup, tow, usual('retrieved', { waterM: 60, nearWaterM: 60 }))
    expect(points[0]).toMatchObject({ off: 'tooShallow', turnsPerS: TURNS.least })
    expect(keptShare(points)).toBe(0)
    // A heavy lure in a foot of water lies on the bed whatever is done.
    const shoal = usual('retrieved', { waterM: 0.5, nearWaterM: 0.5, swimsAt: { from: 'surface', m: 0 } })
    for (const { depthM, bedM } of retrieve(setup, tow, shoal)) expect(depthM).toBeLessThanOrEqual(bedM)
  })

  test('it falls so far in a pause as the time to there says; what floats does not fall', () => {
    const { timeToS, dropM } = fallOf(setup, tow)!
    expect(timeToS(5 + dropM(5, 1)) - timeToS(5)).toBeCloseTo(1, 1)
    const floating = setupFor('straightLure', set('lure', { floats: true }))
    expect(fallOf(floating, towOf(floating))).toBeUndefined()
  })
})

describe('flown from a kite', () => {
  const mono = withMainLine(outfit, { material: 'mono', strengthN: 30 * LB })
  const setup = setupFor('kiteBait', undefined, mono)
  const way = usual('kite')
  const [short, long] = way.baits

  test('the long line wants more lead than the short, gusts more than the wind, and both more of a thicker line', () => {
    const lead = (bait: typeof short, times = 1) => flownBait(setup, usual('kite', { windMperS: times * 8 }), bait!)
    const [near, far, harder] = [lead(short), lead(long), lead(long, 1.2)]
    if (near.trouble !== undefined || far.trouble !== undefined || harder.trouble !== undefined) throw new Error('no answer')
    expect(far.steady.leadMassKg).toBeGreaterThan(near.steady.leadMassKg)
    expect(far.gust.leadMassKg).toBeGreaterThan(far.steady.leadMassKg)
    expect(harder.steady.leadMassKg).toBeGreaterThan(far.steady.leadMassKg)
    const thick = flownBait(
      { ...setup, outfit: withMainLine(mono, { strengthN: 60 * LB }) },
      usual('kite', { windMperS: 8 }),
      long!,
    )
    if (thick.trouble !== undefined) throw new Error(thick.trouble)
    expect(thick.gust.leadMassKg).toBeGreaterThan(far.gust.leadMassKg)
  })

  test('up to a wind the lead carried is enough: its gusts want just that', () => {
    const flown = flownBait(setup, way, long!)
    if (flown.trouble !== undefined) throw new Error(flown.trouble)
    const mostMperS = mostWindMperS(setup, way, long!, flown.carriedKg)!
    const wanted = flownBait(setup, { ...way, windMperS: mostMperS }, long!)
    if (wanted.trouble !== undefined) throw new Error(wanted.trouble)
    expect(wanted.gust.leadMassKg).toBeCloseTo(flown.carriedKg, 3)
    expect(flownBait(setup, way, { ...long!, leadKg: 2 })).toMatchObject({ carriedKg: 2 })
    expect(mostWindMperS(setup, way, long!, 2)).toBeUndefined()
    expect(GUST).toBe(1.3)
  })

  test('what hangs there besides lead helps; bait and hook are borne by the water', () => {
    const grams = hungKg(setup) * 1000
    expect(grams).toBeGreaterThan(10)
    const heavier = { ...setup, trace: set('marker', { massKg: 0.02 })(setup.trace) }
    expect(hungKg(heavier) * 1000).toBeCloseTo(grams + 10, 6)
    expect(hungKg({ ...setup, trace: set('hook-bait', { massKg: 1 })(setup.trace) }) * 1000).toBeCloseTo(grams, 9)
    expect(kiteInput(setup, way, long!, 6).hungMassKg * 1000).toBeCloseTo(grams, 9)
  })

  test('lead falls with slack, until the belly nears the sea', () => {
    const points = leadBySlack(setup, way, long!, 4)
    for (const [i, { leadKg, lowestM }] of points.slice(1).entries()) {
      expect(leadKg).toBeLessThanOrEqual(points[i]!.leadKg)
      expect(lowestM).toBeLessThanOrEqual(points[i]!.lowestM)
    }
    expect(points.at(-1)!.lowestM).toBeLessThan(0)
  })

  test('the line that is drawn goes from the tip to the ring, as long as its slack says', () => {
    const points = kiteLinePoints(setup, way, long!)
    const [tip, ring] = [points[0]!, points.at(-1)!]
    expect([ring.x, ring.z]).toEqual([expect.closeTo(long!.ringDistanceM, 1), expect.closeTo(long!.ringHeightM, 1)])
    const lengthM = points.slice(1).reduce((sum, { x, z }, i) => sum + Math.hypot(x - points[i]!.x, z - points[i]!.z), 0)
    expect(lengthM / Math.hypot(ring.x - tip.x, ring.z - tip.z)).toBeCloseTo(way.slack, 2)
  })

  test('a line pulls on the kite’s line by what comes in to the ring and what goes down from it', () => {
    const lead = {
      lineToRingM: 1,
      ringTensionN: 2,
      ringAngleDeg: 0,
      wrapRad: Math.PI / 2,
      lowestM: 1,
      hungForceN: 0,
      leadMassKg: 0,
    }
    expect(ringLoadN(lead, 0)).toBeCloseTo(Math.hypot(2, 2), 12)
    expect(ringLoadN({ ...lead, ringAngleDeg: 90, wrapRad: Math.PI }, 0)).toBeCloseTo(4, 12)
    expect(ringLoadN(lead, 0.2)).toBeLessThan(ringLoadN(lead, 0))
  })

  test('lead grows with the wind, from none; the gusts of a wind are among its points', () => {
    const points = leadByWind(setup, way, long!)
    for (const [i, { leadKg }] of points.slice(1).entries()) expect(leadKg).toBeGreaterThanOrEqual(points[i]!.leadKg)
    const flown = flownBait(setup, way, long!)
    if (flown.trouble !== undefined) throw new Error(flown.trouble)
    expect(points.find(({ windMperS }) => windMperS === GUST * way.windMperS)!.leadKg).toBe(flown.gust.leadMassKg)
  })

  test('a ring under the rod is told in words; of the sinkers owned the lightest that is enough is named', () => {
    expect(flownBait(setup, way, { ...short!, ringHeightM: 1 }).trouble).toMatch(/ring must be over the rod tip/)
    expect(flownBait(setup, { ...way, windMperS: 40 }, long!)).toBeDefined()
    expect(ownedFor(0.031, [0.06, 0.03, 0.09])).toBe(0.06)
    expect(ownedFor(0.2, [0.06])).toBeUndefined()
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

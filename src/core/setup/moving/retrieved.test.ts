import { describe, expect, test } from 'vitest'
import { set, setupFor, usual } from '../../../../tests/fixtures/moving.ts'
import { tipOverFeetM } from '../../catalogue/rods.ts'
import { linePerTurnM } from '../../outfits/outfitLines.ts'
import { towed } from '../../physics/flown/towed.ts'
import { fallOf } from './fall.ts'
import { bedAtM, keptShare, type RetrievePoint, retrieve, TURNS, tipOverWaterM } from './retrieved.ts'
import { towOf } from './tow.ts'
import { deepestOf } from './trolled.ts'

describe('retrieved', () => {
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

  test('the rates of a long line follow each other evenly: none goes up on the way in', () => {
    const kept = retrieve(setup, tow, usual('retrieved', { lineOutM: 90 })).filter(({ off }) => off === undefined)
    expect(kept.length).toBeGreaterThan(9)
    for (const [i, { turnsPerS }] of kept.slice(1).entries()) expect(turnsPerS).toBeLessThan(1.005 * kept[i]!.turnsPerS)
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

  test('each place is that of the towed line of so much in the water, straight from there to the rod’s tip', () => {
    for (const rodTip of ['low', 'high'] as const) {
      const way = usual('retrieved', { rodTip })
      const tipM = tipOverWaterM(setup, way)
      const points = retrieve(setup, tow, way)
      for (const { inWaterM, speedMperS, lineOutM, awayM, depthM, bedM, turnsPerS } of points) {
        const { places, topAngleFromVerticalDeg } = towed(tow.line(inWaterM), speedMperS, { tolerance: 1e-4 })
        const swims = deepestOf(places)!
        // Flatter than 85° it is taken to lie on the water.
        const angle = (Math.min(85, topAngleFromVerticalDeg) * Math.PI) / 180
        expect(depthM).toBeCloseTo(Math.min(bedM, swims.depthM), 9)
        expect(awayM).toBeCloseTo(swims.setbackM + tipM * Math.tan(angle), 9)
        expect(lineOutM).toBeCloseTo(inWaterM + tipM / Math.cos(angle), 9)
        const onSpoolM = Math.max(0, inWaterM + tipM - tow.traceM)
        expect(speedMperS).toBeCloseTo(turnsPerS * linePerTurnM(setup.catalogue, setup.outfit, onSpoolM), 9)
      }
    }
  })

  test('it begins with the line out that is told and ends with the trace alone, in even steps of what is in the water', () => {
    const way = usual('retrieved')
    const points = retrieve(setup, tow, way)
    const first = points[0]!
    // Found at the rate at which one turn a second brings it in.
    expect(Math.abs(first.lineOutM - way.lineOutM)).toBeLessThan(1)
    expect(first.inWaterM).toBeLessThan(first.lineOutM)
    expect(points.at(-1)!.inWaterM).toBeCloseTo(Math.max(1, tow.traceM), 9)
    const steps = points.slice(1).map(({ inWaterM }, i) => points[i]!.inWaterM - inWaterM)
    for (const step of steps) expect(step).toBeCloseTo(steps[0]!, 9)
    // Less out than hangs under the rod is what there is.
    expect(retrieve(setup, tow, usual('retrieved', { lineOutM: 1.2 })).at(-1)!.inWaterM).toBeCloseTo(1, 9)
  })

  test('a tip held low is at the water or at the hand, held high over the feet by most of the rod', () => {
    const over = (freeboardM: number, rodTip: 'low' | 'high') =>
      tipOverWaterM({ outfit: setup.outfit, conditions: { ...setup.conditions, freeboardM } }, { rodTip })
    expect([over(0.1, 'low'), over(2, 'low')]).toEqual([0.5, 2])
    expect(over(2, 'high')).toBeCloseTo(2 + tipOverFeetM(setup.outfit.rod), 12)
  })

  test('the bed slopes straight from under the rod to where it lands, and is level beyond either', () => {
    const way = usual('retrieved', { nearWaterM: 2, waterM: 10, lineOutM: 40 })
    expect([-5, 0, 20, 40, 90].map((awayM) => bedAtM(way, awayM))).toEqual([2, 2, 6, 10, 10])
  })

  test('what floats stays at the top, lying along the water; it is too shallow however slowly it is wound', () => {
    const floating = setupFor('straightLure', set('lure', { floats: true }))
    const onTop = towOf(floating)
    const way = usual('retrieved')
    const tipM = tipOverWaterM(floating, way)
    for (const point of retrieve(floating, onTop, way)) {
      expect(point).toMatchObject({ depthM: 0, off: 'tooShallow', turnsPerS: TURNS.least })
      expect(point.awayM).toBeCloseTo(point.inWaterM + tipM * Math.tan((85 * Math.PI) / 180), 9)
    }
  })

  test('too deep however fast: wound as fast as a hand does', () => {
    const sinks = setupFor('straightLure', set('lure', { massKg: 2 }))
    const points = retrieve(
      sinks,
      towOf(sinks),
      usual('retrieved', { swimsAt: { from: 'surface', m: 0.1 }, waterM: 60, nearWaterM: 60 }),
    )
    expect(points.at(-1)).toMatchObject({ off: 'tooDeep', turnsPerS: TURNS.most })
  })

  test('kept is the share of its places that are where it is meant to swim', () => {
    const point = (off?: 'tooDeep') => (off ? { off } : {}) as RetrievePoint
    expect(keptShare([])).toBe(0)
    expect(keptShare([point(), point(), point('tooDeep'), point()])).toBe(0.75)
  })
})

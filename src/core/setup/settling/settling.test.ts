import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { draftOf } from '../../../../tests/fixtures/drafts.ts'
import { braidOutfit, LB } from '../../../../tests/fixtures/outfits.ts'
import { catalogue, setupOf } from '../../../../tests/fixtures/setups.ts'
import type { FamilyId } from '../../catalogue/familyIds.ts'
import type { BaitType, Method } from '../../catalogue/ids.ts'
import { lineDiameterM } from '../../catalogue/materials.ts'
import { defaultConditions } from '../../documents/conditions.ts'
import type { Outfit } from '../../documents/outfit.ts'
import type { Piece, Trace } from '../../documents/trace.ts'
import { defaultWater, type Water } from '../../documents/water.ts'
import { withFields } from '../../edit/changes.ts'
import { waterLine } from '../../physics/water/line.ts'
import { waterShoreLine } from '../../physics/water/shoreLine.ts'
import { waterUptideHold } from '../../physics/water/uptideHold.ts'
import { massOfKg } from '../masses.ts'
import { prepareSetup } from '../prepareSetup.ts'
import { bestBow } from './bestBow.ts'
import { demandOn } from './demand.ts'
import { type LineShape, lineShapeOf } from './lineShape.ts'
import { holdsToMperS, minimumSinker } from './minimumSinker.ts'
import { nominalGrip, type Settling, settlingOf, weightOf } from './settling.ts'
import { sinkOrder } from './sinkOrder.ts'
import { lineInput, shoreInput, uptideInput } from './solverInputs.ts'
import { twistsOf } from './twist.ts'

const braid = braidOutfit(50)
/** The braid with 12 m of mono wound over it. */
const topShot: Outfit = {
  ...braid,
  wound: [...braid.wound, { role: 'topShot', material: 'mono', strengthN: 60 * LB, lengthM: 12, joint: { connection: 'fg' } }],
}
/** All mono, which sinks. */
const monoOutfit: Outfit = { ...braid, wound: [{ role: 'main', material: 'mono', strengthN: 20 * LB }] }
const ledger = draftOf('runningLedger', braid, { ...defaultConditions(), castStyle: 'none' })
const inWater = (method: Method, more: Partial<Water> = {}, outfit = braid): Settling => {
  const water = { ...defaultWater(catalogue, method), ...more }
  return settlingOf(prepareSetup(setupOf(ledger.trace, outfit, { ...ledger.conditions, water })), water)!
}
const drawn = (settling: Settling): LineShape => {
  const shape = lineShapeOf(settling)
  if ('trouble' in shape) throw new Error(shape.trouble)
  return shape
}
const leastKg = (settling: Settling) => {
  const least = minimumSinker(settling)
  return 'kgFor' in least ? least.kgFor(nominalGrip(settling)) : undefined
}

describe('what is asked', () => {
  test('past a top shot the line goes on as the line under it, not as more of the top shot', () => {
    const { layers } = lineInput(inWater('anchor', {}, topShot))
    const wound = topShot.wound.toReversed()
    expect(layers.slice(-wound.length).map(({ diameterM }) => diameterM)).toEqual(
      wound.map((line) => lineDiameterM(catalogue, line)),
    )
    expect(layers.at(-wound.length)!.lengthM).toBeCloseTo(12, 9)
    expect(layers.at(-1)!.lengthM).toBeUndefined()
  })

  test('a boat drifting across the stream at the stream’s own speed past it: the same line, lying another way', () => {
    const { layers, ...still } = lineInput(inWater('anchor', { streamMperS: 0 }))
    // No stream, drifting any way: the same line as at anchor in an even stream of that speed.
    const even = waterLine({ ...still, layers, surfaceCurrentMperS: 0.4, profileExponent: 0 })
    for (const [driftMperS, driftAcrossMperS] of [
      [0.4, 0],
      [0, 0.4],
      [0.24, 0.32],
    ] as const)
      expect(Math.abs(waterLine({ ...still, layers, driftMperS, driftAcrossMperS }).setbackM)).toBeCloseTo(
        Math.abs(even.setbackM),
        6,
      )
  })
})

describe('the lightest that holds', () => {
  test('a line cast up the stream has an answer however weak the stream, and never a lower one for a stronger stream', () => {
    for (const depthM of [6, 10, 15])
      for (const outfit of [braid, monoOutfit]) {
        const kg = [0.06, 0.08, 0.1, 0.12, 0.15, 0.2, 0.3, 0.5].map((streamMperS) =>
          leastKg(inWater('uptide', { depthM, distanceM: 40, streamMperS }, outfit)),
        )
        expect(kg.every((each) => each !== undefined)).toBe(true)
        // But for a gram, where a line that sinks begins to lift.
        for (const [i, each] of kg.slice(1).entries()) expect(each! + 0.001).toBeGreaterThan(kg[i]!)
      }
  })

  test('is that of the registered calculation, at any grip', () => {
    const shore = inWater('shore', { distanceM: 80, streamMperS: 0.35 })
    const uptide = inWater('uptide', { distanceM: 40, streamMperS: 0.8 })
    for (const grip of [0.5, 1.3, 3]) {
      const of = (settling: Settling) => (minimumSinker(settling) as { kgFor: (grip: number) => number }).kgFor(grip)
      expect(of(shore) / waterShoreLine(shoreInput(shore, grip)).sinkerMassKg).toBeCloseTo(1, 12)
      expect(of(uptide) / waterUptideHold(uptideInput(uptide, grip)).sinkerMassKg).toBeCloseTo(1, 4)
    }
  })

  test('grows with the stream, the depth and the line diameter; about with the square of the stream; more scope wants less', () => {
    const arb = fc.record({
      stream: fc.double({ min: 0.35, max: 0.8, noNaN: true }),
      depthM: fc.double({ min: 12, max: 50, noNaN: true }),
    })
    fc.assert(
      fc.property(arb, ({ stream, depthM }) => {
        const water = { streamMperS: stream, depthM }
        const kg = leastKg(inWater('anchor', water))!
        expect(leastKg(inWater('anchor', { ...water, depthM: depthM * 1.2 }))).toBeGreaterThan(kg)
        expect(leastKg(inWater('anchor', { ...water, weedFactor: 1.3 }))).toBeGreaterThan(kg)
        expect(leastKg(inWater('anchor', { ...water, scope: 1.3 }))).toBeLessThan(kg)
        const faster = leastKg(inWater('anchor', { ...water, streamMperS: stream * 1.5 }))! / kg
        expect(Math.log(faster) / Math.log(1.5)).toBeGreaterThan(1.7)
        expect(Math.log(faster) / Math.log(1.5)).toBeLessThan(2.9)
      }),
      { numRuns: 25 },
    )
  })

  test('a line that sags to the bed still has its least: that of its pull along the bed, nothing lifting', () => {
    const sagging = inWater('uptide', { distanceM: 40, depthM: 6, streamMperS: 0.2, scope: 1.3 }, monoOutfit)
    expect(lineShapeOf(sagging)).toHaveProperty('trouble')
    const least = minimumSinker(sagging) as { kgFor: (grip: number) => number }
    expect(least.kgFor(1)).toBeGreaterThan(0.001)
    expect(least.kgFor(2)).toBeCloseTo(least.kgFor(1) / 2, 12)
  })

  test('slack water wants next to nothing by any method; what has no answer says why', () => {
    for (const method of ['anchor', 'uptide', 'shore', 'drift'] as const)
      expect(leastKg(inWater(method, { streamMperS: 0, driftMperS: 0 })), method).toBe(0.001)
    expect(minimumSinker(inWater('anchor', { depthM: 1500, streamMperS: 4, scope: 1.05 }))).toMatchObject({ code: 'no-root' })
    expect(minimumSinker(inWater('shore', { scope: 1.001 }))).toMatchObject({ code: 'line-too-short' })
  })
})

describe('from the shore', () => {
  const beach = (more: Partial<Water> = {}) => inWater('shore', { distanceM: 60, depthM: 5, streamMperS: 0.5144, ...more })

  test('a ledger in a knot of stream at 60 m is held by what people use, with a bow in the line; with the line straight it is not', () => {
    // Some 9 oz of plain lead, which a wired one of 5 does the work of; not the kilogram of a line without a bow.
    expect(leastKg(beach())).toBeLessThan(0.3)
    expect(leastKg(beach({ scope: 1.01 }))!).toBeGreaterThan(2 * leastKg(beach())!)
  })

  test('depth and the height of the tip count: deeper pulls more, higher less', () => {
    expect(leastKg(beach({ depthM: 10 }))!).toBeGreaterThan(leastKg(beach())!)
    const higher = { ...beach(), conditions: { ...beach().conditions, freeboardM: 10 } }
    expect(leastKg(higher)!).toBeLessThan(leastKg(beach())!)
    expect(shoreInput(beach(), 1).tipHeightM).toBeCloseTo(0.9 * braid.rod.lengthM, 12)
  })

  test('a wired lead holds what its wires do whatever it weighs, and grips like plain lead beyond that; on rock its wires bear nothing', () => {
    const wired = (settling: Settling, grip: number) =>
      (minimumSinker(settling) as { kgFor: (grip: number, kind: 'wired') => number }).kgFor(grip, 'wired')
    const plain = (settling: Settling) =>
      (minimumSinker(settling) as { kgFor: (grip: number, kind: 'plain') => number }).kgFor(0.5, 'plain')
    const strong = beach({ streamMperS: 2 })
    const { pullN, liftN } = waterShoreLine(shoreInput(strong, 1))
    expect(pullN).toBeGreaterThan(15)
    const weighing = (submergedN: number) => submergedN / (9.80665 * (1 - 1025 / 11340))
    expect(wired(strong, 3)).toBeCloseTo(weighing((pullN - 15) / 0.5 + liftN), 9)
    // Wires that hold half as well as is thought bear half.
    expect(wired(strong, 1.5)).toBeCloseTo(weighing((pullN - 7.5) / 0.5 + liftN), 9)
    expect(wired(beach(), 3)).toBeLessThan(0.1 * plain(beach()))
    expect(wired(beach({ bed: 'rock' }), 2)).toBeCloseTo(
      (minimumSinker(beach({ bed: 'rock' })) as { kgFor: (grip: number) => number }).kgFor(1),
      9,
    )
  })

  test('a floating line with much slack in next to no stream still has its least: no more than in an even stream', () => {
    const floating = beach({ streamMperS: 0.06, depthM: 1, scope: 1.3 })
    expect(leastKg(floating)).toBeGreaterThan(0)
    expect(leastKg(floating)).toBeLessThan(0.05)
  })
})

describe('the stream up to which a weight holds', () => {
  test('is that at which it is just wanted, at any stream, whatever the stream in question; none beyond what is asked', () => {
    for (const method of ['shore', 'anchor', 'uptide'] as const) {
      const to = [0.1, 0.4, 1.2].map((streamMperS) => {
        const settling = inWater(method, { streamMperS })
        return holdsToMperS(settling, nominalGrip(settling), 1.5)!
      })
      for (const each of to) expect(each / to[0]!, method).toBeCloseTo(1, 1)
      const just = inWater(method, { streamMperS: to[0]! })
      expect((1.5 * leastKg(just)!) / just.weight.massKg, method).toBeCloseTo(1, 1)
    }
    const boulder = inWater('anchor', { depthM: 2 })
    expect(holdsToMperS({ ...boulder, weight: { ...boulder.weight, massKg: 500 } }, 1, 1)).toBe(6)
  })
})

describe('what is asked of a weight', () => {
  test('at a grip of just so much, the least is its own mass', () => {
    for (const settling of [inWater('shore', { distanceM: 80, streamMperS: 0.3 }), inWater('uptide', { streamMperS: 0.7 })]) {
      const least = minimumSinker(settling) as { kgFor: (grip: number) => number }
      expect(least.kgFor(demandOn(settling, least)!)).toBeCloseTo(settling.weight.massKg, 9)
    }
  })

  test('hanging it is the least over its mass; nothing where that is not known', () => {
    const settling = inWater('anchor')
    expect(demandOn(settling, minimumSinker(settling))).toBeCloseTo(leastKg(settling)! / settling.weight.massKg, 9)
    expect(demandOn(settling, { trouble: 'none', code: 'no-root' })).toBeUndefined()
    expect(demandOn(inWater('anchor', { streamMperS: 0 }), { kgFor: () => 1e-4 })).toBeUndefined()
    expect(demandOn(inWater('uptide'), { kgFor: () => 10 })).toBeUndefined()
  })
})

describe('the line’s shape', () => {
  test('hanging: it comes out at the surface, its shares add up to the pull across', () => {
    const settling = inWater('anchor', { depthM: 28, streamMperS: 0.4 })
    const shape = drawn(settling)
    const top = shape.points.at(-1)!
    expect(top.z).toBeCloseTo(28, 6)
    expect(-top.x).toBeCloseTo(shape.setbackM, 9)
    expect(shape.shares.reduce((sum, { forceN }) => sum + forceN, 0)).toBeCloseTo(-top.tx, 6)
    expect(shape.scope).toBeCloseTo(shape.lineOutM / 28, 12)
  })

  test('up-tide: from the sinker on the bed up-current to the boat', () => {
    const shape = drawn(inWater('uptide', { distanceM: 40, depthM: 20, streamMperS: 0.8 }))
    expect(shape.points[0]!.x).toBeCloseTo(-40, 3)
    expect(shape.points[0]!.z).toBeCloseTo(0, 3)
    expect(shape.points.at(-1)).toMatchObject({ x: -0, z: 20 })
    expect(shape.setbackM).toBe(-40)
  })

  test('from the shore: a bow from the rod to the sinker, as long as the line, as deep as the calculation says', () => {
    const settling = inWater('shore', { distanceM: 90, scope: 1.1, streamMperS: 0.3 })
    const { points, lineOutM, setbackM } = drawn(settling)
    expect(points[0]!.s).toBeCloseTo(0, 9)
    expect(points[0]!.x).toBeCloseTo(0, 2)
    expect(points.at(-1)).toMatchObject({ s: lineOutM, x: 90, z: 0 })
    // The furthest lies between two points.
    expect(Math.max(...points.map(({ z }) => z))).toBeLessThanOrEqual(setbackM)
    expect(Math.max(...points.map(({ z }) => z)) / setbackM).toBeGreaterThan(0.9)
    expect(setbackM).toBeCloseTo(waterShoreLine(shoreInput(settling, 1)).bowM, 12)
  })

  test('blown out, or too little line, is a sentence', () => {
    expect(lineShapeOf(inWater('anchor', { streamMperS: 4 }))).toHaveProperty('trouble')
    expect(lineShapeOf(inWater('shore', { scope: 1.001 }))).toHaveProperty('trouble')
  })
})

describe('what weighs and what drags', () => {
  test('weed thickens the line of a cast weight as that of one hanging', () => {
    for (const method of ['shore', 'uptide'] as const) {
      const input = method === 'shore' ? shoreInput : uptideInput
      const [clean, weedy] = [1, 1.5].map((weedFactor) => input(inWater(method, { weedFactor }), 1).lineDiameterM)
      expect(weedy! / clean!).toBeCloseTo(1.5, 12)
    }
    const [clean, weedy] = [1, 1.5].map((weedFactor) => lineInput(inWater('anchor', { weedFactor })).layers)
    for (const [i, { diameterM }] of weedy!.entries()) expect(diameterM / clean![i]!.diameterM).toBeCloseTo(1.5, 12)
  })

  test('a bait on its hook alone is steel and flesh: each displaces at its own density', () => {
    const { trace } = draftOf('freeLine', braid, defaultConditions())
    const kgOf = (role: Piece['role']) =>
      trace.pieces.filter((piece) => piece.role === role).reduce((sum, piece) => sum + massOfKg(catalogue, piece), 0)
    const [hookKg, baitKg] = [kgOf('hook'), kgOf('bait')]
    const weight = weightOf({ trace, catalogue })!
    expect(weight.massKg).toBeCloseTo(hookKg + baitKg, 12)
    expect(weight.massKg / weight.densityKgperM3).toBeCloseTo(hookKg / 7850 + baitKg / 1075, 12)
  })
})

describe('the best bow', () => {
  test('is where another tenth of line begins to save under a twentieth', () => {
    const settling = inWater('shore', { scope: 1.05 })
    const best = bestBow(settling)!
    const at = (scope: number) => leastKg({ ...settling, water: { ...settling.water, scope } })!
    expect(best.neededKg).toBeCloseTo(at(best.scope), 9)
    const saves = (scope: number) => 1 - at(scope + 0.1) / at(scope)
    expect(saves(best.scope)).toBeLessThan(0.05)
    expect(saves(best.scope - 0.05)).toBeGreaterThanOrEqual(0.05)
    expect(bestBow({ ...settling, water: { ...settling.water, scope: best.scope } })).toBeUndefined()
    expect(bestBow(inWater('anchor'))).toBeUndefined()
  })
})

describe('what a sinker is made of', () => {
  test('denser falls faster; lighter weighs less in water for its mass', () => {
    const of = (metal: 'tungsten' | 'stone' | undefined) => {
      const trace = withFields(ledger.trace, 'sinker', { metal })
      return weightOf({ trace, catalogue })!
    }
    expect(of(undefined).densityKgperM3).toBe(11340)
    expect(of('tungsten').fallAreaM2 / of(undefined).fallAreaM2).toBeCloseTo((11340 / 17500) ** (2 / 3), 9)
    expect(of('stone').densityKgperM3).toBe(2600)
    expect(of('stone').fallAreaM2).toBeGreaterThan(of(undefined).fallAreaM2)
  })
})

describe('twist', () => {
  const twists = (bait: BaitType, pieces: (piece: Trace['pieces'][number]) => boolean = () => true) => {
    const changed = withFields(ledger.trace, 'hook-bait', { bait })
    const trace = { ...changed, pieces: changed.pieces.filter(pieces) }
    return twistsOf(prepareSetup(setupOf(trace, braid, ledger.conditions)))
  }

  const after = (changes: [id: string, change: object][]) => {
    const spinning = withFields(ledger.trace, 'hook-bait', { bait: 'cuttlefishStrip' })
    const trace = changes.reduce((next, [id, change]) => withFields(next, id, change), spinning)
    return twistsOf(prepareSetup(setupOf(trace, braid, ledger.conditions)))[0]!.swivel
  }

  test('a strip spins, and the swivel above takes it with the hook length between; a sandeel does not spin', () => {
    const hookLength = ledger.trace.pieces.find(({ id }) => id === 'hook-length') as { lengthM: number }
    expect(twists('cuttlefishStrip')).toEqual([
      { id: 'hook-bait', swivel: { id: 'swivel', awayM: hookLength.lengthM, takes: true } },
    ])
    expect(twists('sandeel')).toEqual([])
  })

  test('too far away a swivel takes nothing; a better one takes it from farther', () => {
    const takes = (type: string, lengthM: number) =>
      after([
        ['swivel', { type }],
        ['hook-length', { lengthM }],
      ])!.takes
    expect([takes('swivel', 1.2), takes('rollingSwivel', 1.2), takes('rollingSwivel', 2)]).toEqual([false, true, false])
    expect([takes('ballBearingSwivel', 2), takes('ballBearingSwivel', 4)]).toEqual([true, false])
  })

  test('a lure that spins wants one that turns as it is wound in', () => {
    const { trace, conditions } = draftOf('tandemTroll', braid, { ...defaultConditions(), castStyle: 'none' })
    const spinning = withFields(trace, 'light', { spins: true })
    const [twist, ...none] = twistsOf(prepareSetup(setupOf(spinning, braid, conditions)))
    expect(none).toEqual([])
    expect(twist).toMatchObject({ id: 'light', swivel: { takes: false } })
  })

  test('without a swivel nothing takes it', () => {
    const free = draftOf('freeLine', braid, defaultConditions())
    const bait = free.trace.pieces.find(({ role }) => role === 'bait')!
    const trace = withFields(free.trace, bait.id, { bait: 'halfFish' })
    expect(twistsOf(prepareSetup(setupOf(trace, braid, free.conditions)))).toEqual([{ id: bait.id }])
  })
})

describe('two weights', () => {
  const order = (family: FamilyId) => {
    const { trace, conditions } = draftOf(family, braid, { ...defaultConditions(), castStyle: 'none' })
    return sinkOrder(prepareSetup(setupOf(trace, braid, conditions)))
  }

  test('fall at the speed at which weight and drag balance; heavier, slimmer or with less bait they fall faster', () => {
    const { lower } = order('deepDrop')!
    const dragN = 0.5 * 1025 * lower.areaM2 * lower.speedMperS ** 2
    expect(dragN).toBeCloseTo(lower.sinker.massKg * 9.80665 * (1 - 1025 / 11340), 9)
    const fallOf = (change: object, family: FamilyId = 'deepDrop') => {
      const { trace, conditions } = draftOf(family, braid, { ...defaultConditions(), castStyle: 'none' })
      const changed = withFields(trace, 'release-weight', change)
      const bare = { ...changed, pieces: changed.pieces.filter(({ role }) => role !== 'bait') }
      const speed = (of: typeof trace) => sinkOrder(prepareSetup(setupOf(of, braid, conditions)))!.lower.speedMperS
      return { speed: speed(changed), bare: speed(bare) }
    }
    expect(fallOf({ massKg: lower.sinker.massKg * 1.5 }).speed).toBeGreaterThan(lower.speedMperS)
    expect(fallOf({ shape: 'bar' }).speed).toBeLessThan(lower.speedMperS)
    expect(fallOf({}).bare).toBeGreaterThan(lower.speedMperS)
  })

  test('only weights on lines of their own are set against each other', () => {
    expect(order('runningLedger')).toBeUndefined()
    expect(order('splitShot')).toBeUndefined()
    expect(order('deepDrop')).toMatchObject({ lower: { sinker: { id: 'release-weight' } } })
  })
})

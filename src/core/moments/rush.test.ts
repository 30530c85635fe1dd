import { describe, expect, test } from 'vitest'
import { draftOf } from '../../../tests/fixtures/drafts.ts'
import { advised, base, fished, found, judged, lowered } from '../../../tests/fixtures/judgedDrafts.ts'
import { braidOutfit, LB } from '../../../tests/fixtures/outfits.ts'
import { catalogue, setupOf } from '../../../tests/fixtures/setups.ts'
import { tryRemedies } from '../advice/tryRemedies.ts'
import type { Material } from '../catalogue/ids.ts'
import { spoolEffectiveMassKg } from '../catalogue/reels.ts'
import type { Conditions } from '../documents/conditions.ts'
import { defaultConditions } from '../documents/conditions.ts'
import { withLength } from '../edit/changes.ts'
import { withMainLine } from '../outfits/outfitLines.ts'
import { givesEnough, leastRush, rushByLineOut } from './rush.ts'
import { strikeWhileTowed } from './towedStrike.ts'

const outfit = braidOutfit(50)
/** A fast fish: a slow one never outruns the give of a nylon leader. */
const usual: Conditions = { ...defaultConditions(), dragN: 10 * LB, fishSpeedMperS: 15 }
const { trace } = draftOf('runningLedger', outfit, usual)
const rushOn = (conditions: Partial<Conditions> = {}, material: Material = 'braid') =>
  rushByLineOut(setupOf(trace, withMainLine(outfit, { material }), { ...usual, ...conditions }), 'hook')

describe('a sudden rush by line out', () => {
  const rush = rushOn()

  test('at the boat it pulls most with the rod pointed; with it bent the guides’ friction tells instead', () => {
    const [near, far] = [rush[0]!, rush.at(-1)!]
    expect(near.pointedN).toBeGreaterThan(near.bentN)
    expect(near.pointedN / near.bentN).toBeGreaterThan(1.15 * (far.pointedN / far.bentN))
    for (const { bentN, pointedN } of rushOn({ dragMeasuredAt: 'tip' })) expect(pointedN).toBeGreaterThan(bentN)
  })

  test('near the boat the line does not give and far out the spool is small: with the rod pointed the least lies between', () => {
    const least = leastRush(rush, 'pointed')!
    expect(least.lineOutM).toBeGreaterThan(rush[0]!.lineOutM)
    expect(least.lineOutM).toBeLessThan(rush.at(-1)!.lineOutM)
    for (const { pointedN } of rush) expect(pointedN).toBeGreaterThanOrEqual(least.pointedN)
    const bent = leastRush(rush, 'bent')!
    for (const { bentN } of rush) expect(bentN).toBeGreaterThanOrEqual(bent.bentN)
  })

  test('a slow fish on a long nylon leader has no near arm: it only grows as the spool empties', () => {
    const slow = rushOn({ fishSpeedMperS: 2 })
    expect(leastRush(slow, 'pointed')!.lineOutM).toBeLessThan(5)
    expect([givesEnough(leastRush(slow, 'pointed')!), givesEnough(leastRush(rush, 'pointed')!)]).toEqual([true, false])
    expect(slow.at(-1)!.pointedN).toBeGreaterThan(1.4 * slow[0]!.pointedN)
  })

  test('mono gives more than braid; a slower fish and a lighter drag pull less', () => {
    const at = (points: ReturnType<typeof rushOn>) => points[0]!.pointedN
    expect(at(rushOn({}, 'mono'))).toBeLessThan(at(rush))
    expect(at(rushOn({ fishSpeedMperS: 10 }))).toBeLessThan(at(rush))
    expect(at(rushOn({ dragN: 5 * LB }))).toBeLessThan(at(rush))
  })

  test('a fish that does not move off pulls no more than it takes to start the spool', () => {
    const still = rushOn({ fishSpeedMperS: 0, dragMeasuredAt: 'tip' })
    expect(still[0]!.pointedN).toBeCloseTo(usual.startFactor * usual.dragN, 0)
    expect(still[0]!.bentN).toBe(still[0]!.pointedN)
  })
})

test('a spool turns as half of what it and its line weigh, by the nylon that it holds', () => {
  const nylonKg = 300 * (Math.PI / 4) * 0.35e-3 ** 2 * 1_140
  expect(spoolEffectiveMassKg(catalogue, { capacityLengthM: 300, capacityDiameterM: 0.35e-3 })).toBeCloseTo(1.5 * nylonKg, 12)
})

describe('a rush judged', () => {
  const rushed = (more: Partial<Conditions> = {}) =>
    fished(base('castingLeader', lowered), { fishSpeedMperS: 18, rodHeld: 'pointed', lineOutM: 20, ...more })

  test('what a bent rod bears, one pointed at the fish does not: at the boat, where the line is short', () => {
    const [pointed, bent] = [judged(rushed()), judged(rushed({ rodHeld: 'bent' }))]
    expect([pointed.hand!.verdict, bent.hand!.verdict]).toEqual(['watch', 'holds'])
    expect(pointed.hand!.deciding.withoutRush).toBe('holds')
    expect(pointed.hand!.deciding.rush.lineOutM).toBe(rushed().outfit.rod.lengthM)
    expect(pointed.run!.deciding.rush.lineOutM).toBe(20)
    expect(found(rushed({ rodHeld: 'bent' }), 'rush-breaks')).toEqual([])
  })

  test('at the side the line that lies out beyond the trace does not count, nor what is still on the reel', () => {
    const sides = [20, 140, 160, 250].map((lineOutM) => judged(rushed({ lineOutM })).hand!)
    for (const { deciding, verdict } of sides) {
      expect(deciding.rush).toEqual(sides[0]!.deciding.rush)
      expect(verdict).toBe(sides[0]!.verdict)
    }
    // A weak backing is on the reel then: it breaks nothing at the side.
    const weak = rushed()
    const { outfit: strong } = weak
    const onWeakBacking = {
      ...strong,
      wound: strong.wound.map((line) => (line.role === 'backing' ? { ...line, strengthN: 4 * LB } : line)),
    }
    expect(judged({ ...weak, outfit: onWeakBacking }).hand!.deciding.rush).toEqual(judged(weak).hand!.deciding.rush)
  })

  test('a leader longer than the rod gives no more at the side: only what is outside the tip ring stretches', () => {
    const longer = (lengthM: number) => {
      const content = rushed()
      return judged({ ...content, trace: withLength(content.trace, 'leader', lengthM) }).hand!.deciding.rush.peakN
    }
    expect(longer(30)).toBeCloseTo(longer(15), 9)
    expect(longer(1)).toBeGreaterThan(longer(15))
  })

  test('the faster it goes off the less likely it is held, down to a verdict that fails', () => {
    const survivals = [10, 14, 18, 22, 25].map((fishSpeedMperS) => judged(rushed({ fishSpeedMperS })).hand!.deciding.rush)
    for (const [i, { survival }] of survivals.slice(1).entries()) expect(survival).toBeLessThan(survivals[i]!.survival)
    expect(survivals.map(({ verdict }) => verdict)).toEqual(['holds', 'holds', 'watch', 'watch', 'fails'])
  })

  test('each of its remedies ends it: the rod bent, the drag eased, a longer mono leader', () => {
    const content = rushed()
    const evaluation = judged(content)
    const [finding] = found(content, 'rush-breaks')
    const remedies = tryRemedies(finding!, advised(content, evaluation))
    expect(remedies.map(({ label }) => label.split(',')[0])).toEqual([
      'hold the rod up',
      'lower the drag when the leader comes up',
      'make the leader longer',
    ])
    const dragged = remedies[1]!.conditions.dragN
    expect(dragged).toBeLessThan(content.conditions.dragN)
    // Half a pound more would not do.
    expect(found(rushed({ dragN: dragged + 0.5 * LB }), 'rush-breaks')).toHaveLength(1)
  })
})

test('a strike while it is towed: the water’s drag counts by the boat’s speed and the fish’s, on the line that is towed on', () => {
  const { trace: lure, conditions } = base('castingLeader', lowered)
  const setup = setupOf(lure, outfit, conditions)
  const at = (speedMperS: number, lineOutM = 40) => strikeWhileTowed(setup, { speedMperS, lineOutM })!
  expect(at(2).waterDragN / at(0).waterDragN).toBeCloseTo(
    (conditions.fishSpeedMperS + 2) ** 2 / conditions.fishSpeedMperS ** 2,
    9,
  )
  expect(at(2).figure.value).toBeLessThan(at(0).figure.value)
  expect(at(2, 80).waterDragN / at(2).waterDragN).toBeCloseTo(2, 1)
  expect(strikeWhileTowed(setup, { speedMperS: 2, lineOutM: 5_000 })).toBeUndefined()
})

import { describe, expect, test } from 'vitest'
import { outfit, set, setupFor, usual } from '../../../tests/fixtures/moving.ts'
import { LB } from '../../../tests/fixtures/outfits.ts'
import type { Moving } from '../documents/moving.ts'
import { withMainLine } from '../outfits/outfitLines.ts'
import { flownBait, GUST, isTold } from '../setup/moving/kite.ts'
import { keptShare, retrieve } from '../setup/moving/retrieved.ts'
import { towOf } from '../setup/moving/tow.ts'
import { deepestOf, trolledAt } from '../setup/moving/trolled.ts'
import { prepareSetup } from '../setup/prepareSetup.ts'
import type { Setup } from '../setup/setup.ts'
import { gradeAtLeast } from './moment.ts'
import { judgeMoving, movingRequests } from './settleMoving.ts'
import { KEPT_SHARE, OFF_DEPTH } from './thresholds.ts'

const judged = (setup: Setup, moving: Moving) =>
  judgeMoving(prepareSetup({ ...setup, conditions: { ...setup.conditions, moving } }), moving)
const inputsOf = ({ inputs }: ReturnType<typeof judgeMoving>) => Object.fromEntries(inputs.map(({ key, value }) => [key, value]))

describe('towed', () => {
  const setup = setupFor('castingLeader')
  const swims = deepestOf(trolledAt(towOf(setup), { speedMperS: 1.5, lineOutM: 30 }).places)!
  const meantAt = (m: number, waterM = 40) =>
    judged(setup, usual('trolled', { speedMperS: 1.5, lineOutM: 30, waterM, swimsAt: { from: 'surface', m } }))

  test('it is judged by how far it is off the depth that is meant, over it or under it, a share of which may be off', () => {
    const { depthM } = swims
    for (const wantedM of [depthM + 0.3, depthM - 0.3, depthM + 2, depthM + 12, 30]) {
      const allowedM = Math.max(OFF_DEPTH.leastM, OFF_DEPTH.share * wantedM)
      const { margin, verdict, figure } = meantAt(wantedM)
      expect(margin).toBeCloseTo(allowedM / Math.abs(depthM - wantedM), 9)
      expect(verdict).toBe(gradeAtLeast(margin, OFF_DEPTH))
      expect(figure.value).toBeCloseTo(depthM, 12)
    }
    expect([meantAt(depthM + 0.3).verdict, meantAt(depthM + 12).verdict]).toEqual(['holds', 'fails'])
    // Just where it is meant to be it has as much to spare as is told of.
    expect(meantAt(depthM).margin).toBeCloseTo(Math.max(OFF_DEPTH.leastM, OFF_DEPTH.share * depthM) / 1e-3, 3)
  })

  test('on the bed it fails, however near to what is meant', () => {
    const { depthM } = swims
    expect(meantAt(depthM, depthM + 0.1).verdict).toBe('holds')
    expect(meantAt(depthM, depthM).verdict).toBe('fails')
    expect(meantAt(depthM, depthM - 0.1).verdict).toBe('fails')
  })

  test('what it was judged by is told, the end that swims deepest as its end', () => {
    const result = meantAt(4)
    expect(result.end).toBe(swims.id)
    expect(result.moved).toEqual({ way: 'trolled', depthM: swims.depthM, wantedM: 4, waterM: 40 })
    const { topTensionN } = trolledAt(towOf(setup), { speedMperS: 1.5, lineOutM: 30 })
    expect(inputsOf(result)).toEqual({
      boatSpeed: 1.5,
      lineOutTrolled: 30,
      depthMeant: 4,
      swimsAt: swims.depthM,
      leastWater: 40,
      pullOfLine: topTensionN,
    })
  })

  test('what cannot be told fails and says why: a lure that floats without a lip, a line with nothing on it', () => {
    const floating = judged(setupFor('straightLure', set('lure', { floats: true })), usual('trolled'))
    expect(floating).toMatchObject({ verdict: 'fails', margin: 0, figure: { key: 'cannotBeTold' }, inputs: [] })
    expect(floating.moved.trouble).toMatch(/pulls the end down/)
    const bare = { ...setup, trace: { ...setup.trace, pieces: setup.trace.pieces.filter(({ role }) => role === 'leader') } }
    expect(judged(bare, usual('trolled')).moved.trouble).toBeDefined()
  })
})

test('wound in, it is judged by the share of the way over which it is kept where it is meant to swim', () => {
  const setup = setupFor('castingLeader')
  const waters = [
    [4, 3],
    [14, 3],
    [60, 60],
  ] as const
  const verdicts = waters.map(([waterM, nearWaterM]) => {
    const way = usual('retrieved', { waterM, nearWaterM })
    const points = retrieve(setup, towOf(setup), way)
    const kept = keptShare(points)
    const result = judged(setup, way)
    expect(result).toMatchObject({ verdict: gradeAtLeast(kept, KEPT_SHARE), figure: { key: 'keptShare', value: kept } })
    expect(result.margin).toBeCloseTo(kept / KEPT_SHARE.holds, 12)
    expect(inputsOf(result)).toEqual({
      lineOutTrolled: way.lineOutM,
      depthMeant: points[0]!.wantedM,
      windingSpeed: points[0]!.speedMperS,
      keptShare: kept,
    })
    return result.verdict
  })
  expect(verdicts[0]).toBe('holds')
  expect(verdicts.at(-1)).toBe('fails')
})

describe('flown', () => {
  const setup = setupFor('kiteBait', undefined, withMainLine(outfit, { material: 'mono', strengthN: 30 * LB }))
  const way = usual('kite', { windMperS: 7 })
  const leads = way.baits.map((bait) => {
    const flown = flownBait(setup, way, bait)
    if (!isTold(flown)) throw new Error(flown.trouble)
    return { steadyKg: flown.steady.leadMassKg, gustKg: flown.gust.leadMassKg }
  })
  /** The two baits with so much between what the wind asks for (0) and what its gusts do (1). */
  const carrying = (...shares: number[]) =>
    judged(setup, {
      ...way,
      baits: way.baits.map((bait, i) => ({
        ...bait,
        leadKg: leads[i]!.steadyKg + shares[i]! * (leads[i]!.gustKg - leads[i]!.steadyKg),
      })),
    })

  test('enough for the gusts holds, for the wind only is to be watched, for less fails; the worse of two decides', () => {
    expect(carrying(1, 1).verdict).toBe('holds')
    expect(carrying(0.5, 1).verdict).toBe('watch')
    expect(carrying(1, 0).verdict).toBe('watch')
    expect(carrying(-0.1, 1).verdict).toBe('fails')
    expect(carrying(2, -0.1).verdict).toBe('fails')
    expect(carrying(1, 1).margin).toBeCloseTo(1, 9)
    const halfway = leads[1]!.steadyKg + 0.5 * (leads[1]!.gustKg - leads[1]!.steadyKg)
    expect(carrying(2, 0.5)).toMatchObject({
      margin: expect.closeTo(halfway / leads[1]!.gustKg, 9),
      figure: { key: 'leadWanted', value: leads[1]!.gustKg },
    })
  })

  test('a belly in the sea is to be watched, whatever is carried', () => {
    const wet = judged(setup, { ...way, windMperS: 4, slack: 1.3, baits: way.baits.map((bait) => ({ ...bait, leadKg: 2 })) })
    expect(wet.verdict).toBe('watch')
    const dry = judged(setup, { ...way, windMperS: 4, baits: way.baits.map((bait) => ({ ...bait, leadKg: 2 })) })
    expect(dry.verdict).toBe('holds')
  })

  test('where no lead is asked for there is more than enough; a ring under the rod is told in words', () => {
    const calm = judged(setup, { ...way, windMperS: 1, slack: 1.1, baits: way.baits.map((bait) => ({ ...bait, leadKg: 0.01 })) })
    expect(calm.moved.trouble).toBeUndefined()
    expect(calm.margin).toBe(10)
    const under = judged(setup, { ...way, baits: [way.baits[0]!, { ...way.baits[1]!, ringHeightM: 0.5 }] })
    expect(under).toMatchObject({ verdict: 'fails', figure: { key: 'cannotBeTold' } })
    expect(under.moved.trouble).toMatch(/ring must be over the rod tip/)
  })

  test('behind it is what each bait asks for in the wind and in its gusts', () => {
    const requests = movingRequests({ ...setup, conditions: { ...setup.conditions, moving: way } }, carrying(1, 1).moved)
    expect(requests.map(({ calculation }) => calculation)).toEqual(['kite.lead', 'kite.lead', 'kite.lead', 'kite.lead'])
    expect(requests.map(({ input }) => (input as { windMperS: number }).windMperS)).toEqual([7, 7 * GUST, 7, 7 * GUST])
  })
})

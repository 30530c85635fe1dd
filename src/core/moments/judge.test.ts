import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { atDepth } from '../../../tests/depth.ts'
import { draftOf } from '../../../tests/fixtures/drafts.ts'
import { FAMILY_FIXTURES } from '../../../tests/fixtures/families.ts'
import { braidOutfit, LB } from '../../../tests/fixtures/outfits.ts'
import { traceArb } from '../../../tests/fixtures/randomTraces.ts'
import { catalogue, evaluated, rigOf } from '../../../tests/fixtures/setups.ts'
import { tried } from '../analysis/judged.ts'
import { efficiencyOf } from '../catalogue/catalogue.ts'
import { MATERIALS } from '../catalogue/tables/materials.ts'
import { type Conditions, defaultConditions } from '../documents/conditions.ts'
import { jointRef } from '../documents/linkRef.ts'
import { isLine, isTied, jointOf } from '../documents/pieces.ts'
import type { LinePiece, Piece, Trace } from '../documents/trace.ts'
import { withClip, withFields, withJoint, withoutClip, withPiece } from '../edit/changes.ts'
import { fitIssues } from '../joints/fitIssues.ts'
import { normalCdf } from '../math/normal.ts'
import { strengthChain } from '../physics/strength/chain.ts'
import { pathToPiece } from '../soundness/paths.ts'

const outfit = braidOutfit(50)
const usual: Conditions = { ...defaultConditions(), dragN: 10 * LB }
const fixture = (family: string) => FAMILY_FIXTURES.find(({ trace }) => trace.family === family)!.trace

test.each(FAMILY_FIXTURES)('$trace.family is judged without error in every moment that applies', ({ trace }) => {
  expect(fitIssues(rigOf(trace, outfit))).toEqual([])
  const { run, snag, cast } = evaluated(trace, outfit, usual)
  for (const moment of [run, snag, cast].filter((each) => each !== undefined)) {
    expect(Number.isFinite(moment.figure.value)).toBe(true)
    expect(trace.pieces.some(({ id }) => id === moment.end)).toBe(true)
    expect(moment.inputs.length).toBeGreaterThan(0)
  }
  for (const { first, links } of snag!.paths) {
    expect(first.reduce((sum, chance) => sum + chance, 0)).toBeCloseTo(1, 9)
    // The weakest link of a path is what strength.chain finds in its links taken as they are.
    const chain = strengthChain(links.map(({ id, strengthN }) => ({ type: 'hardware', id, strengthN })))
    expect(chain.weakest.strengthN).toBe(Math.min(...links.map(({ strengthN }) => strengthN)))
  }
})

describe('run', () => {
  const trace = draftOf('runningLedger', outfit, usual).trace

  test('worked by hand: the ceiling of a ledger on a full spool', () => {
    // Hook length: fluoro, the largest label within 0.8 of the leader; set to 30 lb here. Knots: uni 0.82, snell 0.88 of 30 lb.
    // Weakest 24.6 lb. No line out: R_full/R = 1, no water drag. e^(0.12 × 1.2) = 1.15488; × 1.2 = 1.38586.
    // Ceiling 0.75 × 24.6 / 1.38586 = 13.313 lb.
    const light = withFields(trace, 'hook-length', { strengthN: 30 * LB })
    const run = evaluated(light, outfit, { ...usual, lineOutM: 0 }).run!
    expect(run.decides).toEqual(jointRef('hook-length'))
    expect(run.figure.value / LB).toBeCloseTo(13.313, 3)
    expect(run.margin).toBeCloseTo(1.3313, 4)
    expect(run.verdict).toBe('holds')
  })

  test('verdicts by the drag: within, up to 1.15 times, beyond', () => {
    const ceilingN = evaluated(trace, outfit, usual).run!.dragCeilingN
    const verdictAt = (share: number) => evaluated(trace, outfit, { ...usual, dragN: ceilingN * share }).run!.verdict
    expect([0.99, 1.01, 1.149, 1.151].map(verdictAt)).toEqual(['holds', 'watch', 'watch', 'fails'])
  })

  test('never better than watch where the survival at the peak is under 0.98', () => {
    // A clinch spreads by 0.10: at the allowed 0.97 of its mean, Φ(0.03/0.10) = 0.618 of pulls hold at the peak.
    const weakKnot = withJoint(trace, 'hook', () => ({ connection: 'clinch' }))
    const conditions = { ...usual, allowedFraction: 0.97 }
    const ceilingN = evaluated(weakKnot, outfit, conditions).run!.dragCeilingN
    const run = evaluated(weakKnot, outfit, { ...conditions, dragN: ceilingN }).run!
    // Within the ceiling, so that verdict, figure and margin are those of the chance.
    expect([run.verdict, run.deciding.cause]).toEqual(['watch', 'survival'])
    expect(run.figure).toEqual({ key: 'survivalAtPeak', quantity: 'share', value: run.deciding.survival })
    expect(run.margin).toBeCloseTo(run.deciding.survival / 0.98, 9)
    expect(run.paths[0]!.survival).toBeLessThan(normalCdf(0.3) + 0.01)
  })

  test('measured at the tip, the guides’ friction is in the setting already', () => {
    const [reel, tip] = (['reel', 'tip'] as const).map(
      (dragMeasuredAt) => evaluated(trace, outfit, { ...usual, dragMeasuredAt }).run!,
    )
    expect(tip!.figure.value / reel!.figure.value).toBeCloseTo(Math.exp(0.12 * 1.2), 9)
  })

  test('dry nylon counts its whole label', () => {
    const leaderOf = (wet: boolean) =>
      evaluated(trace, outfit, { ...usual, wet }).run!.paths[0]!.links.find(({ id }) => id === 'leader')!.strengthN
    expect(leaderOf(true) / leaderOf(false)).toBeCloseTo(0.9, 12)
  })

  test('on any trace: a better connection never lowers the verdict, a weaker line never raises the ceiling', () => {
    const rank = { holds: 0, watch: 1, fails: 2 }
    fc.assert(
      fc.property(
        traceArb,
        fc.nat(),
        fc.double({ min: 0.3, max: 0.9, noNaN: true }),
        fc.double({ min: 5, max: 60, noNaN: true }),
        (any, pick, share, dragN) => {
          // A slider with no stop below it cannot be judged.
          const at = (changed: Trace) => {
            const judged = tried(() => evaluated(changed, outfit, { ...usual, dragN }).run)
            return judged.ok ? judged.value : undefined
          }
          const joined = any.pieces.filter((piece) => isTied(jointOf(piece)))
          const lines = any.pieces.filter(isLine)
          fc.pre(joined.length > 0 && lines.length > 0 && at(any) !== undefined)
          const { id } = joined[pick % joined.length]!
          const tied = (efficiency: number) => at(withJoint(any, id, (joint) => ({ ...joint, own: { efficiency } })))!
          expect(rank[tied(Math.min(1, share * 1.1)).verdict]).toBeLessThanOrEqual(rank[tied(share).verdict])
          const line = lines[pick % lines.length]!
          const thinner = withFields(any, line.id, { strengthN: line.strengthN * share })
          expect(at(thinner)!.dragCeilingN).toBeLessThanOrEqual(at(any)!.dragCeilingN)
        },
      ),
      { numRuns: atDepth(25, 60) },
    )
  })

  test('on any trace: every path’s strengths are those of strength.chain worked link by link', () => {
    fc.assert(
      fc.property(traceArb, (any) => {
        const judged = tried(() => evaluated(any, outfit, usual))
        fc.pre(judged.ok)
        for (const path of (judged.ok && judged.value.snag?.paths) || []) {
          const lineN = ({ role, strengthN, condition, material }: LinePiece) =>
            strengthN * (role === 'double' ? 2 : 1) * (condition ?? 1) * MATERIALS[material].wetCondition
          const strengthOf = new Map(path.links.map(({ id, strengthN }) => [id, strengthN]))
          for (const element of pathToPiece(any, path.end)) {
            if (element.kind === 'line') expect(strengthOf.get(element.id)).toBeCloseTo(lineN(element.line), 9)
            if (element.kind !== 'joint') continue
            // A joint is no stronger than its own share of any line that it is tied in and that bears the pull.
            const tiedIn = any.pieces.filter(isLine).filter(({ id }) => element.ties.includes(id) && strengthOf.has(id))
            for (const line of tiedIn)
              expect(strengthOf.get(element.id)).toBeLessThanOrEqual(
                efficiencyOf(catalogue, element.joint, line.material)!.mean * lineN(line) * (1 + 1e-12),
              )
          }
        }
      }),
      { numRuns: 60 },
    )
  })

  test('backing holds the pull only once the main line is all out', () => {
    const short = braidOutfit(50, {
      wound: [
        { role: 'backing', material: 'mono', strengthN: 12 * LB, lengthM: 100 },
        { role: 'main', material: 'braid', strengthN: 50 * LB, lengthM: 120, joint: { connection: 'doubleUni' } },
      ],
    })
    const idsAt = (lineOutM: number) => evaluated(trace, short, { ...usual, lineOutM }).run!.paths[0]!.links.map(({ id }) => id)
    expect(idsAt(119).slice(0, 2)).toEqual(['main', 'leader.joint'])
    expect(idsAt(121).slice(0, 3)).toEqual(['backing', 'main.joint', 'main'])
    expect(() => evaluated(trace, short, { ...usual, lineOutM: 221 })).toThrow(
      expect.objectContaining({ code: 'line-out-over-spool' }),
    )
  })
})

describe('cast', () => {
  const surfOutfit = { ...outfit, rod: { ...outfit.rod, castLowKg: 0.1, castHighKg: 0.2 } }
  const draft = draftOf('threeWay', outfit, usual).trace
  const unclipped: Trace = withoutClip(draft, 'sinker')

  test('worked by hand: peak of 150 g overhead', () => {
    // v²/(2s) × k = 35²/(2×5) × 2 = 245; + 9.80665 = 254.80665 m/s². Times the mass that flies, which is over the rod's best, √(0.1 × 0.2) kg.
    const { cast } = evaluated(unclipped, surfOutfit, usual)
    expect(cast!.peakN / cast!.massKg).toBeCloseTo(254.80665, 9)
    expect(cast!.massKg).toBeGreaterThan(0.15)
  })

  test('a weight under the rod’s best is thrown slower and pulls less; one over it is thrown slower and pulls as hard as the style goes', () => {
    const thrown = (massKg: number) => evaluated(withFields(unclipped, 'sinker', { massKg }), surfOutfit, usual).cast!
    const best = Math.SQRT2 / 10
    const [light, heavy] = [thrown(0.02), thrown(0.4)]
    const x = light.massKg / best
    expect(light.flight.releaseSpeedMperS).toBeCloseTo(35 * ((2 * x) / (1 + x * x)) ** 0.4, 9)
    expect(light.load.releaseSpeedMperS).toBe(light.flight.releaseSpeedMperS)
    expect(heavy.flight.releaseSpeedMperS).toBeLessThan(35)
    expect(heavy.load.releaseSpeedMperS).toBe(35)
    expect(thrown(0.005).rangeM.most).toBeLessThan(thrown(0.15).rangeM.least)
  })

  test('every branch holds what mass beyond it: a heavy bait on a light snood fails, at the snood, whatever the leader', () => {
    const heavy = withPiece(withFields(unclipped, 'hook-bait', { massKg: 0.15 }), 'hook-line', (piece) => ({
      ...(piece as LinePiece),
      strengthN: 8 * LB,
    }))
    const cast = evaluated(heavy, surfOutfit, usual).cast!
    expect([cast.verdict, cast.end]).toEqual(['fails', 'hook'])
    expect(cast.decides).toMatchObject({ at: 'joint', id: expect.stringMatching(/^hook/) })
    const [trunk, snood] = ['leader', 'hook-line'].map((id) => cast.links.find((link) => link.id === id)!)
    expect(trunk!.massKg).toBeCloseTo(cast.massKg, 2)
    expect(snood!.massKg).toBeGreaterThan(0.15)
    expect(snood!.massKg).toBeLessThan(0.17)
    expect(snood!.loadN / cast.peakN).toBeCloseTo(snood!.massKg / cast.massKg, 12)
  })

  test('a bait that a clip holds down does not load its snood, and flies further than one that streams', () => {
    const held = draftOf('clippedDown', surfOutfit, usual).trace
    const streaming = { ...held, pieces: held.pieces.filter(({ id }) => id !== 'bait-clip') }
    const [clipped, free] = [held, streaming].map((trace) => evaluated(trace, surfOutfit, usual).cast!)
    expect(clipped!.links.some(({ id }) => id === 'snood')).toBe(false)
    expect(free!.links.some(({ id }) => id === 'snood')).toBe(true)
    expect(clipped!.rangeM.least).toBeGreaterThan(free!.rangeM.least)
    expect(clipped!.flight.dragAreaM2).toBeLessThan(free!.flight.dragAreaM2)
  })

  test('a float and a light have their own drag in the air', () => {
    const drag = (id: string) =>
      evaluated(draftOf(id as never, surfOutfit, usual).trace, surfOutfit, usual).cast!.flight.dragAreaM2
    const float = draftOf('slidingFloat', surfOutfit, usual).trace.pieces.find(({ role }) => role === 'float') as Piece & {
      massKg: number
    }
    expect(drag('slidingFloat')).toBeGreaterThan(0.0125 * float.massKg ** (2 / 3))
  })

  test('a cast whose line catches: v √(k m), of what is out and the rod, the leader nearest the sinker first', () => {
    const { lockedN, massKg, load } = evaluated(unclipped, surfOutfit, usual).cast!
    const leader = unclipped.pieces.find(({ id }) => id === 'leader') as LinePiece
    // The sinker's own line is short: some 5 m, nearly all leader, of nylon at 2.2 GPa.
    const diameterM = Math.sqrt((4 * leader.strengthN) / (Math.PI * 0.57e9))
    const leaderNperM = (2.2e9 * Math.PI * diameterM ** 2) / 4 / (usual.dropM + surfOutfit.rod.lengthM)
    const rodNperM = Math.sqrt(surfOutfit.rod.ratingLowN * surfOutfit.rod.ratingHighN) / surfOutfit.rod.lengthM
    const about = load.releaseSpeedMperS * Math.sqrt(massKg / (1 / leaderNperM + 1 / rodNperM))
    expect(lockedN / about).toBeCloseTo(1, 1)
  })

  test('a sinker link too weak for the cast fails; bridged by a release clip it leaves the cast path and the rest holds', () => {
    const thin = withFields(unclipped, 'sinker-line', { strengthN: 12 * LB })
    const bare = evaluated(thin, outfit, usual).cast!
    expect(bare.verdict).toBe('fails')
    expect(bare.decides).toEqual(jointRef('sinker'))
    const clipped = evaluated(withClip(thin, 'sinker'), outfit, usual).cast!
    expect(clipped.verdict).toBe('holds')
    expect(clipped.links.map(({ id }) => id)).toEqual(
      expect.arrayContaining(['leader', 'three-way.joint', 'three-way', 'release-clip']),
    )
    expect(clipped.links.some(({ id }) => id === 'sinker-line')).toBe(false)
    // The clip is for the cast alone: a snag still breaks the link.
    expect(evaluated(withClip(thin, 'sinker'), outfit, usual).snag!.paths[0]!.goesFirst.ref).toMatchObject({
      id: expect.stringMatching(/^sinker/),
    })
  })

  test('on a thin main a short leader fails, and one that reaches the reel holds', () => {
    // Needed: 1.2 m drop + 3.9 m rod + 4 × 2π × 0.034 m = 5.95 m. Main 12 lb: FG 0.92 × 12 = 11 lb against a peak of about 12 lb.
    const thin = braidOutfit(12)
    const withLeader = (lengthM: number) => withFields(unclipped, 'leader', { lengthM })
    const short = evaluated(withLeader(5.9), thin, usual).cast!
    const long = evaluated(withLeader(6), thin, usual).cast!
    expect([short.beginsAt, short.verdict]).toEqual(['main', 'fails'])
    expect(short.leaderNeededM).toBeCloseTo(1.2 + 3.9 + 8 * Math.PI * 0.034, 9)
    // 5.9 − 5.1 m lie on the spool, 2π × 0.034 m a turn.
    expect(short.turnsOnSpool).toBeCloseTo(0.8 / (2 * Math.PI * 0.034), 9)
    expect(long.beginsAt).toBe('leader')
    expect(long.links[0]!.id).toBe('leader')
    expect(evaluated(withClip(withLeader(6), 'sinker'), thin, usual).cast!.verdict).toBe('holds')
  })

  test('a wound-on top shot that is long enough is where the cast begins', () => {
    const topShot = braidOutfit(12, {
      wound: [
        { role: 'main', material: 'braid', strengthN: 12 * LB, lengthM: 200 },
        { role: 'topShot', material: 'mono', strengthN: 60 * LB, lengthM: 10, joint: { connection: 'fg' } },
      ],
    })
    const free = withJoint(withFields(unclipped, 'leader', { lengthM: 1 }), 'leader', () => ({ connection: 'doubleUni' }))
    expect(evaluated(free, topShot, usual).cast!.beginsAt).toBe('topShot')
  })

  test('a lure flies with the area of its mass to the two thirds', () => {
    // 0.006 m² per kg^(2/3) × 0.05^(2/3) = 0.000814325.
    const lure = withFields(fixture('straightLure'), 'lure', { massKg: 0.05 })
    expect(evaluated(lure, outfit, usual).cast!.flight.dragAreaM2).toBeCloseTo(0.000814325, 9)
  })

  test('a hook of the angler’s own wire straightens as that wire does: with the cube of its thickness', () => {
    const hookN = (wireM: number) => {
      const trace = withFields(draft, 'hook', { wireM, gapeM: 0.02 })
      return evaluated(trace, outfit, usual).run!.paths[0]!.links.find(({ id }) => id === 'hook')!.strengthN
    }
    expect(hookN(0.002)).toBeCloseTo((1300 * 2 ** 3) / 20, 9)
    expect(hookN(0.003) / hookN(0.0015)).toBeCloseTo(8, 9)
  })

  test('nothing is cast from a boat, and a free line is carried by its bait', () => {
    expect(evaluated(draft, outfit, { ...usual, castStyle: 'none' }).cast).toBeUndefined()
    expect(evaluated(fixture('freeLine'), outfit, usual).cast!).toMatchObject({ carrier: 'bait', end: 'hook' })
  })
})

describe('turns', () => {
  const links = (trace: Trace, on: typeof outfit) => evaluated(trace, on, { ...usual, lineOutM: 60 }).run!.paths[0]!.links
  const ledger = fixture('runningLedger')
  const strengthN = (turns: number) =>
    links(
      withJoint(ledger, 'swivel', ({ connection }) => ({ connection, turns })),
      outfit,
    ).find(({ id }) => id === 'swivel.joint')!.strengthN

  test('a joint varies with its line: a uni of 0.07 on a line of 0.07 by 0.099, of 0.04 once its spool was pulled by 0.081', () => {
    const spreadOn = (trace: Trace) => links(trace, outfit).find(({ id }) => id === 'swivel.joint')!.variation
    expect(spreadOn(ledger)).toBeCloseTo(Math.hypot(0.07, 0.07), 12)
    expect(spreadOn(withFields(ledger, 'leader', { pulled: true }))).toBeCloseTo(Math.hypot(0.07, 0.04), 12)
  })

  test('too few cost strength, more than usual none', () => {
    expect(strengthN(20)).toBe(links(ledger, outfit).find(({ id }) => id === 'swivel.joint')!.strengthN)
    expect(strengthN(2) / strengthN(20)).toBeLessThan(0.85)
    expect(strengthN(1)).toBeLessThan(strengthN(2))
  })

  test('of the outfit’s own joint too: half the turns of an FG keep 1 − 0.8 × 0.5^1.5', () => {
    const joined = (turns: number) => ({
      ...outfit,
      wound: [
        ...outfit.wound,
        {
          role: 'topShot' as const,
          material: 'mono' as const,
          strengthN: 60 * LB,
          lengthM: 20,
          joint: { connection: 'fg' as const, turns },
        },
      ],
    })
    const jointN = (turns: number) =>
      links(fixture('threeWay'), joined(turns)).find(({ id }) => id === 'topShot.joint')!.strengthN
    expect(jointN(22) / jointN(11)).toBeCloseTo(1 / (1 - 0.8 * 0.5 ** 1.5), 9)
  })
})

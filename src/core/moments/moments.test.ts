import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { draftOf } from '../../../tests/fixtures/drafts.ts'
import { FAMILY_FIXTURES } from '../../../tests/fixtures/families.ts'
import { braidOutfit, LB } from '../../../tests/fixtures/outfits.ts'
import { traceArb } from '../../../tests/fixtures/randomTraces.ts'
import { connectionOf } from '../gear/connections.ts'
import { MATERIALS } from '../gear/materials.ts'
import { normalCdf } from '../math/normal.ts'
import { strengthChain } from '../strength/chain.ts'
import { type Conditions, usualConditions } from '../trace/conditions.ts'
import { withClip, withJoint, withoutClip, withPiece } from '../trace/edit.ts'
import { fitIssues } from '../trace/fitsOutfit.ts'
import { pathToPiece } from '../trace/paths.ts'
import { isLine, isTied, jointOf, type LinePiece, type Piece, type Trace } from '../trace/schema.ts'
import { evaluate } from './evaluate.ts'
import { lostBelow } from './snag.ts'

const outfit = braidOutfit(50)
const usual: Conditions = { ...usualConditions(), dragN: 10 * LB }
const fixture = (family: string) => FAMILY_FIXTURES.find(({ trace }) => trace.family === family)!.trace

test.each(FAMILY_FIXTURES)('$trace.family is judged without error in every moment that applies', ({ trace }) => {
  expect(fitIssues(trace, outfit)).toEqual([])
  const { run, snag, cast } = evaluate(trace, outfit, usual)
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
    const light = withPiece(trace, 'hook-length', (piece) => ({ ...(piece as LinePiece), strengthN: 30 * LB }))
    const run = evaluate(light, outfit, { ...usual, lineOutM: 0 }).run!
    expect(run.decides).toBe('hook-length.joint')
    expect(run.figure.value / LB).toBeCloseTo(13.313, 3)
    expect(run.margin).toBeCloseTo(1.3313, 4)
    expect(run.verdict).toBe('holds')
  })

  test('verdicts by the drag: within, up to 1.15 times, beyond', () => {
    const ceilingN = evaluate(trace, outfit, usual).run!.figure.value
    const verdictAt = (share: number) => evaluate(trace, outfit, { ...usual, dragN: ceilingN * share }).run!.verdict
    expect([0.99, 1.01, 1.149, 1.151].map(verdictAt)).toEqual(['holds', 'watch', 'watch', 'fails'])
  })

  test('never better than watch where the survival at the peak is under 0.98', () => {
    // A clinch spreads by 0.10: at the allowed 0.97 of its mean, Φ(0.03/0.10) = 0.618 of pulls hold at the peak.
    const weakKnot = withJoint(trace, 'hook', () => ({ connection: 'clinch' }))
    const conditions = { ...usual, allowedFraction: 0.97 }
    const ceilingN = evaluate(weakKnot, outfit, conditions).run!.figure.value
    const run = evaluate(weakKnot, outfit, { ...conditions, dragN: ceilingN }).run!
    expect(run.margin).toBeCloseTo(1, 9)
    expect(run.verdict).toBe('watch')
    expect(run.paths[0]!.survival).toBeLessThan(normalCdf(0.3) + 0.01)
  })

  test('measured at the tip, the guides’ friction is in the setting already', () => {
    const [reel, tip] = (['reel', 'tip'] as const).map(
      (dragMeasuredAt) => evaluate(trace, outfit, { ...usual, dragMeasuredAt }).run!,
    )
    expect(tip!.figure.value / reel!.figure.value).toBeCloseTo(Math.exp(0.12 * 1.2), 9)
  })

  test('dry nylon counts its whole label', () => {
    const leaderOf = (wet: boolean) =>
      evaluate(trace, outfit, { ...usual, wet }).run!.paths[0]!.links.find(({ id }) => id === 'leader')!.strengthN
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
          const at = (changed: Trace) => evaluate(changed, outfit, { ...usual, dragN }).run
          const joined = any.pieces.filter((piece) => isTied(jointOf(piece)))
          const lines = any.pieces.filter(isLine)
          fc.pre(joined.length > 0 && lines.length > 0 && at(any) !== undefined)
          const { id } = joined[pick % joined.length]!
          const tied = (efficiency: number) => at(withJoint(any, id, (joint) => ({ ...joint, efficiency })))!
          expect(rank[tied(Math.min(1, share * 1.1)).verdict]).toBeLessThanOrEqual(rank[tied(share).verdict])
          const line = lines[pick % lines.length]!
          const thinner = withPiece(any, line.id, (piece) => ({ ...(piece as LinePiece), strengthN: line.strengthN * share }))
          expect(at(thinner)!.figure.value).toBeLessThanOrEqual(at(any)!.figure.value)
        },
      ),
      { numRuns: 60 },
    )
  })

  test('on any trace: every path’s strengths are those of strength.chain worked link by link', () => {
    fc.assert(
      fc.property(traceArb, (any) => {
        for (const path of evaluate(any, outfit, usual).snag?.paths ?? []) {
          const lineN = ({ role, strengthN, condition, material }: LinePiece) =>
            strengthN * (role === 'double' ? 2 : 1) * (condition ?? 1) * MATERIALS[material].wetCondition
          const strengthOf = new Map(path.links.map(({ id, strengthN }) => [id, strengthN]))
          for (const element of pathToPiece(any, path.end)) {
            if (element.kind === 'line') expect(strengthOf.get(element.id)).toBeCloseTo(lineN(element.line), 9)
            if (element.kind !== 'joint') continue
            // A joint is no stronger than its own share of any line that it is tied in and that bears the pull.
            const { efficiency } = connectionOf(element.joint.connection)
            const tiedIn = any.pieces.filter(isLine).filter(({ id }) => element.ties.includes(id) && strengthOf.has(id))
            for (const line of tiedIn)
              expect(strengthOf.get(element.id)).toBeLessThanOrEqual(
                (element.joint.efficiency ?? efficiency[line.material]!) * lineN(line) * (1 + 1e-12),
              )
          }
        }
      }),
      { numRuns: 60 },
    )
  })

  test('backing bears the pull only once the main line is all out', () => {
    const short = braidOutfit(50, {
      wound: [
        { role: 'backing', material: 'mono', strengthN: 12 * LB, lengthM: 100 },
        { role: 'main', material: 'braid', strengthN: 50 * LB, lengthM: 120, joint: { connection: 'doubleUni' } },
      ],
    })
    const idsAt = (lineOutM: number) => evaluate(trace, short, { ...usual, lineOutM }).run!.paths[0]!.links.map(({ id }) => id)
    expect(idsAt(119).slice(0, 2)).toEqual(['main', 'leader.joint'])
    expect(idsAt(121).slice(0, 3)).toEqual(['backing', 'main.joint', 'main'])
    expect(() => evaluate(trace, short, { ...usual, lineOutM: 221 })).toThrow(
      expect.objectContaining({ code: 'line-out-over-spool' }),
    )
  })
})

describe('cast', () => {
  const draft = draftOf('threeWay', outfit, usual).trace
  const unclipped: Trace = withoutClip(draft, 'sinker')

  test('worked by hand: peak of 150 g overhead', () => {
    // v²/(2s) × k = 35²/(2×5) × 2 = 245; + 9.80665 = 254.80665 m/s². Times the mass that flies.
    const { cast } = evaluate(unclipped, outfit, usual)
    expect(cast!.peakN / cast!.massKg).toBeCloseTo(254.80665, 9)
    expect(cast!.massKg).toBeGreaterThan(0.15)
  })

  test('a sinker link too weak for the cast fails; bridged by a release clip it leaves the cast path and the rest holds', () => {
    const thin = withPiece(unclipped, 'sinker-line', (piece) => ({ ...(piece as LinePiece), strengthN: 12 * LB }))
    const bare = evaluate(thin, outfit, usual).cast!
    expect(bare.verdict).toBe('fails')
    expect(bare.decides).toBe('sinker.joint')
    const clipped = evaluate(withClip(thin, 'sinker'), outfit, usual).cast!
    expect(clipped.verdict).toBe('holds')
    expect(clipped.links.map(({ id }) => id)).toEqual(['leader', 'three-way.joint', 'three-way', 'release-clip'])
    // The clip is for the cast alone: a snag still breaks the link.
    expect(evaluate(withClip(thin, 'sinker'), outfit, usual).snag!.paths[0]!.goesFirst.id).toMatch(/^sinker/)
  })

  test('on a thin main a short leader fails, and one that reaches the reel holds', () => {
    // Needed: 1.2 m drop + 3.9 m rod + 4 × 2π × 0.034 m = 5.95 m. Main 12 lb: FG 0.92 × 12 = 11 lb against a peak of about 12 lb.
    const thin = braidOutfit(12)
    const withLeader = (lengthM: number) => withPiece(unclipped, 'leader', (piece) => ({ ...(piece as LinePiece), lengthM }))
    const short = evaluate(withLeader(5.9), thin, usual).cast!
    const long = evaluate(withLeader(6), thin, usual).cast!
    expect([short.beginsAt, short.verdict]).toEqual(['main', 'fails'])
    expect(short.leaderNeededM).toBeCloseTo(1.2 + 3.9 + 8 * Math.PI * 0.034, 9)
    expect(long.beginsAt).toBe('leader')
    expect(long.links[0]!.id).toBe('leader')
    expect(evaluate(withClip(withLeader(6), 'sinker'), thin, usual).cast!.verdict).toBe('holds')
  })

  test('a wound-on top shot that is long enough is where the cast begins', () => {
    const topShot = braidOutfit(12, {
      wound: [
        { role: 'main', material: 'braid', strengthN: 12 * LB, lengthM: 200 },
        { role: 'topShot', material: 'mono', strengthN: 60 * LB, lengthM: 10, joint: { connection: 'fg' } },
      ],
    })
    const free = withJoint(
      withPiece(unclipped, 'leader', (piece) => ({ ...(piece as LinePiece), lengthM: 1 })),
      'leader',
      () => ({ connection: 'doubleUni' }),
    )
    expect(evaluate(free, topShot, usual).cast!.beginsAt).toBe('topShot')
  })

  test('nothing is cast from a boat, and a free line is carried by its bait', () => {
    expect(evaluate(draft, outfit, { ...usual, castStyle: 'none' }).cast).toBeUndefined()
    expect(evaluate(fixture('free line'), outfit, usual).cast!.end).toBe('bait')
  })
})

describe('snag', () => {
  test('a weak link goes first with the chance of the closed form', () => {
    // Two links that matter: end loop (spread 0.09) at 0.72 × 0.9 × 20 lb = 12.96 lb against the leader's FG at 46 lb, and so on:
    // the rest is over 6 of its deviations away, so it goes first all but always.
    const trace = fixture('three-way bottom rig')
    const snag = evaluate(trace, outfit, { ...usual, castStyle: 'none' }).snag!
    const sinker = snag.paths.find(({ end }) => end === 'lead')!
    expect(sinker.wanted).toBe('weakLink')
    expect(sinker.chance).toBeGreaterThan(0.999)
    expect(sinker.verdict).toBe('holds')
    expect(sinker.lost).toEqual(['lead'])
  })

  test('a “weak link” stronger than its trace fails', () => {
    const trace = withPiece(draftOf('threeWay', outfit, usual).trace, 'sinker-line', (piece) => ({
      ...(piece as LinePiece),
      strengthN: 100 * LB,
    }))
    const snag = evaluate(trace, outfit, usual).snag!
    expect([snag.verdict, snag.end, snag.figure.name]).toEqual(['fails', 'sinker', 'weakLinkGoesFirst'])
  })

  test('without a weak link the main line is to be kept: equal labels leave it to chance', () => {
    const trace = draftOf('boomPaternoster', outfit, usual).trace
    const kept = evaluate(trace, outfit, usual).snag!
    expect(kept.verdict).toBe('holds')
    const stout = {
      ...trace,
      pieces: trace.pieces.map(
        (piece): Piece =>
          'strengthN' in piece && piece.role !== 'hardware' && piece.role !== 'lure'
            ? { ...piece, strengthN: 200 * LB }
            : piece.role === 'hardware' && piece.size
              ? { ...piece, strengthN: 2000 }
              : piece,
      ),
    }
    const withPerfectKnot = withJoint(stout, 'leader', () => ({ connection: 'pr', efficiency: 1 }))
    expect(evaluate(withPerfectKnot, outfit, usual).snag!.verdict).not.toBe('holds')
  })

  test('a chosen fuse moves what counts as a good break', () => {
    const trace = { ...draftOf('runningLedger', outfit, usual).trace, fuse: 'hook.joint' }
    const hook = evaluate(trace, outfit, usual).snag!.paths.find(({ end }) => end === 'hook')!
    expect(hook.chance).toBeCloseTo(hook.first.at(-1)! + hook.first.at(-2)!, 12)
  })

  test('a running sinker’s snag path goes through the stop it bears on', () => {
    const ledger = draftOf('runningLedger', outfit, usual).trace
    const lead = evaluate(ledger, outfit, usual).snag!.paths.find(({ end }) => end === 'sinker')!
    expect(lead.links.map(({ id }) => id)).toEqual(['main', 'leader.joint', 'leader', 'swivel.joint', 'swivel'])
  })

  test('what is lost: all beyond the break, what slid on a broken line, and past a knot tied part-way', () => {
    expect(lostBelow(fixture('running ledger'), 'leader')).toEqual([
      'leader',
      'lead',
      'bead',
      'swivel',
      'hook-length',
      'hook',
      'bait',
    ])
    expect(lostBelow(fixture('running ledger'), 'hook.joint')).toEqual(['hook', 'bait'])
    expect(lostBelow(fixture('string of small dressed hooks'), 'loop-2.joint')).toEqual([
      'loop-2',
      'hook-2',
      'loop-3',
      'hook-3',
      'lead',
    ])
    expect(lostBelow(fixture('free line'), 'main')).toHaveLength(3)
  })
})

describe('fuse', () => {
  test('one link well under the rest is named; two within one spread are left to chance, with the rival named', () => {
    const trace = draftOf('runningLedger', outfit, usual).trace
    const clear = withJoint(trace, 'hook', (joint) => ({ ...joint, efficiency: 0.5 }))
    expect(evaluate(clear, outfit, usual).run!.paths[0]!.goesFirst).toMatchObject({ id: 'hook.joint', byChance: false })
    const close = withJoint(
      withJoint(trace, 'hook', (joint) => ({ ...joint, efficiency: 0.6 })),
      'hook-length',
      (joint) => ({ ...joint, efficiency: 0.61 }),
    )
    const { goesFirst } = evaluate(close, outfit, usual).run!.paths[0]!
    expect(goesFirst.byChance).toBe(true)
    expect([goesFirst.id, goesFirst.rival?.id].toSorted()).toEqual(['hook-length.joint', 'hook.joint'])
  })

  test('the schools of drag are judged like the setting itself', () => {
    const trace = draftOf('runningLedger', outfit, usual).trace
    const { schools } = evaluate(trace, outfit, usual).run!
    expect(schools.map(({ name }) => name)).toEqual(['25 %', '30 %', 'a third', 'full'])
    for (const { dragN, verdict } of schools) expect(evaluate(trace, outfit, { ...usual, dragN }).run!.verdict).toBe(verdict)
  })
})

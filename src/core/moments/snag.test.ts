import { describe, expect, test } from 'vitest'
import { draftOf } from '../../../tests/fixtures/drafts.ts'
import { FAMILY_FIXTURES } from '../../../tests/fixtures/families.ts'
import { braidOutfit, LB } from '../../../tests/fixtures/outfits.ts'
import { evaluated } from '../../../tests/fixtures/setups.ts'
import { type Conditions, defaultConditions } from '../documents/conditions.ts'
import { jointRef, linkKey, pieceRef, woundRef } from '../documents/linkRef.ts'
import type { LinePiece, Piece, Trace } from '../documents/trace.ts'
import { withJoint, withPiece } from '../edit/changes.ts'
import { lostBelow } from './snag.ts'

const outfit = braidOutfit(50)
const usual: Conditions = { ...defaultConditions(), dragN: 10 * LB }
const fixture = (family: string) => FAMILY_FIXTURES.find(({ trace }) => trace.family === family)!.trace

describe('snag', () => {
  test('a weak link breaks first with the chance of the closed form', () => {
    // Two links that matter: end loop (spread 0.09) at 0.72 × 0.9 × 20 lb = 12.96 lb against the leader's FG at 46 lb, and so on:
    // the rest is over 6 of its deviations away, so it goes first all but always.
    const trace = fixture('threeWay')
    const snag = evaluated(trace, outfit, { ...usual, castStyle: 'none' }).snag!
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
    const snag = evaluated(trace, outfit, usual).snag!
    expect([snag.verdict, snag.end, snag.figure.key]).toEqual(['fails', 'sinker', 'weakLinkGoesFirst'])
  })

  test('without a weak link the main line is to be kept: equal labels leave it to chance', () => {
    const trace = draftOf('boomPaternoster', outfit, usual).trace
    const kept = evaluated(trace, outfit, usual).snag!
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
    const withPerfectKnot = withJoint(stout, 'leader', () => ({ connection: 'pr', own: { efficiency: 1 } }))
    expect(evaluated(withPerfectKnot, outfit, usual).snag!.verdict).not.toBe('holds')
  })

  test('a chosen fuse moves what counts as a good break', () => {
    const trace: Trace = { ...draftOf('runningLedger', outfit, usual).trace, fuse: { at: 'joint', id: 'hook' } }
    const hook = evaluated(trace, outfit, usual).snag!.paths.find(({ end }) => end === 'hook')!
    expect(hook.chance).toBeCloseTo(hook.first.at(-1)! + hook.first.at(-2)!, 12)
  })

  test('a running sinker’s snag path goes through the stop it holds on', () => {
    const ledger = draftOf('runningLedger', outfit, usual).trace
    const lead = evaluated(ledger, outfit, usual).snag!.paths.find(({ end }) => end === 'sinker')!
    expect(lead.links.map(({ id }) => id)).toEqual(['main', 'leader.joint', 'leader', 'swivel.joint', 'swivel'])
  })

  test('what is lost: all beyond the break, what slid on a broken line, and past a knot tied part-way', () => {
    expect(lostBelow(fixture('runningLedger'), pieceRef('leader'))).toEqual([
      'leader',
      'lead',
      'bead',
      'swivel',
      'hook-length',
      'hook',
      'bait',
    ])
    expect(lostBelow(fixture('runningLedger'), jointRef('hook'))).toEqual(['hook', 'bait'])
    expect(lostBelow(fixture('hookString'), jointRef('loop-2'))).toEqual(['loop-2', 'hook-2', 'loop-3', 'hook-3', 'lead'])
    expect(lostBelow(fixture('freeLine'), woundRef('main'))).toHaveLength(3)
  })
})

describe('fuse', () => {
  test('one link well under the rest is named; two within one spread are left to chance, with the rival named', () => {
    const trace = draftOf('runningLedger', outfit, usual).trace
    const clear = withJoint(trace, 'hook', (joint) => ({ ...joint, own: { efficiency: 0.5 } }))
    expect(evaluated(clear, outfit, usual).run!.paths[0]!.goesFirst).toMatchObject({ ref: jointRef('hook'), byChance: false })
    const close = withJoint(
      withJoint(trace, 'hook', (joint) => ({ ...joint, own: { efficiency: 0.6 } })),
      'hook-length',
      (joint) => ({ ...joint, own: { efficiency: 0.61 } }),
    )
    const { goesFirst } = evaluated(close, outfit, usual).run!.paths[0]!
    expect(goesFirst.byChance).toBe(true)
    expect([goesFirst.ref, goesFirst.rival?.ref].map((ref) => ref && linkKey(ref)).toSorted()).toEqual([
      'hook-length.joint',
      'hook.joint',
    ])
  })

  test('the schools of drag are judged like the setting itself', () => {
    const trace = draftOf('runningLedger', outfit, usual).trace
    const { schools } = evaluated(trace, outfit, usual).run!
    expect(schools.map(({ name }) => name)).toEqual(['25 %', '30 %', 'a third', 'full'])
    for (const { dragN, verdict } of schools) expect(evaluated(trace, outfit, { ...usual, dragN }).run!.verdict).toBe(verdict)
  })
})

import { describe, expect, test } from 'vitest'
import { draftOf } from '../../../tests/fixtures/drafts.ts'
import { braidOutfit, LB } from '../../../tests/fixtures/outfits.ts'
import { at, hw, to } from '../../../tests/fixtures/pieces.ts'
import { evaluated } from '../../../tests/fixtures/setups.ts'
import { type Conditions, defaultConditions } from '../documents/conditions.ts'
import { jointRef, pieceRef, woundRef } from '../documents/linkRef.ts'
import { isLine } from '../documents/pieces.ts'
import type { LinePiece, Trace } from '../documents/trace.ts'
import { withFields, withPiece } from '../edit/changes.ts'

const outfit = braidOutfit(50)
const usual: Conditions = { ...defaultConditions(), dragN: 10 * LB }

describe('hand', () => {
  const ledger = draftOf('runningLedger', outfit, usual).trace
  const handOf = (trace: Trace, more: Partial<Conditions> = {}, on = outfit) => evaluated(trace, on, { ...usual, ...more }).hand!

  test('worked by hand: a fish on the hook length, lifted', () => {
    // At the water's edge the hand is 0.3 m up from the hook: on the 0.9 m hook length. Snell 0.88 × label of fluoro is the
    // weakest from there on; 2 kg weigh 19.6133 N.
    const label = (ledger.pieces.find(({ id }) => id === 'hook-length') as LinePiece).strengthN
    const hand = handOf(ledger, { fishMassKg: 2 })
    expect(hand.deciding.inHand).toEqual(pieceRef('hook-length'))
    expect(hand.decides).toEqual(jointRef('hook'))
    expect(hand.figure.value).toBeCloseTo((0.88 * label) / 19.6133, 9)
    const [three, two] = [3, 2].map((ratio) => (0.88 * label) / (ratio * 9.80665))
    const verdictAt = (fishMassKg: number) => handOf(ledger, { fishMassKg }).verdict
    expect([three! * 0.999, three! * 1.001, two! * 0.999, two! * 1.001].map(verdictAt)).toEqual([
      'holds',
      'watch',
      'watch',
      'fails',
    ])
  })

  test('from a rock 3 m up the hand holds the leader, and the knots below it count', () => {
    // 3 + 0.3 = 3.3 m up: past the 0.9 m hook length, on the leader.
    const hand = handOf(ledger, { freeboardM: 3 })
    expect(hand.deciding.inHand).toEqual(pieceRef('leader'))
    expect(hand.deciding.links.map(({ id }) => id)).toEqual([
      'leader',
      'swivel.joint',
      'swivel',
      'hook-length.joint',
      'hook-length',
      'hook.joint',
      'hook',
    ])
  })

  test('a trace shorter than the reach leaves braid in the hand: out of reach is to be watched, and braid cuts', () => {
    const short = draftOf('castingLeader', outfit, { ...usual, castStyle: 'lob' }).trace
    const hand = handOf(short, { freeboardM: 1.5, fishMassKg: 0.5 })
    expect([hand.deciding.outOfReach, hand.deciding.inHand, hand.cuts, hand.verdict]).toEqual([
      true,
      woundRef('main'),
      'braid',
      'watch',
    ])
    expect(hand.deciding.links[0]!.id).toBe('main')
  })

  test('more beyond the tip ring than the rod brings is to be watched; a join that passes the guides winds in', () => {
    // Rod 3.9 m, held 1 m up at the water's edge: it brings 4.9 m.
    const long = withFields(ledger, 'hook-length', { lengthM: 5 })
    expect(handOf(long).deciding).toMatchObject({
      stopsAt: pieceRef('swivel'),
      beyondTipM: 5,
      rodReachM: 4.9,
      tooLong: true,
      verdict: 'watch',
    })
    const lure = (connection: 'fg' | 'surgeonsJoin') =>
      handOf({
        ...ledger,
        pieces: [
          { ...(ledger.pieces[0] as LinePiece), lengthM: 6, attach: { how: 'joined', to: 'outfit', joint: { connection } } },
          {
            id: 'lure',
            role: 'lure',
            massKg: 0.05,
            attach: { how: 'joined', to: 'leader', joint: { connection: 'nonSlipLoop' } },
          },
        ],
      }).deciding
    expect(lure('fg')).toMatchObject({ stopsAt: pieceRef('lure'), beyondTipM: 0, tooLong: false })
    expect(lure('surgeonsJoin')).toMatchObject({ stopsAt: jointRef('leader'), beyondTipM: 6, tooLong: true })
  })

  test('how it is landed decides what is borne, who holds the line and how far it must come in', () => {
    const long = withFields(ledger, 'hook-length', { lengthM: 5 })
    const landed = (landing: Conditions['landing'], trace = long) => handOf(trace, { landing, fishMassKg: 2 })
    const lifted = landed('lift')
    expect(landed('net').overPull / landed('net').weightN).toBeCloseTo(
      landed('net').deciding.weakest.strengthN / (0.25 * (2 * 9.80665) ** 2),
      9,
    )
    // A net reaches 1.5 m farther than the rod brings, and no hand takes the line: the rod's line counts.
    expect([lifted, landed('net'), landed('gaff')].map(({ deciding }) => deciding.tooLong)).toEqual([true, false, false])
    const longer = withFields(ledger, 'hook-length', { lengthM: 7 })
    expect((['net', 'leadered', 'tailRope', 'beach'] as const).map((how) => landed(how, longer).deciding.tooLong)).toEqual([
      true,
      false,
      false,
      false,
    ])
    expect(landed('net').deciding.inHand).toBeUndefined()
    expect(landed('net').deciding.links[0]!.id).toBe('main')
    expect(landed('leadered').deciding.inHand).toEqual(pieceRef('hook-length'))
    expect(landed('leadered').overPull).toBeCloseTo(lifted.overPull / 0.6, 9)
  })

  test('of two parts that do not pass the tip ring, the one nearer the reel stops the winding in', () => {
    const { lengthM } = ledger.pieces.find(({ id }) => id === 'hook-length') as LinePiece
    const ringed = (...placesM: number[]): Trace => ({
      ...ledger,
      pieces: [
        ...ledger.pieces.filter(({ id }) => id !== 'swivel' && !['bead', 'sinker', 'clip'].includes(id)),
        ...placesM.map((atM) => hw(`ring-${atM}`, 'crimp', at('leader', atM))),
      ].map((piece) => (piece.id === 'hook-length' ? { ...piece, attach: to('leader', 'surgeonsJoin') } : piece)),
    })
    const leaderM = (ledger.pieces.find(({ id }) => id === 'leader') as LinePiece).lengthM
    const far = handOf(ringed(2 * (leaderM / 3)))
    const both = handOf(ringed(2 * (leaderM / 3), leaderM / 3))
    expect(far.deciding.stopsAt).toEqual(pieceRef(`ring-${2 * (leaderM / 3)}`))
    expect(both.deciding.stopsAt).toEqual(pieceRef(`ring-${leaderM / 3}`))
    expect(both.deciding.beyondTipM).toBeCloseTo((2 * leaderM) / 3 + lengthM, 9)
  })

  test('a fish that is never lifted pulls what a person holds, however heavy; lifted or netted its weight counts', () => {
    const boat = braidOutfit(100)
    const stout = {
      ...ledger,
      pieces: ledger.pieces
        .map((piece) => (isLine(piece) ? { ...piece, strengthN: 200 * LB } : piece))
        .map((piece) =>
          piece.role === 'hook' || piece.role === 'hardware' ? { ...piece, strengthN: 300 * LB } : piece,
        ) as Trace['pieces'],
    }
    const big = (landing: Conditions['landing'], fishMassKg = 142) => handOf(stout, { landing, fishMassKg }, boat)
    for (const landing of ['gaff', 'harpoon', 'leadered', 'tailRope', 'alongside'] as const) {
      // On the rod, with no hand on the line, the drag gives first: 10 lb, and a fifth more to start it.
      const byRod = landing === 'gaff' || landing === 'harpoon'
      expect(big(landing).borneN, landing).toBeCloseTo(byRod ? 1.2 * 10 * LB : 200, 9)
      expect(big(landing, 300).figure.value, landing).toBe(big(landing).figure.value)
      expect(big(landing).limits, landing).toEqual({ holds: 1.5, watch: 1 })
    }
    expect(big('gaff').verdict).toBe('holds')
    expect(big('lift').borneN).toBeCloseTo(142 * 9.80665, 9)
    expect(big('net').borneN).toBeCloseTo(0.25 * 142 * 9.80665, 9)
    expect([big('lift').verdict, big('net').verdict]).toEqual(['fails', 'fails'])
    // A small one pulls no more than its share.
    expect(big('leadered', 2).borneN).toBeCloseTo(0.6 * 2 * 9.80665, 9)
  })

  test('a fish that nobody gave is not judged by: reach and a last run still are', () => {
    const heavy = { fishMassKg: 50 }
    expect(handOf(ledger, heavy).verdict).toBe('fails')
    expect(handOf(ledger, { ...heavy, fishAssumed: true })).toMatchObject({ verdict: 'holds', fishAssumed: true })
    expect(evaluated(ledger, outfit, { ...usual, ...heavy, fishAssumed: true }).findings.map(({ id }) => id)).not.toContain(
      'lift-too-heavy',
    )
    const long = withFields(ledger, 'hook-length', { lengthM: 9 })
    expect(handOf(long, { fishAssumed: true }).verdict).toBe('watch')
  })

  test('a bead above the swivel spares the tip ring', () => {
    expect(handOf(ledger).deciding.beadAtTip).toBe(true)
    const bare = { ...ledger, pieces: ledger.pieces.filter(({ id }) => id !== 'bead') }
    expect(handOf(bare).deciding.beadAtTip).toBe(false)
  })

  test('a drop to the sinker over 1.5 m does not come in with one lift', () => {
    const drop = (lengthM: number) =>
      withPiece(draftOf('threeWay', outfit, { ...usual, castStyle: 'none' }).trace, 'sinker-line', (piece) => ({
        ...(piece as LinePiece),
        lengthM,
      }))
    expect(handOf(drop(1.5), { castStyle: 'none', fishMassKg: 1 })).toMatchObject({ verdict: 'holds' })
    expect(handOf(drop(1.6), { castStyle: 'none', fishMassKg: 1 })).toMatchObject({
      verdict: 'watch',
      longDrop: { id: 'sinker-line' },
    })
  })

  test('through a pulley the length of the far side counts, from the stop that holds on it', () => {
    // Snood 1 m, then the body from its near end to its far end: the hand at 1.2 m is on the body.
    const pulley = draftOf('pulley', outfit, usual).trace
    expect(handOf(pulley, { freeboardM: 0.9 }).paths.find(({ end }) => end === 'tail')!.inHand).toEqual(pieceRef('body'))
    expect(handOf(pulley, { freeboardM: 0.5 }).paths.find(({ end }) => end === 'tail')!.inHand).toEqual(pieceRef('snood'))
  })
})

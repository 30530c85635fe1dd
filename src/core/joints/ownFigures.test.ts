import { describe, expect, test } from 'vitest'
import { draftOf } from '../../../tests/fixtures/drafts.ts'
import { braidOutfit } from '../../../tests/fixtures/outfits.ts'
import { catalogue } from '../../../tests/fixtures/setups.ts'
import { type OwnConnection, withOwn } from '../catalogue/catalogue.ts'
import { defaultConditions } from '../documents/conditions.ts'
import { jointRef, pieceRef } from '../documents/linkRef.ts'
import { isTied, jointOf, pieceNamed } from '../documents/pieces.ts'
import { materialsBeside } from './connectionRules.ts'
import { ownFiguresAt, ownFiguresText, restsOnPulls } from './ownFigures.ts'

const outfit = braidOutfit(50)
const { trace } = draftOf('runningLedger', outfit, defaultConditions())
const joint = jointOf(pieceNamed(trace, 'hook'))!
const [material] = materialsBeside(pieceNamed(trace, 'hook'), { trace, outfit })
const name = catalogue.materials[material!].name
const nominal = catalogue.connections[joint.connection].efficiency[material!]!
const pulled: OwnConnection = { connection: joint.connection, material: material!, mean: 0.812, spread: 0.04, tests: 6 }
const rigWith = (own: readonly OwnConnection[]) => ({ trace, outfit, catalogue: withOwn(catalogue, own) })

describe('what a joint’s figure rests on', () => {
  test('one’s own pulls are said with their mean and how far one knot lies from the next', () => {
    expect(isTied(joint)).toBe(true)
    const rig = rigWith([pulled])
    expect(ownFiguresAt(rig, jointRef('hook'))).toEqual([
      { material, mean: 0.812, spread: 0.04, tests: 6, origin: 'own', nominal },
    ])
    expect(ownFiguresText(rig, jointRef('hook'))).toBe(
      `your 6 tests in ${name}: 81\u00a0% ± 3\u00a0% (nominal ${Math.round(100 * nominal)}\u00a0%)`,
    )
    expect(ownFiguresText(rigWith([{ ...pulled, tests: 1 }]), jointRef('hook'))).toContain('your test in ')
    expect(ownFiguresText(rigWith([{ ...pulled, breaks: 3 }]), jointRef('hook'))).toContain(
      'your 6 tests and 3 breaks on the water in ',
    )
    expect(ownFiguresText(rigWith([{ ...pulled, tests: 0, breaks: 1 }]), jointRef('hook'))).toMatch(/^1 break on the water in /)
    expect(restsOnPulls(rig, jointRef('hook'))).toBe(
      ` This uses your 6 tests in ${name}: 81\u00a0% ± 3\u00a0% (nominal ${Math.round(100 * nominal)}\u00a0%).`,
    )
  })

  test('nothing is said where nothing was pulled: of a nominal joint, of another material, of a line, of a joint with its own figure', () => {
    expect(restsOnPulls(rigWith([]), jointRef('hook'))).toBe('')
    expect(ownFiguresText(rigWith([{ ...pulled, material: 'wire' }]), jointRef('hook'))).toBe('')
    expect(ownFiguresText(rigWith([pulled]), pieceRef('hook'))).toBe('')
    const own = trace.pieces.map((piece) =>
      piece.id === 'hook' ? { ...piece, attach: { ...piece.attach, joint: { ...joint, own: { efficiency: 0.9 } } } } : piece,
    )
    const rig = { ...rigWith([pulled]), trace: { ...trace, pieces: own } as typeof trace }
    expect(ownFiguresText(rig, jointRef('hook'))).toBe('')
  })

  test('a knot between two wound lines is said of both where both were pulled', () => {
    const over = outfit.wound.findIndex(({ joint: tied }) => tied)
    const [under, line] = [outfit.wound[over - 1]!, outfit.wound[over]!]
    const both = [under, line].map(({ material }) => ({ ...pulled, connection: line.joint!.connection, material }))
    const ref = { at: 'woundJoint', role: line.role } as const
    expect(ownFiguresAt(rigWith(both), ref).map(({ material }) => material)).toEqual([
      ...new Set([under.material, line.material]),
    ])
    expect(ownFiguresAt(rigWith(both), { at: 'wound', role: line.role })).toEqual([])
  })
})

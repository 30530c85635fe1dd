import { describe, expect, test } from 'vitest'
import { draftOf } from '../../../tests/fixtures/drafts.ts'
import { FAMILY_FIXTURES } from '../../../tests/fixtures/families.ts'
import { braidOutfit, LB } from '../../../tests/fixtures/outfits.ts'
import { rigOf } from '../../../tests/fixtures/setups.ts'
import { defaultConditions } from '../documents/conditions.ts'
import { type Gear, gearSchema } from '../documents/gear.ts'
import { pieceNamed } from '../documents/pieces.ts'
import type { Trace } from '../documents/trace.ts'
import { GEAR_VERSION } from '../documents/versions.ts'
import { asItem, fromBox, isAs, suits } from './fromBox.ts'

const outfit = braidOutfit(50)
const { trace } = draftOf('runningLedger', outfit, defaultConditions())
const common = { formatVersion: GEAR_VERSION, name: 'mine' } as const
const taken = (id: string, item: Gear, from: Trace = trace) => {
  const result = fromBox(rigOf(from, outfit), id, item)
  if (!result.ok) throw new Error(result.why)
  return result.trace
}

describe('from the box', () => {
  test('what is said of a thing in the box, its number, cost and place, is no part of the trace', () => {
    const sinker: Gear = {
      ...common,
      ...{ kind: 'sinker', shape: 'bomb', massKg: 0.1, number: '27' },
      ...{ packCost: 2, packCount: 5, keptIn: 'tray', minimumCount: 3, boughtOn: '2026-10-01' },
    }
    const sunk = taken('lead', sinker, FAMILY_FIXTURES.find(({ trace: each }) => each.family === 'runningLedger')!.trace)
    expect(Object.keys(pieceNamed(sunk, 'lead')).sort()).toEqual(['attach', 'id', 'massKg', 'role', 'shape'])
    expect(isAs(pieceNamed(sunk, 'lead'), sinker)).toBe(true)
  })

  test('all that the box says of a thing is taken, and nothing of the old is left', () => {
    const hook: Gear = { ...common, kind: 'hook', pattern: 'j', size: '4/0', gapeM: 0.018 }
    const measured = taken('hook', { ...hook, wireM: 0.0012 })
    expect(pieceNamed(measured, 'hook')).toMatchObject({ pattern: 'j', size: '4/0', gapeM: 0.018, wireM: 0.0012 })
    expect(pieceNamed(taken('hook', hook, measured), 'hook')).not.toHaveProperty('wireM')
    const swivel: Gear = { ...common, kind: 'hardware', type: 'swivel', strengthN: 80 * LB }
    expect(pieceNamed(taken('swivel', swivel), 'swivel')).toMatchObject({
      strengthN: 80 * LB,
      attach: pieceNamed(trace, 'swivel').attach,
    })
    expect(pieceNamed(taken('swivel', swivel), 'swivel')).not.toHaveProperty('size')
  })

  test('a line from a spool keeps its length and is tied anew where it must be', () => {
    const spool: Gear = { ...common, kind: 'line', material: 'wire', strengthN: 60 * LB, diameterM: 0.0005, lengthM: 10 }
    const wired = taken('hook-length', spool)
    expect(pieceNamed(wired, 'hook-length')).toMatchObject({ material: 'wire', diameterM: 0.0005, lengthM: 0.9 })
    expect([isAs(pieceNamed(wired, 'hook-length'), spool), isAs(pieceNamed(trace, 'hook-length'), spool)]).toEqual([true, false])
    expect(pieceNamed(wired, 'hook').attach).toMatchObject({ joint: { connection: 'haywire' } })
  })

  test('a spool that was pulled comes with what it bears; one that was not takes that back', () => {
    const spool: Gear = { ...common, kind: 'line', material: 'fluoro', strengthN: 30 * LB, lengthM: 50 }
    const result = fromBox(rigOf(trace, outfit), 'hook-length', spool, 33 * LB)
    const line = pieceNamed(result.ok ? result.trace : trace, 'hook-length')
    expect(line).toMatchObject({ strengthN: 33 * LB, pulled: true })
    expect([isAs(line, spool, 33 * LB), isAs(line, spool)]).toEqual([true, false])
    const unpulled = pieceNamed(taken('hook-length', spool, result.ok ? result.trace : trace), 'hook-length')
    expect(unpulled).toMatchObject({ strengthN: 30 * LB })
    expect(unpulled).not.toHaveProperty('pulled')
  })

  test('what does not suit is refused', () => {
    const snap: Gear = { ...common, kind: 'hardware', type: 'snap', size: '4' }
    expect(suits(snap, pieceNamed(trace, 'swivel'))).toBe(false)
    expect(fromBox(rigOf(trace, outfit), 'swivel', snap).ok).toBe(false)
  })

  test('what is kept and taken again changes nothing', () => {
    for (const piece of trace.pieces) {
      const item = asItem(piece)
      if (!item) continue
      const kept = gearSchema.parse({ ...item, name: 'kept' })
      expect(suits(kept, piece)).toBe(true)
      expect(pieceNamed(taken(piece.id, kept), piece.id)).toEqual(piece)
      expect(isAs(piece, kept)).toBe(true)
    }
  })
})

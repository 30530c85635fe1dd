import { describe, expect, test } from 'vitest'
import { FAMILY_FIXTURES } from '../../../tests/fixtures/families.ts'
import { braidOutfit, LB } from '../../../tests/fixtures/outfits.ts'
import { derivationOf } from '../../core/moments/derivation.ts'
import { evaluate, momentsOf } from '../../core/moments/evaluate.ts'
import { usualConditions } from '../../core/trace/conditions.ts'
import { conditionDifferences, differences } from '../../core/trace/differences.ts'
import { withJoint, withLength, withPiece } from '../../core/trace/edit.ts'
import { joined } from '../../core/trace/hang.ts'
import type { HookPiece, LinePiece } from '../../core/trace/schema.ts'
import { usualWater } from '../../core/trace/waterConditions.ts'
import { formatComputed, formatEntered } from '../../core/units/formatQuantity.ts'
import type { Show } from '../settings/preferences.tsx'
import { derivationText, stepWords } from './derivationWords.ts'
import { differenceWords } from './differenceWords.ts'
import { linkName, pieceSpec, reachLabel } from './names.ts'
import { figureWords } from './verdictWords.ts'

const UNITS = { strength: 'lb', mass: 'g', fish: 'kg', length: 'm', diameter: 'mm', speed: 'kn' }
const show: Show = {
  computed: (quantity, si) => Object.values(formatComputed(quantity, si, UNITS[quantity])).join(' '),
  entered: (quantity, si) => Object.values(formatEntered(quantity, si, UNITS[quantity])).join(' '),
}
const outfit = braidOutfit(50)
const { trace } = FAMILY_FIXTURES[0]!

test('links are named as a person would', () => {
  expect(linkName(trace, outfit, 'leader.joint')).toBe('FG (woven) at the leader')
  expect(linkName(trace, outfit, 'main')).toBe('main line')
  expect(linkName(trace, outfit, 'main.joint')).toBe('double uni at the main line')
  expect(linkName(trace, outfit, 'hook-length')).toBe('hook length')
})

test('parts say what they are and their size', () => {
  const spec = (id: string) => pieceSpec(trace.pieces.find((piece) => piece.id === id)!, show)
  expect(['leader', 'lead', 'swivel', 'hook', 'bait'].map(spec)).toEqual([
    'mono 40 lb',
    '90 g ball',
    'swivel 6',
    '2/0 circle',
    'sandeel',
  ])
})

test('every part of every family has a label of at most two short lines', () => {
  for (const fixture of FAMILY_FIXTURES)
    for (const { id } of fixture.trace.pieces) {
      const { above } = reachLabel(fixture.trace, outfit, id, show)
      expect(above.length === 1 || above.length === 2, id).toBe(true)
      for (const text of above) expect(text.length, text).toBeLessThanOrEqual(22)
    }
})

describe('differences in words', () => {
  const words = (changed: typeof trace) => differences(trace, changed).map((difference) => differenceWords(difference, show))
  test('strength, length, knot, size', () => {
    expect(words(withPiece(trace, 'leader', (piece) => ({ ...(piece as LinePiece), strengthN: 60 * LB })))).toEqual([
      'leader 40 lb → 60 lb',
    ])
    expect(words(withLength(trace, 'hook-length', 1.2))).toEqual(['hook length length 0.9 m → 1.2 m'])
    expect(words(withJoint(trace, 'leader', () => ({ connection: 'albright', turns: 10 })))).toEqual([
      'leader tied with FG (woven) → albright',
      'leader turns as usual → 10',
    ])
    expect(words(withPiece(trace, 'hook', (piece) => ({ ...(piece as HookPiece), size: '3/0' })))).toEqual([
      'hook size 2/0 → 3/0',
    ])
  })
  test('what hangs elsewhere says where', () => {
    const moved = withPiece(trace, 'lead', (piece) => ({ ...piece, attach: joined('swivel', 'fitted') }) as typeof piece)
    expect(words(moved)).toContain('lead slides on leader → tied to swivel')
    const slid = withPiece(trace, 'lead', (piece) => ({ ...piece, attach: { ...piece.attach, atM: 5 } }) as typeof piece)
    expect(words(slid)).toEqual(['lead slides on leader, at another place'])
  })
  test('added and removed', () => {
    expect(words({ ...trace, pieces: trace.pieces.filter(({ id }) => id !== 'bait') })).toEqual(['bait removed'])
  })
})

test('a verdict’s figure is in the units shown, and never NaN', () => {
  for (const fixture of FAMILY_FIXTURES) {
    const evaluation = evaluate(fixture.trace, outfit, { ...usualConditions(), dragN: 40 })
    for (const { moment } of momentsOf(evaluation)) {
      const words = figureWords(evaluation, moment, show)
      expect(words).toMatch(
        { snag: /\d+\s%$/, hand: /weakest [\d.]+× a \d+\.\d kg fish$/, cast: /\d lb/, settle: /\d g wanted$/, run: /\d lb/ }[
          moment
        ],
      )
      expect(words).not.toMatch(/NaN|undefined|Infinity/)
    }
  }
})

describe('of the whole trace, and of its conditions', () => {
  test('name, tags, weak link and fuse read as they are said; a knot is named by its piece', () => {
    const changed = { ...trace, name: 'night ledger', tags: ['night', 'sand'], fuse: 'hook.joint', weakLink: 'hook-length' }
    expect(differences(trace, changed).map((difference) => differenceWords(difference, show))).toEqual([
      'name running ledger → night ledger',
      'tags none → night, sand',
      'weak link none → hook length',
      'fuse none → hook’s knot',
    ])
  })
  test('conditions in the units shown', () => {
    const before = usualConditions()
    const after = { ...before, dragN: 12 * LB, fishMassKg: 5, castStyle: 'lob' as const, wet: false }
    expect(conditionDifferences(before, after).map((difference) => differenceWords(difference, show))).toEqual([
      'cast overhead → lob',
      'drag 6.74 lb → 12 lb',
      'fish lifted 3 kg → 5 kg',
      'wet yes → no',
    ])
    const wet = { ...before, water: usualWater('anchor') }
    expect(conditionDifferences(before, wet).map((difference) => differenceWords(difference, show))).toEqual([
      'reckoned how it settles no → yes',
    ])
    const deeper = { ...wet, water: { ...wet.water, depthM: 40, weedFactor: 2 } }
    expect(conditionDifferences(wet, deeper).map((difference) => differenceWords(difference, show))).toEqual([
      'depth 25 m → 40 m',
      'weed 1 → 2',
    ])
  })
})

test('a derivation reads out every step of every family, with units and no stray number', () => {
  for (const fixture of FAMILY_FIXTURES)
    for (const moment of ['cast', 'run', 'snag', 'hand'] as const) {
      const fished = { trace: fixture.trace, outfit, conditions: { ...usualConditions(), dragN: 40 } }
      const steps = derivationOf(fished, moment).map((step) => stepWords(step, show, (id) => id))
      const text = derivationText(steps)
      expect(text).not.toMatch(/NaN|undefined|Infinity|\[object/)
      for (const { formula, given, gives, source } of steps)
        for (const part of [formula.join(), given.join(), gives.join(), source]) expect(part.length).toBeGreaterThan(3)
    }
  const [run] = derivationOf({ trace, outfit, conditions: usualConditions() }, 'run').slice(-2)
  expect(stepWords(run!, show, (id) => id).given).toContain('allowed fraction: 0.75, rule')
})

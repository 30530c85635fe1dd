import { describe, expect, test } from 'vitest'
import { FAMILY_FIXTURES } from '../../../tests/fixtures/families.ts'
import { braidOutfit, LB } from '../../../tests/fixtures/outfits.ts'
import { catalogue, evaluated, rigOf, setupOf } from '../../../tests/fixtures/setups.ts'
import { show } from '../../../tests/fixtures/show.ts'
import { derivationOf } from '../../core/analysis/derivation.ts'
import { conditionDifferences, differences } from '../../core/analysis/differences.ts'
import { defaultConditions } from '../../core/documents/conditions.ts'
import { jointRef, type LinkRef, pieceRef, woundRef } from '../../core/documents/linkRef.ts'
import type { HookPiece, Trace } from '../../core/documents/trace.ts'
import { defaultWater } from '../../core/documents/water.ts'
import { joined } from '../../core/edit/attach.ts'
import { withFields, withJoint, withLength, withPiece } from '../../core/edit/changes.ts'
import { resultsOf } from '../../core/moments/judge.ts'
import { viewOf } from '../moments/momentViews.ts'
import { derivationText, stepWords } from './derivationWords.ts'
import { differenceWords } from './differenceWords.ts'
import { linkName, pieceSpec, reachLabel } from './names.ts'

const outfit = braidOutfit(50)
const { trace } = FAMILY_FIXTURES[0]!
const rig = rigOf(trace, outfit)

test('links are named as a person would', () => {
  expect(linkName(rig, jointRef('leader'))).toBe('FG at the leader')
  expect(linkName(rig, woundRef('main'))).toBe('main line')
  expect(linkName(rig, { at: 'woundJoint', role: 'main' })).toBe('double uni at the main line')
  expect(linkName(rig, pieceRef('hook-length'))).toBe('hook length')
})

test('parts say what they are and their size', () => {
  const spec = (id: string) => pieceSpec(catalogue, trace.pieces.find((piece) => piece.id === id)!, show)
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
      const { above } = reachLabel(rigOf(fixture.trace, outfit), pieceRef(id), show)
      expect(above.length === 1 || above.length === 2, id).toBe(true)
      for (const text of above) expect(text.length, text).toBeLessThanOrEqual(22)
    }
})

const wording = { catalogue, show, nameOf: () => undefined }

describe('differences in words', () => {
  const words = (changed: typeof trace) => differences(trace, changed).map((difference) => differenceWords(difference, wording))
  test('strength, length, knot, size', () => {
    expect(words(withFields(trace, 'leader', { strengthN: 60 * LB }))).toEqual(['leader 40 lb → 60 lb'])
    expect(words(withLength(trace, 'hook-length', 1.2))).toEqual(['hook length length 0.9 m → 1.2 m'])
    expect(words(withJoint(trace, 'leader', () => ({ connection: 'albright', turns: 10 })))).toEqual([
      'leader knot FG (woven) → albright',
      'leader turns default → 10',
    ])
    expect(words(withPiece(trace, 'hook', (piece) => ({ ...(piece as HookPiece), size: '3/0' })))).toEqual([
      'hook size 2/0 → 3/0',
    ])
  })
  test('what hangs elsewhere says where', () => {
    const moved = withFields(trace, 'lead', { attach: joined('swivel', 'fitted') })
    expect(words(moved)).toContain('lead slides on leader → tied to swivel')
    const slid = withPiece(trace, 'lead', (piece) => ({ ...piece, attach: { ...piece.attach, atM: 5 } }) as typeof piece)
    expect(words(slid)).toEqual(['lead slides on leader, at another position'])
  })
  test('added and removed', () => {
    expect(words({ ...trace, pieces: trace.pieces.filter(({ id }) => id !== 'bait') })).toEqual(['bait removed'])
  })
})

test('a verdict’s figure is in the units shown, and never NaN', () => {
  for (const fixture of FAMILY_FIXTURES) {
    const setup = setupOf(fixture.trace, outfit, { ...defaultConditions(), dragN: 40 })
    const wording = { show, catalogue, nameOf: (ref: LinkRef) => linkName(setup, ref) }
    for (const result of resultsOf(evaluated(fixture.trace, outfit, setup.conditions))) {
      const words = viewOf(result).figure(result, wording)
      expect(words).toMatch(
        {
          snag: /in \d+\s% of snags\.$/,
          hand: /^(Holds [\d.]+ times the weight of a \d+\.\d kg fish\.|A sudden run pulls up to [\d.]+ lb; the trace holds in \d+\s% of runs\.)$/,
          cast: /holds [\d.]+ times its load/,
          take: /^(The bait|The hook|The hooks|Another hook).*\.$/,
          settle: /needed \d+ g\.$/,
          run: /\d lb/,
        }[result.moment],
      )
      expect(viewOf(result).decides(result, wording)).not.toMatch(/NaN|undefined|Infinity/)
      expect(words).not.toMatch(/NaN|undefined|Infinity/)
    }
  }
})

describe('of the whole trace, and of its conditions', () => {
  test('name, tags, weak link and fuse read as they are said; a knot is named by its piece', () => {
    const changed = {
      ...trace,
      name: 'night ledger',
      tags: ['night', 'sand'],
      fuse: jointRef('hook') as NonNullable<Trace['fuse']>,
      weakLink: 'hook-length',
    }
    expect(differences(trace, changed).map((difference) => differenceWords(difference, wording))).toEqual([
      'name runningLedger → night ledger',
      'tags none → night, sand',
      'fuse none → hook’s knot',
      'weak link none → hook length',
    ])
  })
  test('conditions in the units shown', () => {
    const before = defaultConditions()
    const after = { ...before, dragN: 12 * LB, fishMassKg: 5, castStyle: 'lob' as const, wet: false }
    expect(conditionDifferences(before, after).map((difference) => differenceWords(difference, wording))).toEqual([
      'cast overhead → lob',
      'drag 6.7 lb → 12 lb',
      'fish landed 3 kg → 5 kg',
      'line wet yes → no',
    ])
    const wet = { ...before, water: defaultWater(catalogue, 'anchor') }
    expect(conditionDifferences(before, wet).map((difference) => differenceWords(difference, wording))).toEqual([
      'depth and current unknown → 25 m, 1 kn',
    ])
    const deeper = { ...wet, water: { ...wet.water, depthM: 40, weedFactor: 2 } }
    expect(conditionDifferences(wet, deeper).map((difference) => differenceWords(difference, wording))).toEqual([
      'depth 25 m → 40 m',
      'weed 1 → 2',
    ])
  })
})

test('a derivation reads out every step of every family, with units and no stray number', () => {
  for (const fixture of FAMILY_FIXTURES)
    for (const moment of ['cast', 'run', 'snag', 'hand'] as const) {
      const steps = derivationOf(setupOf(fixture.trace, outfit, { ...defaultConditions(), dragN: 40 }), moment).map((step) =>
        stepWords(step, show, (id) => id),
      )
      const text = derivationText(steps)
      expect(text).not.toMatch(/NaN|undefined|Infinity|\[object/)
      for (const { formula, given, gives, source } of steps)
        for (const part of [formula.join(), given.join(), gives.join(), source]) expect(part.length).toBeGreaterThan(3)
    }
  const [run] = derivationOf(setupOf(trace, outfit, defaultConditions()), 'run').slice(-3)
  expect(stepWords(run!, show, (id) => id).given).toContain('allowed fraction: 0.75, rule')
})

test('a figure is read out in the unit that its field’s name ends in, and its name without it', () => {
  const read = (fields: object) =>
    stepWords({ calculation: 'troll.tow', input: {}, output: fields, from: {} }, show, (id) => id).gives
  expect(
    read({
      endDensityKgperM3: 1140,
      rodStiffnessNperM: 250.04,
      boatMperS: 1.5,
      liftAreaM2: 2e-4,
      endMassKg: 0.06,
      ringAngleDeg: 12.5,
      wrapRad: Math.PI / 2,
      modulusPa: 2e9,
      setbackM: 20,
      lineDiameterM: 0.00028,
      spoolFullRadiusM: 0.03,
      timeS: 4.25,
      hangsFrom: 2,
    }),
  ).toEqual([
    'end density: 1140 kg/m³',
    'rod stiffness: 250 N/m',
    'boat: 2.9 kn (1.5 m/s)',
    'lift area: 2 cm²',
    'end mass: 60 g',
    'ring angle: 12.5°',
    'wrap: 90°',
    'modulus: 2000000000 Pa',
    'setback: 20 m',
    'line diameter: 0.2800 mm',
    'spool full radius: 30.00 mm',
    'time: 4.25 s',
    'hangs from: 2',
  ])
})

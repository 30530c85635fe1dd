import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { contractArb } from '../../../tests/fixtures/contractArb.ts'
import { FAMILY_FIXTURES } from '../../../tests/fixtures/families.ts'
import { LB } from '../../../tests/fixtures/outfits.ts'
import { catalogue } from '../../../tests/fixtures/setups.ts'
import { show } from '../../../tests/fixtures/show.ts'
import { documentDifferences } from '../../core/analysis/differences.ts'
import { type Conditions, conditionsSchema, defaultConditions } from '../../core/documents/conditions.ts'
import { fishSchema } from '../../core/documents/fish.ts'
import { gearSchema } from '../../core/documents/gear.ts'
import { markSchema } from '../../core/documents/mark.ts'
import { usualMoving } from '../../core/documents/moving.ts'
import { outfitSchema } from '../../core/documents/outfit.ts'
import { ruleSetSchema } from '../../core/documents/ruleSet.ts'
import { sameJson } from '../../core/documents/sameJson.ts'
import { type Trace, traceSchema } from '../../core/documents/trace.ts'
import { defaultWater } from '../../core/documents/water.ts'
import { differenceWords } from './differenceWords.ts'

const NAMES: Record<string, string> = { 'outfit-1': 'surf rod', 'mark-1': 'Hesk Bar' }
const wording = { catalogue, show, nameOf: (id: string) => NAMES[id] }

type Content = { trace: Trace; conditions: Conditions; outfitId: string; markId?: string }
const { trace } = FAMILY_FIXTURES.find((fixture) => fixture.trace.family === 'runningLedger')!
const content: Content = { trace, outfitId: 'outfit-1', conditions: defaultConditions() }
const words = (after: object, before: object = content) =>
  documentDifferences(before, after).map((each) => differenceWords(each, wording))
const under = (conditions: Partial<Conditions>): Content => ({ ...content, conditions: { ...content.conditions, ...conditions } })
const drawn = (changed: Partial<Trace>): Content => ({ ...content, trace: { ...trace, ...changed } })

describe('differences that were shown as identifiers, or not at all (2026-11-29)', () => {
  test('a loop and a drift are in the units shown', () => {
    const looped = (loopM: number) =>
      drawn({
        pieces: trace.pieces.map((piece) =>
          piece.id === 'hook' && piece.attach.how === 'joined'
            ? { ...piece, attach: { ...piece.attach, joint: { ...piece.attach.joint, loopM } } }
            : piece,
        ),
      })
    expect(words(looped(0.08), looped(0.05))).toEqual(['hook loop 0.05 m → 0.08 m'])
    const water = defaultWater(catalogue, 'drift')
    expect(words(under({ water: { ...water, driftAcrossMperS: 0.514444 } }), under({ water }))).toEqual([
      'drift across the current 0 kn → 1 kn',
    ])
  })

  test('release clips, ignored findings, family, mark and outfit', () => {
    const releaseClips = [{ id: 'clip', from: 'leader', to: 'lead', strengthN: 30 * LB }]
    expect(words(drawn({ releaseClips }))).toEqual(['clip added'])
    expect(words(drawn({ releaseClips: [{ ...releaseClips[0]!, strengthN: 40 * LB }] }), drawn({ releaseClips }))).toEqual([
      'clip 30 lb → 40 lb',
    ])
    expect(words(drawn({ setAside: [{ finding: 'too-long', reason: 'sand only', figure: 1 }] }))).toEqual([
      'ignored findings none → “sand only”',
    ])
    expect(words(drawn({ family: 'freeLine', fishes: 'swims' }))).toEqual([
      'family running ledger → free line',
      'how the end fishes default → swim free',
    ])
    expect(words({ ...content, markId: 'mark-1', outfitId: 'gone' })).toEqual([
      'outfit surf rod → one that was deleted',
      'mark none → Hesk Bar',
    ])
  })

  test('another fish is shown by name, and changes to the same fish field by field', () => {
    const tope = {
      name: 'tope',
      typicalMassKg: 12,
      typicalLengthM: 1.3,
      largeLengthM: 1.8,
      teeth: 'cutting' as const,
      feeds: 'bed' as const,
      takes: 'bites' as const,
      fights: ['runs' as const],
      shakesCircles: false,
      lineShy: false,
      released: true,
    }
    expect(words(under({ target: tope }))).toEqual(['fish any fish → tope'])
    expect(words(under({ target: { ...tope, name: 'conger' } }), under({ target: tope }))).toEqual(['fish tope → conger'])
    expect(words(under({ target: { ...tope, typicalMassKg: 15 } }), under({ target: tope }))).toEqual([
      'usual weight 12 kg → 15 kg',
    ])
  })

  test('a way of moving is named, then its fields', () => {
    const moving = usualMoving('retrieved')
    expect(words(under({ moving }))).toEqual(['how the line moves with the current → retrieved'])
    expect(
      words(under({ moving: { ...moving, swimsAt: { from: 'surface', m: 3 } } as typeof moving }), under({ moving })),
    ).toEqual(['swims at 1 m above the bottom → 3 m under the surface'])
  })
})

const OTHERS = [outfitSchema, gearSchema, fishSchema, markSchema, ruleSetSchema]
/** Texts that a person typed become “word”, so that only the schemas’ own values can look like identifiers. */
const CHOICES = new Set(
  JSON.stringify(
    [traceSchema, conditionsSchema, ...OTHERS].map((schema) => schema.toJSONSchema({ unrepresentable: 'any', io: 'input' })),
  ).match(/"[a-zA-Z]+"/g),
)
/** Makes ids unique, as in a sound trace, and treats an empty list of clips as none. */
function plainTexts(value: unknown): unknown {
  let ids = 0
  return JSON.parse(JSON.stringify(value), (key, each) => {
    if (key === 'id') return `word-${(ids++).toString(36)}`
    if (key === 'releaseClips' && each.length === 0) return undefined
    return typeof each === 'string' && !CHOICES.has(`"${each}"`) ? 'word' : each
  })
}

test('any changed field is shown, without identifiers or stray values', () => {
  const arb = fc.record({ trace: contractArb(traceSchema), conditions: contractArb(conditionsSchema) }).map((random) => {
    const { trace, conditions } = plainTexts(random) as Pick<Content, 'trace' | 'conditions'>
    return { trace, conditions, outfitId: 'outfit-1' } satisfies Content
  })
  fc.assert(
    fc.property(arb, arb, fc.nat(), (before, other, pick) => {
      const fields = [...Object.keys(other.trace), ...Object.keys(other.conditions)]
      const field = fields[pick % fields.length]!
      const side = field in other.trace && pick % fields.length < Object.keys(other.trace).length ? 'trace' : 'conditions'
      const after = {
        ...before,
        [side]: { ...before[side], [field]: (other[side] as Record<string, unknown>)[field] },
      } as Content
      const lines = words(after, before)
      expect(lines.length > 0).toBe(!sameJson(before, after))
      for (const line of lines) expect(line).not.toMatch(/[a-z][A-Z]|undefined|NaN|null|\[object|Mper|^\s|\s\s/)
    }),
  )
})

test.each(OTHERS)('any changed field of an outfit, item, fish, mark or rule set is shown', (schema) => {
  const arb = contractArb(schema).map((random) => plainTexts(random) as Record<string, unknown>)
  fc.assert(
    fc.property(arb, arb, fc.nat(), (before, other, pick) => {
      const fields = Object.keys(other).filter((field) => field !== 'kind' && field !== 'formatVersion')
      const field = fields[pick % fields.length]!
      fc.pre('kind' in before ? before.kind === other.kind : true)
      const after = { ...before, [field]: other[field] }
      const lines = words(after, before)
      expect(lines.length > 0).toBe(!sameJson(before, after))
      for (const line of lines) expect(line).not.toMatch(/[a-z][A-Z]|undefined|NaN|null|\[object|Mper|^\s|\s\s/)
    }),
  )
})

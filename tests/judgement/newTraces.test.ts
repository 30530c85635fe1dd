import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { METHOD_IDS } from '../../src/core/catalogue/ids.ts'
import { conditionsSchema, defaultConditions } from '../../src/core/documents/conditions.ts'
import { FIGHTS, fishSchema, TEETH } from '../../src/core/documents/fish.ts'
import { markSchema } from '../../src/core/documents/mark.ts'
import { defaultWater } from '../../src/core/documents/water.ts'
import { soundDraft } from '../../src/core/drafting/soundDraft.ts'
import { FAMILIES, familyOf } from '../../src/core/families/families.ts'
import { suited, suitOf } from '../../src/core/families/suits.ts'
import { judge, resultsOf } from '../../src/core/moments/judge.ts'
import { BITE_TRACES } from '../../src/core/purpose/biteTrace.ts'
import { usualLanding } from '../../src/core/purpose/landing.ts'
import { conditionsForFish } from '../../src/core/setup/conditionsForFish.ts'
import { springWater } from '../../src/core/setup/springWater.ts'
import { parseTrace } from '../../src/core/soundness/parseTrace.ts'
import { parseHookSize } from '../../src/core/units/hookSize.ts'
import { DEMO_MARKS } from '../../src/server/demo/marks.ts'
import { DEMO_OUTFITS } from '../../src/server/demo/outfits.ts'
import { atDepth, sampleOf } from '../depth.ts'
import { ruleSet } from '../fixtures/judgedDrafts.ts'
import { fishNamed, targetNamed } from '../fixtures/purposes.ts'
import { catalogue } from '../fixtures/setups.ts'
import { NEW_TRACES, type NewTraceCase } from './newTraces.ts'

const waterOf = (name: string) => springWater(markSchema.parse(DEMO_MARKS.find((mark) => mark.name === name)))

function drafted({ fish, mark, outfit, family: id, more }: NewTraceCase) {
  const family = familyOf(id)!
  const water = waterOf(mark)
  const target = fishNamed(fish)
  const on = DEMO_OUTFITS[outfit].content
  const conditions = {
    ...defaultConditions({ freeboardM: water.method === 'shore' ? 0.5 : 1 }),
    ...conditionsForFish(target),
    ...more,
    water,
    landing: usualLanding(catalogue, target, on, water.method),
    castStyle: water.method === 'shore' ? family.casts[0] : ('none' as const),
  }
  const draft = soundDraft({ family, said: {}, outfit: on, conditions, catalogue })
  return { draft, setup: { trace: draft.trace, conditions: draft.conditions, outfit: on, catalogue } }
}

const stepOf = (size: string) => {
  const parsed = parseHookSize(size)
  if (!parsed.ok) throw new Error(size)
  return catalogue.hooks.sizes.indexOf(parsed.size.label)
}

describe('a new trace for a fish, at a place, on an outfit', () => {
  test.each(NEW_TRACES)('$fish at $mark on $outfit, $family: $why', (each) => {
    const { draft, setup } = drafted(each)
    expect(parseTrace(draft.trace, catalogue).ok).toBe(true)
    expect(draft.findings.filter(({ severity }) => severity !== 'note').map(({ id }) => id)).toEqual([])
    expect(resultsOf(judge(setup)).filter(({ verdict }) => verdict === 'fails')).toEqual([])
    const hook = draft.trace.pieces.find((piece) => piece.role === 'hook')
    expect(Math.abs(stepOf(hook?.role === 'hook' ? hook.size : '') - stepOf(each.hook))).toBeLessThanOrEqual(1)
    expect(suitOf(familyOf(each.family)!, { target: targetNamed(each.fish), water: waterOf(each.mark) }).suits).not.toBe('not')
  })

  test('of all the families that suit, at every mark and for every fish, on outfits that are not worn out, none is left with a fault', () => {
    const left: string[] = []
    for (const { name: fish } of sampleOf(['smooth-hound', 'pollack', 'conger', 'gurnard'], 2).map(fishNamed))
      for (const { name: mark } of DEMO_MARKS) {
        const water = waterOf(mark)
        const outfit = water.method === 'shore' ? 'beach' : 'boat'
        for (const { family, suit } of suited(FAMILIES, { target: targetNamed(fish), water })) {
          if (suit.suits !== 'well') continue
          const { draft } = drafted({ fish, mark, outfit, family: family.id, hook: '', why: '' })
          for (const { id, severity } of draft.findings)
            if (severity === 'fault') left.push(`${fish} ${mark} ${family.id}: ${id}`)
        }
      }
    expect(left).toEqual([])
  })
})

test('for any fish, place, family, bite trace and rule a draft is sound, its conditions can be kept, and the rule stands', () => {
  const fish = fc.record({
    typicalMassKg: fc.double({ min: 0.001, max: 500, noNaN: true }),
    typicalLengthM: fc.double({ min: 0.02, max: 4, noNaN: true }),
    mouthWidthShare: fc.double({ min: 0.01, max: 0.5, noNaN: true }),
    teeth: fc.constantFrom(...TEETH),
    fights: fc.subarray([...FIGHTS]),
    lineShy: fc.boolean(),
    released: fc.boolean(),
  })
  const place = fc.record({
    method: fc.constantFrom(...METHOD_IDS),
    depthM: fc.double({ min: 5, max: 120, noNaN: true }),
    streamMperS: fc.double({ min: 0.2, max: 1.5, noNaN: true }),
  })
  const said = fc.record({ bite: fc.constantFrom(...BITE_TRACES) }, { requiredKeys: [] })
  fc.assert(
    fc.property(fish, place, fc.constantFrom(...FAMILIES), said, fc.boolean(), (some, there, family, wished, ruled) => {
      const target = fishSchema.parse({
        ...fishNamed('turbot'),
        ...some,
        largeMassKg: 2 * some.typicalMassKg,
        largeLengthM: 2 * some.typicalLengthM,
      })
      const water = { ...defaultWater(catalogue, there.method), ...there }
      const rules = ruled ? { ruleSet: { ...ruleSet, maxLeaderM: 3, wireAllowed: false, circleOnly: true } } : {}
      const conditions = { ...defaultConditions(), ...conditionsForFish(target), water, castStyle: family.casts[0] }
      const draft = soundDraft({ family, said: wished, outfit: DEMO_OUTFITS.boat.content, conditions, catalogue, ...rules })
      expect(parseTrace(JSON.parse(JSON.stringify(draft.trace)), catalogue)).toMatchObject({ ok: true })
      expect(conditionsSchema.safeParse(draft.conditions).error?.issues).toBeUndefined()
      if (ruled) expect(draft.leader.lengthM).toBeLessThanOrEqual(3)
    }),
    { numRuns: atDepth(15, 40) },
  )
})

describe('which family suits', () => {
  const suit = (id: Parameters<typeof familyOf>[0], fish: string | undefined, mark: string | undefined) =>
    suitOf(familyOf(id)!, {
      ...(fish ? { target: targetNamed(fish) } : {}),
      ...(mark ? { water: waterOf(mark) } : {}),
    })
  test('what is lowered does not go from the shore, what lies on the bed not for fish above it, and the other way round', () => {
    expect(suit('heavyBottom', 'conger', 'Hesk Bar').suits).toBe('not')
    expect(suit('runningLedger', 'pollack', 'Long Ledge')).toMatchObject({ suits: 'not', why: expect.stringMatching(/above/) })
    expect(suit('slidingFloat', 'turbot', 'Hesk Bar').suits).toBe('not')
    expect(suit('deepDrop', 'ling', 'Kettle Narrows').suits).toBe('not')
    expect(suit('deepDrop', 'ling', 'The Sill').suits).toBe('well')
  })
  test('over rough ground a weak link comes before none', () => {
    expect(suit('threeWay', 'conger', 'Long Ledge')).toMatchObject({ suits: 'well', why: expect.stringMatching(/weak link/) })
    expect(suit('runningLedger', 'conger', 'Long Ledge').suits).toBe('can')
  })
  test('every family has a sentence for every fish and place, and without either every one but the towed suits', () => {
    for (const family of FAMILIES)
      for (const fish of [undefined, 'tope', 'gurnard'])
        for (const mark of [undefined, 'Long Ledge', 'Outer Bank']) expect(suit(family.id, fish, mark).why).toMatch(/^[A-Z].*\.$/)
    expect(
      suited(FAMILIES, {})
        .filter(({ suit: each }) => each.suits !== 'well')
        .map(({ family }) => family.id),
    ).toEqual(['tandemTroll'])
  })
})

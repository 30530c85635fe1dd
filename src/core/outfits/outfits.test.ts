import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { draftOf } from '../../../tests/fixtures/drafts.ts'
import { braidOutfit, LB } from '../../../tests/fixtures/outfits.ts'
import { catalogue, setupOf } from '../../../tests/fixtures/setups.ts'
import { evaluate } from '../analysis/evaluate.ts'
import { estimatedRadii } from '../catalogue/reels.ts'
import { rodStiffnessNperM } from '../catalogue/rods.ts'
import { defaultConditions } from '../documents/conditions.ts'
import { type Outfit, outfitSchema, type WoundLine } from '../documents/outfit.ts'
import { doubledOnReel, joinedOnReel, joinsOnReel } from '../joints/woundJoints.ts'
import { prepareSetup } from '../setup/prepareSetup.ts'
import { quickOutfit } from './quickOutfit.ts'
import { lengthThatFits, spoolFacts } from './spoolFacts.ts'
import { STARTING_OUTFITS } from './startingOutfits.ts'

const trolling = STARTING_OUTFITS.find(({ name }) => name.startsWith('Trolling'))!
const ledgerOn = (outfit: Outfit, lineOutM = 80) => {
  const { trace, conditions } = draftOf('straightLure', outfit, { ...defaultConditions(), castStyle: 'none' })
  return setupOf(trace, outfit, { ...conditions, lineOutM })
}

describe('outfits to begin from', () => {
  test.each(STARTING_OUTFITS.map((outfit) => [outfit.name, outfit] as const))(
    '%s is sound, and nothing is wrong with it',
    (_, outfit) => {
      expect(outfitSchema.safeParse(outfit).error).toBeUndefined()
      expect(spoolFacts(catalogue, outfit, 50)!.fillShare).toBeGreaterThan(0.5)
      const { findings } = evaluate(ledgerOn(outfit))
      const ofOutfit = ['joint-misfits', 'few-turns', 'label-sanity', 'spool-overfull', 'spool-underfilled', 'rod-rating']
      expect(findings.filter(({ rule }) => ofOutfit.includes(rule))).toEqual([])
    },
  )

  test('from a line, a rod and a printed capacity alone', () => {
    fc.assert(
      fc.property(
        fc.record({
          name: fc.constant('mine'),
          lineN: fc.double({ min: 4 * LB, max: 130 * LB, noNaN: true }),
          material: fc.constantFrom('mono' as const, 'braid' as const),
          rodLengthM: fc.double({ min: 1.5, max: 5, noNaN: true }),
          capacityLengthM: fc.double({ min: 50, max: 1000, noNaN: true }),
          capacityDiameterM: fc.double({ min: 0.0001, max: 0.001, noNaN: true }),
        }),
        (known) => {
          const outfit = quickOutfit(known)
          expect(outfitSchema.safeParse(outfit).success).toBe(true)
          expect(spoolFacts(catalogue, outfit, 0)!.fillShare).toBeCloseTo(1, 12)
        },
      ),
    )
  })
})

describe('a joint of doubled lines on the reel', () => {
  test('is three links: the knot in the line under it, the join, the knot in the line over it', () => {
    const setup = prepareSetup(ledgerOn(trolling, 400))
    const links = setup.path(setup.ends[0]!.id).links.slice(0, 5)
    expect(links.map(({ id }) => id)).toEqual(['backing', 'main.under', 'main.joint', 'main.over', 'main'])
    // Bimini 0.95 in braid and 0.97 in mono, which counts 0.9 wet; the cat’s paw has two strands on either side.
    const wetMain = 0.9 * 50 * LB
    expect(links[1]!.strengthN).toBeCloseTo(0.95 * 80 * LB, 6)
    expect(links[2]!.strengthN).toBeCloseTo(0.97 * 2 * wetMain, 6)
    expect(links[3]!.strengthN).toBeCloseTo(0.97 * wetMain, 6)
  })

  test('a hitch in a single strand, or a knot that doubles nothing, is a misfit', () => {
    const [under, over] = trolling.wound
    const with_ = (change: object) => {
      const outfit = { ...trolling, wound: [under!, { ...over!, ...change }] }
      return evaluate(ledgerOn(outfit)).findings.filter(({ rule }) => rule === 'joint-misfits')
    }
    expect(with_({})).toEqual([])
    expect(with_({ doubled: undefined })).toHaveLength(1)
    expect(with_({ doubled: { under: { connection: 'uni' }, over: { connection: 'bimini' } } })).toHaveLength(1)
  })
})

describe('joins on the reel', () => {
  const [under, over] = trolling.wound as [WoundLine, WoundLine]

  test('a line put on is tied as most people would, and what is first has no join', () => {
    const [first, second] = joinedOnReel(catalogue, [over, { ...under, role: 'topShot' }])
    expect([first!.joint, first!.doubled]).toEqual([undefined, undefined])
    expect(second!.joint).toEqual({ connection: 'fg' })
    expect(joinedOnReel(catalogue, [under, over])[1]).toBe(over)
  })

  test('with one strand again the hitch of two loops is tied anew, and comes back with the second double', () => {
    const single = doubledOnReel(catalogue, under, over, 'under', undefined)
    expect(single.joint).not.toEqual({ connection: 'catsPaw' })
    expect(joinsOnReel(catalogue, under, single)).toContain(single.joint!.connection)
    const twice = doubledOnReel(catalogue, under, single, 'under', 'bimini')
    expect([twice.joint, twice.doubled]).toEqual([over.joint, over.doubled])
    const none = doubledOnReel(catalogue, under, single, 'over', undefined)
    expect([none.joint, none.doubled]).toEqual([{ connection: 'fg' }, undefined])
  })
})

describe('the spool', () => {
  test('a capacity says what fits of another line: length × diameter² stays', () => {
    const outfit = braidOutfit(50)
    const thinner = { material: 'braid' as const, strengthN: 50 * LB, diameterM: 0.00037 / 2 }
    expect(lengthThatFits(catalogue, outfit, thinner)).toBeCloseTo(4 * 300, 9)
  })

  test('bands fill the section from the arbor to what is wound, in order', () => {
    const facts = spoolFacts(catalogue, braidOutfit(50), 100)!
    expect(facts.bands[0]!.fromM).toBeCloseTo(facts.arborM, 12)
    expect(facts.bands.at(-1)!.toM).toBeCloseTo(facts.fullM, 12)
    expect(facts.bands[1]!.fromM).toBe(facts.bands[0]!.toM)
    expect(facts.roomM).toBeCloseTo(0, 9)
    expect(facts.leftM).toBeCloseTo(facts.woundM - 100, 9)
    expect(facts.dragGrowth).toBeGreaterThan(1)
  })

  test('line in for a turn is the circumference times the gear, and falls as line goes out', () => {
    const outfit = braidOutfit(50)
    const facts = spoolFacts(catalogue, { ...outfit, reel: { ...outfit.reel, gearRatio: 5 } }, 150)!
    expect(facts.perTurnM!.full).toBeCloseTo(2 * Math.PI * 0.034 * 5, 9)
    expect(facts.perTurnM!.out).toBeCloseTo(facts.perTurnM!.full / facts.dragGrowth, 9)
    expect(spoolFacts(catalogue, outfit, 150)!.perTurnM).toBeUndefined()
  })

  test('radii of a usual spool hold what is printed, and grow with its cube root', () => {
    const at = (times: number) => estimatedRadii({ capacityLengthM: 300 * times, capacityDiameterM: 0.00035 })
    expect(at(8).fullRadiusM).toBeCloseTo(2 * at(1).fullRadiusM, 12)
    const { arborRadiusM, fullRadiusM } = at(1)
    const roomM3 = Math.PI * (fullRadiusM ** 2 - arborRadiusM ** 2) * 0.9 * fullRadiusM
    expect(0.8 * roomM3).toBeCloseTo(300 * (Math.PI / 4) * 0.00035 ** 2, 12)
  })

  test('radii come together or not at all', () => {
    const { reel, ...rest } = braidOutfit(50)
    const { arborRadiusM: _out, ...half } = reel
    expect(outfitSchema.safeParse({ ...rest, reel: half }).success).toBe(false)
    const { fullRadiusM: _too, ...none } = half
    expect(outfitSchema.safeParse({ ...rest, reel: none }).success).toBe(true)
  })
})

test('a fast rod is stiffer than a soft one', () => {
  const rod = { lengthM: 3, ratingLowN: 50, ratingHighN: 200 }
  const [soft, plain, fast] = (['soft', undefined, 'fast'] as const).map((action) =>
    rodStiffnessNperM(catalogue, { ...rod, action }),
  )
  expect([soft! < plain!, plain! < fast!]).toEqual([true, true])
})

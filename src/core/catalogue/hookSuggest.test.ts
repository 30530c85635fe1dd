import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { hookFit } from '../physics/hooking/hookFit.ts'
import { parseHookSize } from '../units/hookSize.ts'
import { NOMINAL_CATALOGUE as catalogue } from './catalogue.ts'
import { buriedM, FREE_GAPE, fitInput, fitOf, type HookWanted, hookSuggest, SOUND_FIT, usualGapeM } from './hookSuggest.ts'
import { hookDimensions, straighteningLoadN } from './hooks.ts'
import { BAIT_FORM_IDS, HOOK_PATTERN_IDS } from './ids.ts'

const stepOf = (size: string) => {
  const parsed = parseHookSize(size)
  if (!parsed.ok) throw new Error(size)
  return parsed.size.step
}
const strip: HookWanted = {
  pattern: 'j',
  form: 'strip',
  baitLengthM: 0.15,
  baitDepthM: 0.006,
  baitMassKg: 0.03,
  alive: false,
  rig: 'single',
}
const best = (more: Partial<HookWanted>) => hookSuggest(catalogue, { ...strip, ...more }).sizes[0]!

describe('hook.suggest', () => {
  test('nearest the usual gape: 7.5 mm of strip want 12 on a J, and three quarters of that on a circle', () => {
    expect(best({ baitDepthM: 0.0075 })).toMatchObject({ size: '1', gapeM: 0.012, why: 'nearest the usual gap' })
    expect(best({ baitDepthM: 0.0075 }).fit).toBeCloseTo(1, 9)
    expect(best({ pattern: 'circle', baitDepthM: 0.0075 }).gapeM).toBeCloseTo(0.009, 9)
  })

  test.each([
    ['squid', 0.04, 0.2, 0.5, 0.6],
    ['soft', 0.02, 0.1, 0.6, 0.9],
    ['crab', 0.02, 0.05, 0.65, 0.8],
    ['prawn', 0.015, 0.08, 0.7, 0.9],
    ['piece', 0.03, 0.1, 0.85, 0.65],
    ['worm', 0.01, 0.12, 0.9, 1.1],
    ['shell', 0.012, 0.04, 0.9, 1.1],
    ['strip', 0.008, 0.12, 1.2, 1.6],
  ] as const)('a %s asks for its share of its thickness', (form, baitDepthM, baitLengthM, circle, other) => {
    const body = { form, baitDepthM, baitLengthM }
    expect(usualGapeM(catalogue, 'circle', body) / baitDepthM).toBeCloseTo(circle, 12)
    expect(usualGapeM(catalogue, 'heavyCircle', body) / baitDepthM).toBeCloseTo(circle, 12)
    expect(usualGapeM(catalogue, 'j', body) / baitDepthM).toBeCloseTo(other, 12)
  })

  test('a fish goes by its length too, whichever asks for more; alive or dead', () => {
    const [slim, deep] = [0.01, 0.1].map((baitDepthM) => ({ form: 'fish', baitDepthM, baitLengthM: 0.25 }) as const)
    expect(usualGapeM(catalogue, 'j', slim!)).toBeCloseTo(0.1 * 0.25, 12)
    expect(usualGapeM(catalogue, 'circle', slim!)).toBeCloseTo(0.085 * 0.25, 12)
    expect(usualGapeM(catalogue, 'j', deep!)).toBeCloseTo(0.45 * 0.1, 12)
    expect(usualGapeM(catalogue, 'circle', deep!)).toBeCloseTo(0.3 * 0.1, 12)
  })

  test('baits are as thick as they are fished: a lugworm 10 mm, a prawn 13', () => {
    expect([catalogue.baits.lugworm.depthM, catalogue.baits.prawn.depthM]).toEqual([0.01, 0.013])
  })

  test('half of the gap is free at 0.7 of the usual gape, the least that is sound', () => {
    for (const { fit, freeGape } of hookSuggest(catalogue, { ...strip, baitDepthM: 0.02 }).sizes)
      expect(freeGape).toBeCloseTo(1 - 0.35 / fit, 12)
    expect(1 - 0.35 / SOUND_FIT.least).toBeCloseTo(FREE_GAPE.holds, 12)
  })

  test('a live fish of 200 g and 25 cm is given no size 2, a prawn no 9/0', () => {
    const live = best({ form: 'fish', baitDepthM: 0.055, baitLengthM: 0.25, baitMassKg: 0.2, alive: true })
    expect(live.gapeM).toBeGreaterThan(0.017)
    expect(best({ form: 'prawn', baitDepthM: 0.013, baitLengthM: 0.08, baitMassKg: 0.01 }).gapeM).toBeLessThan(0.015)
  })

  test('the size grows with the bait’s thickness, with the load, and shrinks with the mouth', () => {
    const wanted = fc.record({
      pattern: fc.constantFrom(...HOOK_PATTERN_IDS),
      form: fc.constantFrom(...BAIT_FORM_IDS),
      baitLengthM: fc.double({ min: 0.03, max: 0.4, noNaN: true }),
      baitDepthM: fc.double({ min: 0.002, max: 0.06, noNaN: true }),
      baitMassKg: fc.double({ min: 0.005, max: 0.5, noNaN: true }),
      alive: fc.boolean(),
      rig: fc.constantFrom('single', 'tandem', 'chain'),
      loadN: fc.double({ min: 5, max: 200, noNaN: true }),
      mouthWidthM: fc.double({ min: 0.01, max: 0.2, noNaN: true }),
    })
    fc.assert(
      fc.property(wanted, fc.double({ min: 1, max: 3, noNaN: true }), (each, times) => {
        const [size, thicker, harder, narrower] = [
          each,
          { ...each, baitDepthM: times * each.baitDepthM },
          { ...each, loadN: times * each.loadN },
          { ...each, mouthWidthM: each.mouthWidthM / times },
        ].map((one) => stepOf(hookSuggest(catalogue, one).sizes[0]!.size))
        expect(thicker).toBeGreaterThanOrEqual(size!)
        expect(harder).toBeGreaterThanOrEqual(size!)
        expect(narrower).toBeLessThanOrEqual(size!)
      }),
    )
  })

  test('a hook is no smaller than the mouth asks for, and grows with what is asked', () => {
    expect(best({ baitDepthM: 0.008 }).gapeM).toBeLessThan(0.015)
    expect(best({ baitDepthM: 0.008, leastGapeM: 0.015 })).toMatchObject({ size: '2/0', why: 'nearest the usual gap' })
    const { sizes } = hookSuggest(catalogue, { ...strip, pattern: 'treble', leastGapeM: 0.2 })
    expect(sizes[0]!.why).toMatch(/small for the mouth/)
  })

  test('what falls short says in what, and a sound one is never behind one that is not', () => {
    const { sizes } = hookSuggest(catalogue, { ...strip, baitDepthM: 0.05, mouthWidthM: 0.02 })
    expect(sizes[0]!.why).toMatch(/fills|wide/)
    for (const pattern of HOOK_PATTERN_IDS) {
      const rows = hookSuggest(catalogue, { ...strip, pattern }).sizes
      expect(rows).toHaveLength(5)
      const sound = rows.map(({ fit }) => fit >= SOUND_FIT.least - 1e-9 && fit <= SOUND_FIT.most + 1e-9)
      expect(sound).toEqual([...sound].sort((a, b) => Number(b) - Number(a)))
    }
  })
})

describe('hook.fit', () => {
  test('free gap falls as the bait thickens, and is a length over a length', () => {
    const input = fitInput(catalogue, 'j', hookDimensions(catalogue, 'j', '2/0')!, strip)
    expect(hookFit(input).freeGape).toBeCloseTo(1 - buriedM(catalogue, 'j', strip) / input.gapeM, 12)
    expect(hookFit({ ...input, buriedM: 2 * input.buriedM }).freeGape).toBeLessThan(hookFit(input).freeGape)
    expect(hookFit({ ...input, buriedM: 2 * input.gapeM }).freeGape).toBe(-1)
  })

  test('of a mouth or a load that nobody said, nothing is said', () => {
    const hook = hookDimensions(catalogue, 'j', '2/0')!
    expect(fitOf(catalogue, 'j', hook, strip)).not.toHaveProperty('widthShare')
    expect(fitOf(catalogue, 'j', hook, { ...strip, loadN: 50 }).straightenMargin).toBeCloseTo(
      straighteningLoadN(hook.wireM, hook.gapeM) / 50,
      12,
    )
    expect(fitOf(catalogue, 'j', hook, { ...strip, mouthWidthM: 0.05 }).widthShare).toBeCloseTo(hook.widthM / 0.05, 12)
  })
})

describe('a hook’s dimensions', () => {
  test('grow with the size in every pattern, and a measured gap or wire counts over the nominal', () => {
    const sizes = catalogue.hooks.sizes
    for (const pattern of HOOK_PATTERN_IDS) {
      const all = sizes.map((size) => hookDimensions(catalogue, pattern, size)!)
      for (const [i, each] of all.entries())
        if (i > 0)
          for (const key of ['gapeM', 'wireM', 'widthM', 'massKg'] as const) expect(each[key]).toBeGreaterThan(all[i - 1]![key])
    }
    const measured = hookDimensions(catalogue, 'j', '2/0', { gapeM: 0.02, wireM: 0.002 })!
    expect(measured).toMatchObject({ gapeM: 0.02, wireM: 0.002, pitchM: 2.6 * 0.02, widthM: 0.024 })
  })

  test('2 is small and 2/0 is large; a treble weighs more than twice a J of its gap and wire', () => {
    expect(hookDimensions(catalogue, 'j', '2/0')!.gapeM).toBeGreaterThan(1.4 * hookDimensions(catalogue, 'j', '2')!.gapeM)
    const made = { gapeM: 0.01, wireM: 0.001 }
    const [one, three] = (['j', 'treble'] as const).map((pattern) => hookDimensions(catalogue, pattern, '1', made)!)
    expect(three!.massKg / one!.massKg).toBeGreaterThan(1.8)
  })
})

import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { hookFit } from '../physics/hooking/hookFit.ts'
import { parseHookSize } from '../units/hookSize.ts'
import { NOMINAL_CATALOGUE as catalogue } from './catalogue.ts'
import { buriedM, FREE_GAPE, fitInput, fitOf, type HookWanted, hookSuggest } from './hookSuggest.ts'
import { hookDimensions, straighteningLoadN } from './hooks.ts'
import { HOOK_PATTERN_IDS } from './ids.ts'

const stepOf = (size: string) => {
  const parsed = parseHookSize(size)
  if (!parsed.ok) throw new Error(size)
  return parsed.size.step
}
const strip: HookWanted = { pattern: 'j', baitLengthM: 0.15, baitDepthM: 0.006, baitMassKg: 0.03, alive: false, rig: 'single' }
const best = (more: Partial<HookWanted>) => hookSuggest(catalogue, { ...strip, ...more }).sizes[0]!

describe('hook.suggest', () => {
  test('the smallest that leaves half of its gap free: 6 mm of strip want a gap of 12', () => {
    expect(best({})).toMatchObject({ size: '1', gapeM: 0.012, freeGape: 0.5, why: 'the smallest that fits' })
    expect(best({ rig: 'tandem' }).gapeM).toBeLessThan(0.012)
    expect(best({ rig: 'chain' }).gapeM).toBeLessThan(best({ rig: 'tandem' }).gapeM)
    expect(best({ alive: true, baitDepthM: 0.02 }).gapeM).toBeLessThan(best({ baitDepthM: 0.02 }).gapeM)
  })

  test('the size grows with the bait’s thickness, with the load, and shrinks with the mouth', () => {
    const wanted = fc.record({
      pattern: fc.constantFrom(...HOOK_PATTERN_IDS),
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
    expect(best({ baitDepthM: 0.002, leastGapeM: 0.02 })).toMatchObject({ size: '5/0', why: 'the smallest that fits' })
    const { sizes } = hookSuggest(catalogue, { ...strip, pattern: 'treble', leastGapeM: 0.2 })
    expect(sizes[0]!.why).toMatch(/small for the mouth/)
  })

  test('what falls short says in what, and a sound one is never behind one that is not', () => {
    const { sizes } = hookSuggest(catalogue, { ...strip, baitDepthM: 0.05, mouthWidthM: 0.02 })
    expect(sizes[0]!.why).toMatch(/fills|wide/)
    for (const pattern of HOOK_PATTERN_IDS) {
      const rows = hookSuggest(catalogue, { ...strip, pattern }).sizes
      expect(rows).toHaveLength(5)
      const sound = rows.map(({ freeGape }) => freeGape >= FREE_GAPE.holds)
      expect(sound).toEqual([...sound].sort((a, b) => Number(b) - Number(a)))
    }
  })
})

describe('hook.fit', () => {
  test('free gap falls as the bait thickens, and is a length over a length', () => {
    const input = fitInput(hookDimensions(catalogue, 'j', '2/0')!, strip)
    expect(hookFit(input).freeGape).toBeCloseTo(1 - buriedM(strip) / input.gapeM, 12)
    expect(hookFit({ ...input, buriedM: 2 * input.buriedM }).freeGape).toBeLessThan(hookFit(input).freeGape)
    expect(hookFit({ ...input, buriedM: 2 * input.gapeM }).freeGape).toBe(-1)
  })

  test('of a mouth or a load that nobody said, nothing is said', () => {
    const hook = hookDimensions(catalogue, 'j', '2/0')!
    expect(fitOf(hook, strip)).not.toHaveProperty('widthShare')
    expect(fitOf(hook, { ...strip, loadN: 50 }).straightenMargin).toBeCloseTo(straighteningLoadN(hook.wireM, hook.gapeM) / 50, 12)
    expect(fitOf(hook, { ...strip, mouthWidthM: 0.05 }).widthShare).toBeCloseTo(hook.widthM / 0.05, 12)
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

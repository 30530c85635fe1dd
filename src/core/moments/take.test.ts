import { describe, expect, test } from 'vitest'
import { draftOf } from '../../../tests/fixtures/drafts.ts'
import { braidOutfit } from '../../../tests/fixtures/outfits.ts'
import { targetNamed } from '../../../tests/fixtures/purposes.ts'
import { catalogue, setupOf } from '../../../tests/fixtures/setups.ts'
import { defaultConditions } from '../documents/conditions.ts'
import type { Trace } from '../documents/trace.ts'
import { withFields } from '../edit/changes.ts'
import { hookOutline } from '../layout/hookOutline.ts'
import { takeDrawing } from '../layout/takeDrawing.ts'
import { prepareSetup } from '../setup/prepareSetup.ts'
import { TAKE } from './take.ts'

const outfit = braidOutfit(50)
const drafted = (family: Parameters<typeof draftOf>[0]) => draftOf(family, outfit, defaultConditions())
const take = (trace: Trace, conditions = drafted('runningLedger').conditions) =>
  TAKE.judge(prepareSetup(setupOf(trace, outfit, conditions)))
const changed = (trace: Trace, id: string, change: object) => withFields(trace, id, change)

describe('take', () => {
  const ledger = drafted('runningLedger').trace

  test('the gap that the bait leaves free decides, by its share', () => {
    const byDepth = (depthM: number) => take(changed(ledger, 'hook-bait', { depthM }))!
    const { dimensions, hook } = byDepth(0.016).deciding
    const { ofDepth } = catalogue.baitForms.fish.gape
    const usual = ofDepth[catalogue.hooks.patterns[hook.pattern].numbers === 'circle' ? 'circle' : 'other']
    // 0.35 of the usual gape lies in it, which of a deep fish is a share of its depth.
    const leaving = (free: number) => byDepth(((1 - free) * dimensions.gapeM) / (0.35 * usual))
    expect(leaving(0.4).deciding.fit.freeGape).toBeCloseTo(0.4, 12)
    expect([0.51, 0.48, 0.36, 0.33].map((free) => leaving(free).verdict)).toEqual(['holds', 'watch', 'watch', 'fails'])
    expect(leaving(-0.1).figure.value).toBeLessThan(0)
  })

  test('a bait is as long and deep as it is measured, else as it usually is; heavier, both by the cube root', () => {
    const body = (change: object) => take(changed(ledger, 'hook-bait', change))!.deciding.body
    const usual = catalogue.baits.sandeel
    expect(body({})).toMatchObject({ lengthM: usual.lengthM, depthM: usual.depthM })
    expect(body({ massKg: 8 * usual.massKg }).lengthM).toBeCloseTo(2 * usual.lengthM, 12)
    expect(body({ massKg: 8 * usual.massKg, lengthM: 0.2 })).toMatchObject({ lengthM: 0.2 })
  })

  test('a live bait is judged by its hook’s weight where its end swims, and not on the bottom', () => {
    const heavy = changed(drafted('sinkerAtHook').trace, 'hook', { size: '6/0' })
    const causes = (trace: Trace) => take(trace)!.deciding.graded.map(({ cause }) => cause)
    expect(causes(heavy)).toContain('massShare')
    expect(take(heavy)!.deciding.worst).toMatchObject({ cause: 'massShare', verdict: 'fails' })
    expect(causes(ledger)).not.toContain('massShare')
  })

  test('the kind of hook against the fish: a circle for what goes back, none for what shakes it out', () => {
    const kindOf = (pattern: string, name: string) => {
      const conditions = { ...drafted('runningLedger').conditions, target: targetNamed(name) }
      return take(changed(ledger, 'hook', { pattern }), conditions)!.deciding.graded.find(({ cause }) => cause === 'kind')
        ?.verdict
    }
    expect(kindOf('circle', 'smooth-hound')).toBeUndefined()
    expect(kindOf('j', 'smooth-hound')).toBe('watch')
    expect(kindOf('circle', 'conger')).toBe('watch')
    expect(kindOf('j', 'conger')).toBeUndefined()
    expect(kindOf('circle', 'turbot')).toBeUndefined()
  })

  test('linked hooks are held against the bait’s length, however they are linked', () => {
    const captive = drafted('captiveSinker').trace
    const { hooks, gang, dimensions } = take(captive)!.deciding
    expect(hooks.map(({ id }) => id)).toEqual(['hook-a', 'hook-b', 'hook-c'])
    // Eye to bend: each adds its pitch.
    expect(gang!.spanM).toBeCloseTo(3 * dimensions.pitchM, 12)
    const pulley = take(drafted('pulley').trace)!.deciding
    expect(pulley.hooks).toHaveLength(2)
    expect(pulley.gang!.spanM).toBeGreaterThan(2 * pulley.dimensions.pitchM - 1e-9)
    // A hook that rides on the snood sits where the document puts it: eye to eye, and the last one's own pitch.
    const apart = (backM: number) => {
      const { trace } = drafted('pulley')
      const snood = trace.pieces.find(({ id }) => id === 'snood')
      const onSnood = {
        how: 'sliding',
        on: 'snood',
        atM: (snood as { lengthM: number }).lengthM - backM,
        stops: { below: 'tail' },
      }
      return take(changed(trace, 'upper', { attach: onSnood }))!.deciding.gang!.spanM
    }
    expect(apart(0.08)).toBeCloseTo(0.08 + pulley.dimensions.pitchM, 12)
    expect(apart(0.01)).toBeCloseTo(2 * pulley.dimensions.pitchM, 12)
    const long = take(changed(captive, 'hook-c-bait', { bait: 'halfFish', lengthM: 0.5, depthM: 0.02 }))!.deciding
    expect(long.worst).toMatchObject({ cause: 'coverage', verdict: 'watch' })
  })

  test('a drag that opens the hook, and a bait that spins with no swivel near', () => {
    const thin = changed(ledger, 'hook', { wireM: 0.0006 })
    expect(take(thin)!.deciding.worst).toMatchObject({ cause: 'straightenMargin', verdict: 'fails' })
    const spins = changed(drafted('freeLine').trace, 'hook-bait', { bait: 'cuttlefishStrip' })
    expect(take(spins)!.deciding.graded).toContainEqual(expect.objectContaining({ cause: 'spin', verdict: 'watch' }))
  })

  test('a soft lure on its hook is a bait; a trace without either is not judged', () => {
    expect(take(drafted('nailWorm').trace)!.deciding.body.form).toBe('soft')
    expect(take(drafted('straightLure').trace)).toBeUndefined()
  })
})

describe('the drawing', () => {
  test('point and shank are a gap apart, in every pattern, and the bait lies in the gap by what is buried', () => {
    for (const pattern of ['j', 'circle', 'treble'] as const) {
      const { deciding } = take(changed(drafted('runningLedger').trace, 'hook', { pattern, gapeM: 0.0137 }))!
      const outline = hookOutline(catalogue, pattern, deciding.dimensions)
      expect(outline.pointY - outline.shankY).toBeCloseTo(13.7, 9)
      const { free, bait } = takeDrawing(catalogue, deciding)
      expect((free.to - free.from) / 13.7).toBeCloseTo(deciding.fit.freeGape, 9)
      expect(bait.lengthMm).toBeCloseTo(1000 * deciding.body.lengthM, 9)
    }
  })

  test('hooks in a row neither overlap nor leave a bait that they fit, and the next sizes stand beside', () => {
    const { deciding } = take(drafted('captiveSinker').trace)!
    const { hooks, bait, ghosts, box } = takeDrawing(catalogue, deciding)
    expect(hooks[0]!.x).toBeGreaterThanOrEqual(0)
    expect(hooks.at(-1)!.x + hooks.at(-1)!.outline.lengthMm).toBeLessThanOrEqual(bait.lengthMm)
    for (const [i, { x, outline }] of hooks.entries())
      if (i > 0) expect(x - hooks[i - 1]!.x).toBeGreaterThanOrEqual(outline.lengthMm - outline.wireMm - 1)
    expect(ghosts.map(({ size }) => size)).toEqual(['5/0', '7/0'])
    for (const { x, outline } of [...hooks, ...ghosts]) expect(x + outline.lengthMm).toBeLessThanOrEqual(box.x + box.width)
  })
})

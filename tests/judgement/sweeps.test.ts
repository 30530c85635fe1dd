import { describe, expect, test } from 'vitest'
import { CAST_STYLE_IDS } from '../../src/core/catalogue/ids.ts'
import { defaultWater, type Water } from '../../src/core/documents/water.ts'
import { withLength } from '../../src/core/edit/changes.ts'
import type { MomentResult } from '../../src/core/moments/moment.ts'
import { VERDICT_RANK } from '../../src/core/moments/moment.ts'
import { atDepth } from '../depth.ts'
import { base, type Content, fished, judged, lowered, of, set, withOutfit } from '../fixtures/judgedDrafts.ts'
import { braidOutfit, LB } from '../fixtures/outfits.ts'
import { catalogue } from '../fixtures/setups.ts'

type Moment = 'cast' | 'settle' | 'run' | 'hand'
/** Many steps of one thing, from what should be best to what should be worst. */
const from = (low: number, high: number, steps: number) =>
  Array.from({ length: steps }, (_, i) => low + ((high - low) * i) / (steps - 1))

/** Judged step by step, no verdict gets better as things get worse; nor does a margin of one cause, which jumps only where it may. */
function gets(worse: readonly Content[], moment: Moment, { most }: { most: number }) {
  const results = worse.map((content): MomentResult => judged(content)[moment]!)
  for (const [i, { margin, verdict, figure }] of results.entries()) {
    const before = results[i - 1]
    if (!before) continue
    expect(VERDICT_RANK[verdict], `verdict at ${i}`).toBeGreaterThanOrEqual(VERDICT_RANK[before.verdict])
    if (verdict !== before.verdict || figure.key !== before.figure.key) continue
    expect(margin, `margin at ${i}`).toBeLessThanOrEqual(before.margin * (1 + 1e-6))
    // A chance falls off steeply.
    if (figure.quantity !== 'share') expect(before.margin / margin, `step at ${i}`).toBeLessThan(most)
  }
  expect(results.at(-1)!.margin).toBeLessThan(results[0]!.margin)
}

const ledger = base('runningLedger')
const low = base('runningLedger', lowered)
const inWater = (method: Water['method'], more: Partial<Water>) =>
  fished(low, { water: { ...defaultWater(catalogue, method), ...more } })

const inWaterSettled = (method: Water['method'], more: Partial<Water>) => judged(inWater(method, more)).settle!.holding!

describe('sweeps', () => {
  test('a firmer drag', () =>
    gets(
      from(5, 140, 60).map((dragN) => fished(ledger, { dragN })),
      'run',
      { most: 1.5 },
    ))

  test('a weaker leader', () =>
    gets(
      from(80, 6, 60).map((lb) => of(low, set('leader', { strengthN: lb * LB }))),
      'run',
      { most: 1.3 },
    ))

  test('more line out, up to a spool all but empty: it steps only where another line comes off', () => {
    const braidOnly = withOutfit(low, { wound: [{ role: 'main', material: 'braid', strengthN: 50 * LB, lengthM: 300 }] })
    gets(
      from(1, 290, 60).map((lineOutM) => fished(braidOnly, { lineOutM })),
      'run',
      { most: 1.15 },
    )
  })

  test.each(CAST_STYLE_IDS.filter((style) => style !== 'none'))('a heavier sinker, cast %s', (castStyle) =>
    gets(
      from(0.02, 0.4, 50).map((massKg) => fished(of(ledger, set('sinker', { massKg })), { castStyle })),
      'cast',
      { most: 1.5 },
    ),
  )

  test('a longer hook length in the hand', () =>
    // Held where it is, the same line holds the fish; the verdict falls once it is out of reach.
    expect(
      from(0.3, 9, 40)
        .map((m) => judged(of(low, (trace) => withLength(trace, 'hook-length', m))).hand!)
        .every(({ verdict }, i, all) => i === 0 || VERDICT_RANK[verdict] >= VERDICT_RANK[all[i - 1]!.verdict]),
    ).toBe(true))

  test('a heavier fish in the hand', () =>
    gets(
      from(0.5, 30, 60).map((fishMassKg) => fished(low, { fishMassKg })),
      'hand',
      { most: 2.1 },
    ))

  test.each(['anchor', 'drift'] as const)('a stronger stream, %s', (method) =>
    gets(
      from(0.1, 3, 59).map((streamMperS) =>
        inWater(method, { streamMperS, depthM: 30, driftMperS: method === 'drift' ? streamMperS / 2 : 0 }),
      ),
      'settle',
      { most: 2.3 },
    ),
  )

  test('a stronger stream, from the shore', () =>
    gets(
      from(0.1, 3, 59).map((streamMperS) => inWater('shore', { streamMperS, distanceM: 80 })),
      'settle',
      { most: 2.5 },
    ))

  test('deeper water at anchor, from 2 to 600 m', () =>
    gets(
      from(2, 600, 60).map((depthM) => inWater('anchor', { depthM, streamMperS: 0.3 })),
      'settle',
      { most: 8 },
    ))

  test('weed on the line, and a cast further out', () => {
    gets(
      from(1, 3, 21).map((weedFactor) => inWater('shore', { weedFactor, distanceM: 80 })),
      'settle',
      { most: 1.3 },
    )
    gets(
      from(20, 150, 27).map((distanceM) => inWater('shore', { distanceM })),
      'settle',
      { most: 1.5 },
    )
  })

  test('a lighter sinker in the tide', () =>
    gets(
      from(1, 0.05, 40).map((massKg) => of(inWater('anchor', { depthM: 30, streamMperS: 0.5 }), set('sinker', { massKg }))),
      'settle',
      { most: 1.6 },
    ))

  test('in a run at least the line that the depth asks for is out', () => {
    const deep = fished(low, { lineOutM: 10, water: { ...defaultWater(catalogue, 'anchor'), depthM: 150, streamMperS: 0.1 } })
    const { inputs, margin } = judged(deep).run!
    const wantedM = 150 * deep.conditions.water!.scope
    expect(inputs.find(({ key }) => key === 'lineOut')).toMatchObject({ value: wantedM, origin: 'computed' })
    expect(margin).toBeLessThan(judged(fished(low, { lineOutM: 10 })).run!.margin)
  })

  const mono = braidOutfit(20, { wound: [{ role: 'main', material: 'mono', strengthN: 20 * LB }] })
  const DEPTHS_M = [
    [6, 15],
    [3, 6, 10, 15, 25, 45, 80],
  ]
  const WAYS = [
    { method: 'anchor', across: 0 },
    { method: 'uptide', across: 0 },
    { method: 'drift', across: 0 },
    { method: 'drift', across: 0.3 },
    { method: 'shore', across: 0 },
  ] as const

  test.each(WAYS)(
    'every stream from none to 3 m/s, $method, $across m/s across: no band without an answer, none holds better',
    ({ method, across }) => {
      for (const on of [undefined, mono])
        for (const depthM of DEPTHS_M[atDepth(0, 1)]!) {
          if (method === 'shore' && depthM > 20) continue
          const settled = from(0, 3, atDepth(16, 61)).map((streamMperS) => {
            const drifting = { driftMperS: method === 'drift' ? 0.6 * streamMperS : 0, driftAcrossMperS: across }
            const water = { ...defaultWater(catalogue, method), depthM, streamMperS, ...drifting }
            return judged(fished(base('runningLedger', lowered, on), { water })).settle!
          })
          const last = settled.findLastIndex(({ holding }) => holding!.wantedKg !== undefined)
          expect(last).toBeGreaterThanOrEqual(0)
          for (const [i, { verdict, holding }] of settled.entries()) {
            if (i <= last) expect(holding!.wantedKg, `${depthM} m, ${i}`).toBeDefined()
            const before = settled[i - 1]
            if (before) expect(VERDICT_RANK[verdict]).toBeGreaterThanOrEqual(VERDICT_RANK[before.verdict])
          }
        }
    },
  )

  test('a stronger wind across a drift asks for more', () => {
    const wanted = from(0, 0.6, 13).map(
      (driftAcrossMperS) =>
        inWaterSettled('drift', { depthM: 40, streamMperS: 0.5, driftMperS: 0.5, driftAcrossMperS }).wantedKg!,
    )
    for (const [i, kg] of wanted.entries()) if (i > 0) expect(kg).toBeGreaterThan(wanted[i - 1]!)
  })
})

import { describe, expect, test } from 'vitest'
import { LB } from '../../../tests/fixtures/outfits.ts'
import { catalogue } from '../../../tests/fixtures/setups.ts'
import { efficiencyOf, withOwn } from '../catalogue/catalogue.ts'
import type { Observation, Pull } from '../documents/observation.ts'
import { activePulls, knotLesson, ownConnections } from './knotLessons.ts'

const idOf = (n: number) => `10000000-0000-4000-8000-${String(n).padStart(12, '0')}`
const pull = (n: number, share: number, more: Partial<Pull> = {}): Pull => ({
  formatVersion: 1,
  kind: 'pull',
  id: idOf(n),
  at: '2026-11-20T10:00:00.000Z',
  connection: 'uni',
  material: 'mono',
  lineN: 30 * LB,
  wet: false,
  loadN: share * 30 * LB,
  parted: 'knot',
  ...more,
})
const lesson = (pulls: readonly Pull[]) => knotLesson(catalogue, pulls, 'uni', 'mono')!

describe('a knot', () => {
  test('before any pull it is the nominal figure; pulls move it to where they lie', () => {
    const nominal = catalogue.connections.uni.efficiency.mono!
    expect(lesson([]).posterior).toEqual(lesson([]).prior)
    expect(lesson([]).prior.mean).toBe(nominal)
    const [few, many] = [2, 30].map((n) => lesson(Array.from({ length: n }, (_, i) => pull(i, 0.7))).posterior.mean)
    expect(few).toBeLessThan(nominal)
    expect(many).toBeLessThan(few!)
    expect(many).toBeCloseTo((4 * nominal + 30 * 0.7) / 34, 12)
  })

  test('a soaked nylon line holds less by itself: its knot is not blamed for it', () => {
    const left = catalogue.materials.mono.wetCondition
    expect(left).toBeLessThan(1)
    const [dry, wet] = [lesson([pull(1, 0.8)]), lesson([pull(1, 0.8 * left, { wet: true })])]
    expect(wet.posterior.mean).toBeCloseTo(dry.posterior.mean, 12)
    const braid = (soaked: boolean) =>
      knotLesson(catalogue, [pull(1, 0.8, { connection: 'palomar', material: 'braid', wet: soaked })], 'palomar', 'braid')!
    expect(braid(true).posterior).toEqual(braid(false).posterior)
  })

  test('samples of which the hook gave, and discarded ones, are shown apart and move nothing', () => {
    const with_ = lesson([pull(1, 0.8), pull(3, 0.5, { parted: 'hook' }), pull(4, 0.2, { discarded: 'nicked' })])
    expect(with_.posterior).toEqual(lesson([pull(1, 0.8)]).posterior)
    expect(with_.apart.map(({ id }) => id)).toEqual([idOf(3), idOf(4)])
  })

  test('a slip is a load at which the knot failed: it moves the figure as a break does, and is counted', () => {
    const one = lesson([pull(1, 0.8), pull(2, 0.5, { parted: 'slipped' })])
    expect(one.slipped).toBe(1)
    expect(one.breaks).toHaveLength(2)
    expect(one.posterior.mean).toBeLessThan(lesson([pull(1, 0.8)]).posterior.mean)
  })

  test('nine slips at 60 N and one break at 170 N make no better knot: it works no higher than where it slipped', () => {
    const pulls = [
      ...Array.from({ length: 9 }, (_, i) => pull(i, 0, { loadN: 60, parted: 'slipped' })),
      pull(9, 0, { loadN: 170 }),
    ]
    const { posterior, prior } = lesson(pulls)
    expect(posterior.mean).toBeCloseTo(60 / (30 * LB), 12)
    expect(posterior.mean).toBeLessThan(prior.mean)
    expect(ownConnections(catalogue, pulls)).toMatchObject([{ mean: expect.closeTo(60 / (30 * LB), 12), slipped: 9, tests: 10 }])
    // One slip in ten is no such knot: it counts as what it held, like a break.
    const rarely = [pull(0, 0.5, { parted: 'slipped' }), ...Array.from({ length: 9 }, (_, i) => pull(i + 1, 0.85))]
    expect(lesson(rarely).posterior.mean).toBeGreaterThan(0.75)
  })

  test('one far from the others is marked and still counts', () => {
    const alike = Array.from({ length: 3 }, (_, i) => pull(i, 0.84 + 0.01 * (i % 3)))
    const odd = lesson([...alike, pull(99, 0.35)])
    expect(odd.breaks.filter(({ farOff }) => farOff).map(({ pull: { id } }) => id)).toEqual([idOf(99)])
    expect(odd.posterior.mean).toBeLessThan(lesson(alike).posterior.mean)
  })

  test('what is taken back counts no more; of other knots and materials nothing does', () => {
    const back: Observation = { formatVersion: 1, kind: 'retraction', id: idOf(50), at: '2026-11-21T10:00:00.000Z', of: idOf(2) }
    const told: Observation[] = [pull(1, 0.8), pull(2, 0.4), back, pull(3, 0.5, { connection: 'palomar' })]
    const pulls = activePulls(told)
    expect(pulls.map(({ id }) => id)).toEqual([idOf(1), idOf(3)])
    expect(lesson(pulls).posterior).toEqual(lesson([pull(1, 0.8)]).posterior)
    expect(knotLesson(catalogue, pulls, 'uni', 'wire')).toBeUndefined()
  })

  test('laid over the catalogue it is everyone’s figure, never over the whole line', () => {
    const own = ownConnections(catalogue, [pull(1, 0.7), pull(2, 0.72), pull(3, 1.3, { connection: 'bimini' })])
    const over = withOwn(catalogue, own)
    expect(efficiencyOf(over, { connection: 'uni' }, 'mono')).toMatchObject({ tests: 2, origin: 'own' })
    expect(efficiencyOf(over, { connection: 'uni' }, 'mono')!.mean).toBe(lesson([pull(1, 0.7), pull(2, 0.72)]).posterior.mean)
    expect(efficiencyOf(over, { connection: 'bimini' }, 'mono')!.mean).toBe(1)
    expect(efficiencyOf(over, { connection: 'uni' }, 'fluoro')!.origin).toBe('nominal')
  })
})

test('own figures are those of the lessons, and each pull is held against all the others', () => {
  const shares = Array.from({ length: 40 }, (_, i) => 0.7 + 0.004 * ((i * 17) % 41))
  const pulls = [...shares.map((share, i) => pull(i, share)), pull(50, 0.9, { connection: 'palomar', material: 'braid' })]
  const [uni, palomar] = ownConnections(catalogue, pulls)
  const { posterior, breaks } = lesson(pulls)
  expect(uni).toMatchObject({ connection: 'uni', mean: posterior.mean, spread: posterior.variation, tests: 40 })
  expect(palomar).toMatchObject({ connection: 'palomar', material: 'braid', tests: 1 })
  // The slow way: leave one out and calculate everything from the rest.
  for (const [i, { share, farOff }] of breaks.entries()) {
    const { mean, variation } = lesson(pulls.filter((_, at) => at !== i)).posterior
    expect(farOff).toBe(Math.abs(share - mean) > 3 * variation * mean)
  }
})

test('twenty thousand pulls cost a small multiple of what two thousand cost (2026-11-29: a hundred times)', () => {
  const many = Array.from({ length: 20_000 }, (_, i) => pull(i, 0.7 + 0.2 * ((i * 0.618) % 1)))
  const few = many.slice(0, 2_000)
  const onceMs = (pulls: readonly Pull[]) => {
    const beganMs = performance.now()
    lesson(pulls)
    return performance.now() - beganMs
  }
  // Other work on the machine makes some rounds slower, never quicker.
  let [manyMs, fewMs] = [onceMs(many), onceMs(few)]
  for (let round = 0; round < 50 && manyMs / fewMs >= 40; round += 1)
    [manyMs, fewMs] = [Math.min(manyMs, onceMs(many)), Math.min(fewMs, onceMs(few))]
  expect(manyMs / fewMs).toBeLessThan(40)
})

import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { NOMINAL_CATALOGUE } from '../catalogue/catalogue.ts'
import type { Pull } from '../documents/observation.ts'
import { learnBetterRate } from '../statistics/rates.ts'
import { noCounts } from './counts.ts'
import { asOwn, fieldEfficiencies } from './fieldEfficiency.ts'
import { CALLED_BETTER, calledByChance, hoursToSettle, hoursToSettleFirst, lessonsOf } from './lessons.ts'
import { kindKey, kindOfKey } from './linkKinds.ts'
import { DEFAULT_PRIORS } from './priors.ts'
import { statementsOf } from './statements.ts'
import { addUp, type Sums } from './sums.ts'
import type { BrokenChain, Tally } from './tripTally.ts'
import { whatChanged } from './whatChanged.ts'

const nothing = (): Tally => ({ counts: [], breaks: [], chains: [], holds: [], hooked: [], unseen: 0, notPredicted: 0 })
const sumsOf = (...tallies: Partial<Tally>[]): Sums =>
  addUp(
    tallies.map((tally, i) => ({
      trip: { id: String(i), name: `trip ${i}`, date: '2026-11-01' },
      tally: { ...nothing(), ...tally },
    })),
  )
const lessons = (...tallies: Partial<Tally>[]) => lessonsOf(sumsOf(...tallies), DEFAULT_PRIORS)
const at = (mark: string, hours: number, snags: number): Tally['counts'] =>
  (['all', 'mark'] as const).map((by) => ({ by, value: by === 'all' ? 'all' : mark, counts: { ...noCounts(), hours, snags } }))

describe('sums', () => {
  const chance = fc.constantFrom(0.05, 0.2, 0.5)
  const tally = fc.record({
    counts: fc.array(
      fc.record({
        by: fc.constantFrom('mark' as const, 'bait' as const),
        value: fc.constantFrom('a', 'b'),
        counts: fc.record({ hours: fc.nat({ max: 9 }), casts: fc.nat({ max: 9 }) }).map((some) => ({ ...noCounts(), ...some })),
      }),
      { maxLength: 4 },
    ),
    breaks: fc.array(fc.record({ kind: fc.constantFrom('knot uni mono', 'line mono'), chance, happened: fc.boolean() }), {
      maxLength: 5,
    }),
    holds: fc.array(fc.record({ markId: fc.constantFrom('m', 'n'), chance, held: fc.boolean() }), { maxLength: 5 }),
  })

  test('have each count, break and hold of every trip once, and the trips they were in', () => {
    fc.assert(
      fc.property(fc.array(tally, { maxLength: 6 }), (tallies) => {
        const sums = sumsOf(...tallies)
        const total = (of: readonly number[]) => of.reduce((sum, each) => sum + each, 0)
        expect(total(sums.counts.map(({ counts }) => counts.hours))).toBe(
          total(tallies.flatMap(({ counts }) => counts.map((each) => each.counts.hours))),
        )
        expect(total(sums.breaks.map(({ of }) => of))).toBe(total(tallies.map(({ breaks }) => breaks.length)))
        expect(total(sums.breaks.map(({ happened }) => happened))).toBe(
          tallies.flatMap(({ breaks }) => breaks).filter(({ happened }) => happened).length,
        )
        expect(total(sums.holds.map(({ happened }) => happened))).toBe(
          tallies.flatMap(({ holds }) => holds).filter(({ held }) => held).length,
        )
        for (const { kind, trips } of sums.breaks)
          for (const trip of trips) expect(tallies[trip]!.breaks.some((each) => each.kind === kind && each.happened)).toBe(true)
      }),
      { numRuns: 60 },
    )
  })
})

describe('what stands out', () => {
  const breaks = (kind: string, chance: number, of: number, happened: number): Tally['breaks'] =>
    Array.from({ length: of }, (_, i) => ({ kind, chance, happened: i < happened }))

  test('a knot that breaks as often as predicted is not reported, one that breaks four times as often is', () => {
    const fair = breaks('knot uni mono', 0.4, 20, 8)
    expect(statementsOf(lessons({ breaks: fair }))).toEqual([])
    const [first, ...more] = statementsOf(lessons({ breaks: [...fair, ...breaks('knot snell mono', 0.1, 20, 8)] }))
    expect(first).toMatchObject({ kind: 'breaksMore', lesson: { value: 'knot snell mono', of: 20, happened: 8 } })
    expect(first!.lesson).toHaveProperty('expected', expect.closeTo(2, 9))
    expect(more).toEqual([])
  })

  test('the more kinds are looked at, the more it takes', () => {
    const worse = breaks('knot snell mono', 0.2, 14, 7)
    const isTold = (others: number) =>
      statementsOf(
        lessons({ breaks: [...worse, ...Array.from({ length: others }, (_, i) => breaks(`part ${i}`, 0.2, 14, 3)).flat()] }),
      ).length > 0
    expect([isTold(0), isTold(40)]).toEqual([true, false])
  })

  test('a mark that snags more than the others is reported once, with their hours beside it', () => {
    const told = statementsOf(lessons({ counts: at('reef', 20, 12) }, { counts: at('beach', 60, 4) }))
    expect(told).toMatchObject([
      { kind: 'losesMore', event: 'snags', lesson: { value: 'reef' }, others: { events: 4, hours: 60 } },
    ])
    expect(statementsOf(lessons({ counts: at('reef', 20, 2) }, { counts: at('beach', 60, 4) }))).toEqual([])
    // The bottom of the mark says the same again; it is not told.
    const withBottom = (mark: string, bed: string, hours: number, snags: number): Tally['counts'] => [
      ...at(mark, hours, snags),
      { by: 'bed', value: bed, counts: { ...noCounts(), hours, snags } },
    ]
    const both = statementsOf(
      lessons({ counts: withBottom('reef', 'rock', 20, 12) }, { counts: withBottom('beach', 'sand', 60, 4) }),
    )
    expect(both.map(({ lesson }) => lesson.value)).toEqual(['reef'])
  })

  test('a mark that loses sinkers and traces with its snags is reported once', () => {
    const lossy = at('reef', 20, 12).map((each) => ({ ...each, counts: { ...each.counts, sinkersLost: 10, tracesLost: 8 } }))
    expect(statementsOf(lessons({ counts: lossy }, { counts: at('beach', 60, 2) }))).toHaveLength(1)
  })

  test('a bait that brings more bites is reported, but not where it is one of a hundred', () => {
    const baits = (others: number): Tally['counts'] => {
      const bait = (value: string, bites: number) => ({ by: 'bait' as const, value, counts: { ...noCounts(), hours: 10, bites } })
      const all = {
        by: 'all' as const,
        value: 'all',
        counts: { ...noCounts(), hours: 10 * (1 + others), bites: 22 + 8 * others },
      }
      return [all, bait('crab', 22), ...Array.from({ length: others }, (_, i) => bait(`bait ${i}`, 8))]
    }
    const told = (others: number) => statementsOf(lessons({ counts: baits(others) })).map(({ lesson }) => lesson.value)
    expect([told(4), told(100)]).toEqual([['crab'], []])
  })

  test('a trip that tips the balance is what made the knot stand out; without more trips nothing changed', () => {
    const before = lessons({ breaks: breaks('knot snell mono', 0.1, 10, 2) })
    const after = lessons({ breaks: breaks('knot snell mono', 0.1, 10, 2) }, { breaks: breaks('knot snell mono', 0.1, 4, 4) })
    expect(whatChanged(before, after)).toMatchObject([
      { kind: 'standsOut', statement: { lesson: { value: 'knot snell mono', happened: 6 } } },
    ])
    expect(whatChanged(after, after)).toEqual([])
    expect(whatChanged(after, before)[0]).toMatchObject({ kind: 'noLonger' })
  })

  test('a trip says how its holds, breaks and losses moved those of before; a mark that was not fished is not named', () => {
    const holds = (held: boolean[]) => held.map((each) => ({ markId: 'reef', chance: 0.5, held: each }))
    const first = { counts: [...at('reef', 10, 1), ...at('beach', 10, 1).slice(1)], holds: holds([true, false]) }
    const second = { counts: at('reef', 5, 1), holds: holds([true]), breaks: breaks('knot uni mono', 0.5, 1, 1) }
    const changes = whatChanged(lessons(first), lessons(first, second))
    expect(changes.map(({ kind }) => kind)).toEqual(['breaks', 'holding', 'losses', 'losses', 'losses'])
    expect(changes[0]).toMatchObject({ before: undefined, after: { happened: 1, of: 1 } })
    expect(changes[1]).toMatchObject({ before: { happened: 1, of: 2 }, after: { happened: 2, of: 3 } })
    expect(changes.slice(2)).toMatchObject([
      { event: 'snags', before: { counts: { hours: 10, snags: 1 } }, after: { value: 'reef', counts: { hours: 15, snags: 2 } } },
      { event: 'sinkersLost', after: { value: 'reef' } },
      { event: 'tracesLost', after: { value: 'reef' } },
    ])
    // A kind that was in a break and did not break first is not named.
    const idle = { breaks: [...breaks('knot uni mono', 0.5, 1, 1), ...breaks('line mono', 0.1, 1, 0)] }
    expect(
      whatChanged(lessons({}), lessons(idle)).map((change) => 'after' in change && 'value' in change.after && change.after.value),
    ).toEqual(['knot uni mono'])
  })
})

test('chances that come true as often as they say lie on the diagonal; the Brier score is that of the chances', () => {
  const holds = [0.25, 0.75].flatMap((chance) =>
    Array.from({ length: 40 }, (_, i) => ({ markId: 'm', chance, held: i < 40 * chance })),
  )
  const { bins, of, brier } = lessons({ holds }).calibration.holds
  expect(of).toBe(80)
  for (const bin of bins) expect(bin.happened / bin.of).toBeCloseTo(bin.said, 9)
  expect(bins.map(({ from, to }) => [from, to])).toEqual([
    [0.2, 0.3],
    [0.7, 0.8],
  ])
  expect(brier).toBeCloseTo(0.25 * 0.75, 9)
})

test('of the fish on a hook those that were hooked in the lip or foul were not hooked deep', () => {
  const hooked = (['deep', 'lip', 'lip', 'lip', 'foul', 'foul'] as const).map((where) => ({ hook: 'j', where }))
  const [of] = lessons({ hooked }, { hooked: [{ hook: 'circle', where: 'lip' }] }).hooked
  expect(of).toMatchObject({ hook: 'j', lip: 3, deep: 1, foul: 2 })
  expect(of!.deepShare.mean).toBeCloseTo(2 / 8, 12)
})

test('hours to settle are fewer the larger the difference is, none where it is settled, unknown where there is none', () => {
  const prior = DEFAULT_PRIORS.fish
  const to = (events: number) => hoursToSettle({ events, exposure: 10 }, { events: 10, exposure: 10 }, prior)
  expect(to(30)).toBe(0)
  expect(to(10)).toBeUndefined()
  expect(to(12)!).toBeGreaterThan(to(13)!)
  // Fished so much longer, with the same rates, it is settled, and was not much before.
  const after = (hours: number) => {
    const times = 1 + hours / 20
    const [a, b] = [13, 10].map((events) => ({ events: events * times, exposure: 10 * times }))
    return learnBetterRate({ priorEvents: prior.events, priorExposure: prior.hours, a: a!, b: b! }).probability
  }
  expect(after(to(13)!)).toBeGreaterThanOrEqual(CALLED_BETTER)
  expect(after(0.7 * to(13)!)).toBeLessThan(CALLED_BETTER)
})

test('of a dimension the value that differs most is the one to settle; alone it has nothing to differ from', () => {
  const water = (value: string, hours: number, bites: number): Tally['counts'][number] => ({
    by: 'tide',
    value,
    counts: { ...noCounts(), hours, bites },
  })
  const bites = (counts: Tally['counts']) => lessons({ counts }).fish.find(({ event }) => event === 'bites')!
  const three = bites([water('slack', 10, 4), water('rising', 10, 13), water('falling', 10, 9)])
  const prior = DEFAULT_PRIORS.fish
  const apart = (events: number) => hoursToSettle({ events, exposure: 10 }, { events: 26 - events, exposure: 20 }, prior)
  expect(hoursToSettleFirst(three, 'tide', prior)).toBe(apart(4))
  expect(hoursToSettleFirst(bites([water('slack', 10, 4)]), 'tide', prior)).toBe('nothing')
  expect(calledByChance(20)).toBeCloseTo(4, 12)
})

test('the key of a kind of link reads back', () => {
  for (const kind of [
    { of: 'knot', connection: 'snell', material: 'mono' },
    { of: 'knot', connection: 'crimpLoop' },
    { of: 'line', material: 'braid' },
    { of: 'part', part: 'swivel' },
  ] as const)
    expect(kindOfKey(kindKey(kind))).toEqual(kind)
})

describe('breaks on the water and the strength of a knot', () => {
  const LINE = { id: 'leader', meanN: 100, variation: 0.03 }
  const knot = (id: 'uni' | 'snell', efficiency: number) => ({
    kind: `knot ${id} mono`,
    failing: [{ id, line: 'leader', efficiency, variation: 0.06 }],
  })
  const links = [
    { kind: 'line mono', failing: [LINE] },
    knot('uni', NOMINAL_CATALOGUE.connections.uni.efficiency.mono!),
    knot('snell', NOMINAL_CATALOGUE.connections.snell.efficiency.mono!),
  ]
  const broke = (first: number, times: number): BrokenChain[] => Array.from({ length: times }, () => ({ links, first }))
  const efficiencyOf = (id: string, chains: BrokenChain[], pulls: Pull[] = []) =>
    fieldEfficiencies(sumsOf({ chains }), NOMINAL_CATALOGUE, pulls).find(({ connection }) => connection === id)!

  test('a knot that always breaks first is thought weaker, one beside it stronger, and more so with more breaks', () => {
    const [few, many] = [3, 12].map((times) => efficiencyOf('snell', broke(2, times)))
    expect(few!.field.mean).toBeLessThan(few!.tested.mean)
    expect(many!.field.mean).toBeLessThan(few!.field.mean)
    expect(many).toMatchObject({ chains: 12, wentFirst: 12 })
    const other = efficiencyOf('uni', broke(2, 12))
    expect(other.field.mean).toBeGreaterThan(other.tested.mean)
  })

  test('only the breaks of the knot itself are its own, and what is laid over the catalogue says what it rests on', () => {
    const mixed = efficiencyOf('snell', [...broke(1, 4), ...broke(2, 3)])
    expect(mixed).toMatchObject({ chains: 7, wentFirst: 3, pulls: 0, slipped: 0 })
    expect(asOwn(mixed)).toEqual({
      connection: 'snell',
      material: 'mono',
      mean: mixed.field.mean,
      spread: mixed.tested.variation,
      tests: 0,
      breaks: 7,
    })
    expect(asOwn({ ...mixed, slipped: 2 })).toHaveProperty('slipped', 2)
  })

  test('without a break nothing is said; breaks as often as predicted hardly move it; pull tests hold it', () => {
    expect(fieldEfficiencies(sumsOf({}), NOMINAL_CATALOGUE, [])).toEqual([])
    const fair = efficiencyOf('uni', [...broke(1, 7), ...broke(2, 3)])
    expect(Math.abs(fair.field.mean - fair.tested.mean)).toBeLessThan(0.02)
    const pulls = Array.from(
      { length: 20 },
      (_, i): Pull => ({
        formatVersion: 1,
        kind: 'pull',
        id: `00000000-0000-4000-8000-${String(i).padStart(12, '0')}`,
        at: '2026-11-01T00:00:00.000Z',
        connection: 'snell',
        material: 'mono',
        lineN: 100,
        wet: false,
        loadN: 90,
        parted: 'knot',
      }),
    )
    const shift = (of: Pull[]) => {
      const { field, tested } = efficiencyOf('snell', broke(2, 6), of)
      return tested.mean - field.mean
    }
    expect(shift(pulls)).toBeLessThan(shift([]) / 2)
  })
})

import { beforeAll, describe, expect, test } from 'vitest'
import { draftOf } from '../../../tests/fixtures/drafts.ts'
import { braidOutfit } from '../../../tests/fixtures/outfits.ts'
import { catalogue } from '../../../tests/fixtures/setups.ts'
import { HOUR_MS, MARK, tideOfDay } from '../../../tests/fixtures/tides.ts'
import { defaultConditions } from '../documents/conditions.ts'
import type { Hold } from '../documents/observation.ts'
import { learnedHolding } from '../learning/markLessons.ts'
import { heightAtM, tideHourAt } from '../physics/tide/tideSpan.ts'
import type { Owned } from '../setup/owned.ts'
import { prepareSetup } from '../setup/prepareSetup.ts'
import { minimumSinker } from '../setup/settling/minimumSinker.ts'
import { settlingOf } from '../setup/settling/settling.ts'
import { atMark, streamAt, type Wind } from './atMark.ts'
import { type Plan, type PlanInput, planDay, planLegs } from './planDay.ts'
import { slacksOf, streamThrough } from './streamThrough.ts'
import { tideAtMark } from './tideAtMark.ts'

const outfit = braidOutfit(50)
const ledger = { ...draftOf('runningLedger', outfit, { ...defaultConditions(), castStyle: 'none' }), outfit, catalogue }
const tide = tideOfDay('2026-11-24')
const BOX: Owned[] = [0.115, 0.17, 0.23, 0.34, 0.45, 0.68, 0.9, 1.36].map((massKg) => ({ shape: 'pear', massKg }))
const day: PlanInput = {
  setup: ledger,
  mark: MARK,
  holds: [],
  tide,
  winds: [],
  fromMs: tide.startMs,
  toMs: tide.endMs,
  owned: BOX,
  way: 'lightest',
}
const blow = (speedMperS: number, fromDeg: number): Wind[] =>
  [tide.startMs, tide.endMs + HOUR_MS].map((timeMs) => ({ timeMs, speedMperS, fromDeg }))

describe('a mark at an instant', () => {
  test('the tide stands on the depth at datum, and high water comes later by the mark’s own delay', () => {
    const now = atMark(MARK, tide, [], tide.startMs + 5 * HOUR_MS)
    expect(now.depthM).toBeCloseTo(MARK.depthM + now.heightM, 9)
    const later = tideAtMark({ ...MARK, highWaterAfterMin: 90 }, tide)
    const late = atMark(MARK, later, [], tide.startMs + 6.5 * HOUR_MS)
    expect(late.stream.rateMperS).toBeCloseTo(now.stream.rateMperS, 9)
    expect(late.heightM).toBeCloseTo(now.heightM, 9)
  })

  test('a printed table counts where it reaches, the port’s prediction before and after it', () => {
    const port = tide.turns.filter(({ timeMs }) => timeMs >= tide.startMs && timeMs <= tide.endMs)
    const rows = port.map(({ timeMs, heightM }) => ({ at: new Date(timeMs + 600_000).toISOString(), heightM: heightM + 0.3 }))
    const here = tideAtMark({ ...MARK, heights: rows }, tide)
    const kinds = here.turns.map(({ kind }) => kind)
    for (const [i, kind] of kinds.entries()) if (i > 0) expect(kind).not.toBe(kinds[i - 1])
    expect(here.turns).toHaveLength(tide.turns.length)
    const middle = (Date.parse(rows[0]!.at) + Date.parse(rows[1]!.at)) / 2
    expect(heightAtM(here, middle)).toBeCloseTo((rows[0]!.heightM + rows[1]!.heightM) / 2, 2)
    expect(heightAtM(here, port[0]!.timeMs - HOUR_MS)).toBeCloseTo(heightAtM(tide, port[0]!.timeMs - HOUR_MS), 9)
  })

  test('wind against the stream is noted, wind with it or across it is not, nor a breath', () => {
    const timeMs = streamThrough(MARK, tide, tide.startMs, tide.endMs, 600).toSorted((a, b) => b.rateMperS - a.rateMperS)[0]!
      .timeMs
    const { directionDeg } = atMark(MARK, tide, [], timeMs).stream
    const over = (speed: number, off: number) => atMark(MARK, tide, blow(speed, directionDeg! + off), timeMs).windOverTide
    expect([over(9, 0), over(9, 59), over(9, -59), over(9, 61), over(9, 180)]).toEqual([true, true, true, false, false])
    expect([over(5, 0), over(4.9, 0)]).toEqual([true, false])
  })

  test('past the ends of its table the stream passes from the last row to the first', () => {
    const mark = {
      ...MARK,
      stream: MARK.stream.map((row) => ({
        ...row,
        directionDeg: 90,
        springMperS: row.hour === -6 ? 0.2 : 1,
        neapMperS: row.hour === -6 ? 0.2 : 1,
      })),
    }
    const past = Array.from({ length: 1440 }, (_, minute) => tide.startMs + minute * 60_000)
      .map((timeMs) => ({ hour: tideHourAt(tide, timeMs).hour, rate: streamAt(mark, tide, timeMs).rateMperS }))
      .filter(({ hour }) => Math.abs(hour) > 6)
    expect(past.length).toBeGreaterThan(10)
    // 12.42 h from one high water to the next leave 0.42 h for the change.
    const share = (hour: number) => (hour > 0 ? hour - 6 : hour + 6.42) / 0.42
    for (const { hour, rate } of past) expect(rate).toBeCloseTo(1 - 0.8 * share(hour), 1)
  })

  test('wind between hours is turned the short way', () => {
    const winds = [
      { timeMs: tide.startMs, speedMperS: 6, fromDeg: 350 },
      { timeMs: tide.endMs, speedMperS: 6, fromDeg: 10 },
    ]
    const { wind } = atMark(MARK, tide, winds, (tide.startMs + tide.endMs) / 2)
    expect(Math.min(wind!.fromDeg, 360 - wind!.fromDeg)).toBeLessThan(1e-6)
  })

  test('adrift in a calm the boat goes with the surface; the wind adds three hundredths of its speed', () => {
    const drift = { ...MARK, method: 'drift' as const }
    const timeMs = tide.startMs + 4 * HOUR_MS
    const calm = atMark(drift, tide, [], timeMs)
    expect(calm.water).toMatchObject({ driftMperS: calm.stream.rateMperS, driftAcrossMperS: 0 })
    const { directionDeg, rateMperS } = calm.stream
    const across = atMark(drift, tide, blow(10, directionDeg! + 90), timeMs).water
    expect(across.driftMperS).toBeCloseTo(rateMperS, 9)
    expect(Math.abs(across.driftAcrossMperS)).toBeCloseTo(0.3, 9)
    expect(atMark(drift, tide, blow(10, directionDeg!), timeMs).water.driftMperS).toBeCloseTo(rateMperS - 0.3, 9)
  })

  test('slack comes four times a day here, weak between stronger runs', () => {
    const points = streamThrough(MARK, tide, tide.startMs, tide.endMs, 300)
    const slacks = slacksOf(points)
    expect(slacks.length).toBeGreaterThanOrEqual(3)
    expect(slacks.length).toBeLessThanOrEqual(5)
    const peak = Math.max(...points.map(({ rateMperS }) => rateMperS))
    for (const { rateMperS } of slacks) expect(rateMperS).toBeLessThan(0.4 * peak)
  })
})

describe('the plan of a day', () => {
  let plan: Plan
  const shares: number[] = []
  beforeAll(() => {
    plan = planDay(day, (share) => shares.push(share))
  })

  test('has a row for each half hour, and tells how far it is', () => {
    expect(plan.rows).toHaveLength(48)
    expect(shares).toHaveLength(48)
    expect(shares.at(-1)).toBe(1)
    expect(plan.rows.map(({ timeMs }) => (timeMs - tide.startMs) / HOUR_MS).slice(0, 3)).toEqual([0, 0.5, 1])
  })

  test('what is taken holds with the reserve, and is the lightest of the box that does', () => {
    for (const { take, wanted, timeMs } of plan.rows) {
      const wantedKg = (wanted as { wantedKg: number }).wantedKg
      expect(take, new Date(timeMs).toISOString()).toEqual(BOX.find(({ massKg }) => massKg >= wantedKg))
    }
    expect(new Set(plan.rows.map(({ take }) => take?.massKg)).size).toBeGreaterThan(3)
  })

  test('fewest changes: what is taken still holds, no plan changes less for less, and a person can live with it', () => {
    const few = planDay({ ...day, way: 'fewest' })
    expect(few.counts).toEqual(plan.counts)
    expect(few.counts.fewest).toBeLessThan(few.counts.lightest / 2)
    // Each change is in the list, with the first sinker and the times when none holds.
    const named = few.changes.flatMap(({ to }) => (to ? [to.massKg] : []))
    expect(named.filter((kg, i) => i > 0 && kg !== named[i - 1])).toHaveLength(few.counts.fewest)
    for (const { take, wanted } of few.rows)
      if (take) expect(take.massKg).toBeGreaterThanOrEqual((wanted as { wantedKg: number }).wantedKg)
    // By hand: the cost of the plan, against one sinker all day, the lightest each time, and every plan of one change.
    const lightest = plan.rows.map(({ take }) => take?.massKg)
    const cost = (takes: readonly (number | undefined)[]) => {
      const on = takes.flatMap((kg, i) => (kg === undefined ? [] : [{ kg, leastKg: lightest[i] ?? kg }]))
      return on.reduce((sum, { kg, leastKg }, i) => sum + Math.log(kg / leastKg) + (i > 0 && kg !== on[i - 1]!.kg ? 6 : 0), 0)
    }
    const best = cost(few.rows.map(({ take }) => take?.massKg))
    expect(best).toBeLessThanOrEqual(cost(lightest))
    const heavy = Math.max(...lightest.map((kg) => kg ?? 0))
    const all = lightest.map((kg) => (kg === undefined ? undefined : heavy))
    expect(best).toBeLessThanOrEqual(cost(all) + 1e-9)
    for (let at = 1; at < lightest.length; at += 1) {
      const most = (part: (number | undefined)[]) => Math.max(...part.map((kg) => kg ?? 0))
      const [early, late] = [most(lightest.slice(0, at)), most(lightest.slice(at))]
      expect(best).toBeLessThanOrEqual(cost(lightest.map((kg, i) => kg && (i < at ? early : late))) + 1e-9)
    }
  })

  test('a plan of the hours fished knows nothing of the rest of the day', () => {
    const hours = { fromMs: tide.startMs + 6 * HOUR_MS, toMs: tide.startMs + 10 * HOUR_MS }
    const { rows } = planDay({ ...day, ...hours })
    expect(rows).toHaveLength(8)
    expect(rows.map(({ take }) => take)).toEqual(plan.rows.slice(12, 20).map(({ take }) => take))
  })

  test('follows the stream: the weights wanted run in the order of the rates, near enough', () => {
    const wantedKg = ({ wanted }: Plan['rows'][number]) => (wanted as { wantedKg: number }).wantedKg
    const inOrder = plan.rows.toSorted((a, b) => a.stream.rateMperS - b.stream.rateMperS)
    const quarter = (from: number) => inOrder.slice(from, from + 12).reduce((sum, row) => sum + wantedKg(row), 0)
    expect(quarter(0)).toBeLessThan(quarter(12))
    expect(quarter(12)).toBeLessThan(quarter(24))
    expect(quarter(24)).toBeLessThan(quarter(36))
  })

  test('a change to a heavier sinker comes while the old one holds still, to the five minutes', () => {
    const prepared = prepareSetup(ledger)
    const requiredSinkerAt = (timeMs: number) => {
      const least = minimumSinker(settlingOf(prepared, atMark(MARK, tide, [], timeMs).water)!)
      return ('kgFor' in least ? least.kgFor(1) : Number.POSITIVE_INFINITY) * learnedHolding(catalogue, MARK, []).reserve
    }
    const heavier = plan.changes.filter(({ from, to }) => from && to && to.massKg > from.massKg)
    expect(heavier.length).toBeGreaterThan(2)
    for (const { timeMs, from } of heavier) {
      expect(timeMs % 300_000).toBe(0)
      expect(requiredSinkerAt(timeMs)).toBeLessThanOrEqual(from!.massKg)
      expect(requiredSinkerAt(timeMs + 300_000)).toBeGreaterThan(from!.massKg)
    }
    expect(plan.changes[0]).toEqual({ timeMs: tide.startMs, from: undefined, to: plan.rows[0]!.take })
  })

  test('a box with nothing heavy enough says so and still says what is wanted', () => {
    const small = planDay({ ...day, owned: BOX.slice(0, 2) })
    const without = small.rows.filter(({ take }) => !take)
    expect(without.length).toBeGreaterThan(4)
    for (const { wanted } of without) expect(wanted).toHaveProperty('wantedKg')
    expect(small.changes.some(({ to }) => to === undefined)).toBe(true)
    expect(planDay({ ...day, owned: [] }).rows.every(({ take }) => !take)).toBe(true)
  })

  test('days with a clock change have 46 and 50 half hours', () => {
    for (const [date, count] of [
      ['2026-03-29', 46],
      ['2026-10-25', 50],
    ] as const) {
      const changed = tideOfDay(date, 'Europe/London')
      expect(planDay({ ...day, tide: changed, fromMs: changed.startMs, toMs: changed.endMs }).rows).toHaveLength(count)
    }
  })

  test('from the shore a wired grip serves with less than a bomb; what was learned at the mark counts', () => {
    const shore = { ...MARK, method: 'shore' as const, scope: 1.05, distanceM: 150 }
    const mixed: Owned[] = [
      { shape: 'bomb', massKg: 0.15 },
      { shape: 'gripWire', massKg: 0.151 },
    ]
    const { rows } = planDay({ ...day, mark: shore, owned: mixed })
    expect(rows.some(({ take }) => take?.shape === 'gripWire')).toBe(true)
    const dragged = (hour: number): Hold => ({
      formatVersion: 1,
      id: `0000000${hour}-0000-4000-8000-000000000000`,
      kind: 'hold',
      at: `2026-11-01T0${hour}:00:00.000Z`,
      markId: '00000000-0000-4000-8000-000000000000',
      method: 'shore',
      shape: 'gripWire',
      massKg: 0.15,
      demand: 0.5,
      held: false,
    })
    const poor = planDay({ ...day, mark: shore, holds: [1, 2, 3, 4, 5].map(dragged), owned: mixed })
    const held = (plan: Plan) => plan.rows.filter(({ take }) => take).length
    expect(held(poor)).toBeLessThan(rows.filter(({ take }) => take).length)
  })

  test('by every method each row is a figure or a sentence, never NaN; a trace that nothing takes down says so', () => {
    for (const method of ['anchor', 'uptide', 'drift', 'shore'] as const) {
      const { rows } = planDay({ ...day, mark: { ...MARK, method, scope: 1.15, distanceM: 45 }, winds: blow(8, 200) })
      for (const { wanted } of rows)
        if ('wantedKg' in wanted) expect(Number.isFinite(wanted.wantedKg), method).toBe(true)
        else expect(wanted.trouble.length).toBeGreaterThan(10)
    }
    const bare = {
      ...ledger,
      trace: { ...ledger.trace, pieces: ledger.trace.pieces.filter(({ role }) => role !== 'sinker' && role !== 'bait') },
    }
    expect(planDay({ ...day, setup: bare }).rows[0]).toMatchObject({ take: undefined, wanted: { trouble: expect.any(String) } })
  })
})

describe('a plan over several marks', () => {
  const noonMs = tide.startMs + 12 * HOUR_MS
  const leg = (from: number, to: number, mark = MARK) => ({
    ...day,
    mark,
    fromMs: tide.startMs + from * HOUR_MS,
    toMs: tide.startMs + to * HOUR_MS,
  })

  test('at one mark cut in two is that of the mark', () => {
    const [whole, cut] = [planLegs([leg(6, 18)], 'fewest'), planLegs([leg(6, 12), leg(12, 18)], 'fewest')]
    expect(cut.rows.map(({ timeMs, take }) => [timeMs, take?.massKg])).toEqual(
      whole.rows.map(({ timeMs, take }) => [timeMs, take?.massKg]),
    )
    expect(cut.counts).toEqual(whole.counts)
  })

  test('changes on arriving where the next mark wants another; never more often than the marks by themselves and one between', () => {
    const deeper = { ...MARK, depthM: 3 * MARK.depthM }
    const still = { ...MARK, stream: MARK.stream.map((row) => ({ ...row, springMperS: 0, neapMperS: 0 })) }
    const arrival = planLegs([leg(8.75, 9.75), leg(9.75, 10.75, still)], 'lightest').changes.at(-1)!
    expect([arrival.timeMs - tide.startMs, arrival.to]).toEqual([9.75 * HOUR_MS, BOX[0]])
    const both = planLegs([leg(6, 12), leg(12, 18, deeper)], 'fewest')
    const alone = [planLegs([leg(6, 12)], 'fewest'), planLegs([leg(12, 18, deeper)], 'fewest')]
    expect(both.counts.fewest).toBeLessThanOrEqual(alone[0]!.counts.fewest + alone[1]!.counts.fewest + 1)
    const last = both.rows.filter(({ timeMs }) => timeMs < noonMs).at(-1)!.take?.massKg
    const first = both.rows.find(({ timeMs }) => timeMs >= noonMs)!.take?.massKg
    if (first !== last) expect(both.changes.map(({ timeMs }) => timeMs)).toContain(noonMs)
    for (const { take, wanted } of both.rows) if (take) expect('wantedKg' in wanted && take.massKg >= wanted.wantedKg).toBe(true)
  })
})

import type { Mark } from '../documents/mark.ts'
import type { Hold } from '../documents/observation.ts'
import { learnedHolding } from '../learning/markLessons.ts'
import type { TideSpan } from '../physics/tide/tideSpan.ts'
import type { Owned } from '../setup/owned.ts'
import { type Settling, settlingOf, weightOfSinker } from '../setup/settling/settling.ts'
import type { Setup } from '../setup/setup.ts'
import { type AtMark, atMark, type Wind } from './atMark.ts'
import { holdingOf, type RequiredSinker, requiredSinkerAt } from './holding.ts'
import { preparedWithSinker } from './preparedWithSinker.ts'

export type PlanInput = {
  setup: Setup
  mark: Mark
  /** What was seen to hold and drag at the mark. */
  holds: readonly Hold[]
  /** Undefined where it is unknown. */
  tide: TideSpan | undefined
  winds: readonly Wind[]
  fromMs: number
  toMs: number
  owned: readonly Owned[]
  way: Way
}

/** What a plan is for: few changes, or never more lead than holds. */
export const WAYS = ['fewest', 'lightest'] as const
export type Way = (typeof WAYS)[number]

export type PlanRow = AtMark & {
  /** For the sinker taken, or where none of the box holds for the kind that comes closest. */
  wanted: RequiredSinker
  take: Owned | undefined
}
/** A change to another sinker, to the five minutes; `to` is undefined where none of the box holds any more. */
export type Change = { timeMs: number; from: Owned | undefined; to: Owned | undefined }
/** `counts`: how many changes each way asks for. */
export type Plan = { rows: PlanRow[]; changes: Change[]; counts: Record<Way, number> }

const STEP_MS = 30 * 60_000
const CHANGE_MS = 5 * 60_000

/** What a change costs, in half hours of carrying e times the lightest that holds: one is made to be rid of twice the lead for four hours. Ours. */
const COST_OF_CHANGE: Record<Way, number> = { fewest: 6, lightest: 0.01 }

/**
 * The sinker for each half hour of the hours fished at a mark, from those owned, and when to change. Over the whole session the changes
 * and what is carried beyond the lightest that holds cost the least together; what is taken always holds, where any does.
 * @param onRow called after each half hour, with the share that is done.
 * @throws CoreError where the outfit's spool does not hold, or the tide is not known.
 */
export const planDay = (input: PlanInput, onRow: (share: number) => void = () => {}): Plan => planLegs([input], input.way, onRow)

/** The time at one mark of several: what a plan of a day is made from. */
export type Leg = Omit<PlanInput, 'way'>

/**
 * The same over several marks, one after another: the fewest changes over the whole of it. A sinker that still holds at the next mark
 * stays on.
 */
export function planLegs(legs: readonly Leg[], way: Way, onRow: (share: number) => void = () => {}): Plan {
  const steps = legs.flatMap((leg) => {
    const judge = judgeOf(leg)
    const count = Math.max(0, Math.ceil((leg.toMs - leg.fromMs) / STEP_MS))
    return Array.from({ length: count }, (_, i) => ({ timeMs: leg.fromMs + i * STEP_MS, judge, isArrival: i === 0 }))
  })
  const judged = steps.map(({ timeMs, judge }, i) => {
    const one = judge(timeMs)
    onRow((i + 1) / steps.length)
    return one
  })
  const taken = Object.fromEntries(WAYS.map((each) => [each, takesOf(judged, COST_OF_CHANGE[each])])) as Record<Way, Take[]>
  const rows = judged.map((each, i): PlanRow => {
    const take = taken[way][i]
    return { ...each.now, take, wanted: each.wantedOf(take) }
  })
  const counts = Object.fromEntries(WAYS.map((each) => [each, changesIn(taken[each])])) as Record<Way, number>
  return { rows, changes: changesOf(rows, steps), counts }
}

type Take = Owned | undefined

/** Changes between sinkers; while none holds, what was on stays on. */
function changesIn(takes: readonly Take[]): number {
  const on = takes.filter((take) => take !== undefined)
  return on.filter((take, i) => i > 0 && !isSame(take, on[i - 1])).length
}

/** One sinker of those that hold for each half hour, at the least cost over all: the cheapest way through the half hours in which any does. */
function takesOf(judged: readonly JudgedTime[], changeCost: number): Take[] {
  type Course = { cost: number; take: Owned; before?: Course }
  const least = (courses: readonly Course[], costOf: (course: Course) => number) =>
    courses.reduce<Course | undefined>((best, next) => (best && costOf(best) <= costOf(next) ? best : next), undefined)
  let courses: Course[] = []
  for (const { holding } of judged) {
    if (holding.length === 0) continue
    const lightestKg = Math.min(...holding.map(({ massKg }) => massKg))
    courses = holding.map((take): Course => {
      const carried = Math.log(take.massKg / lightestKg)
      const costFrom = (course: Course) => course.cost + (isSame(course.take, take) ? 0 : changeCost)
      const before = least(courses, costFrom)
      return before ? { cost: costFrom(before) + carried, take, before } : { cost: carried, take }
    })
  }
  const taken: Owned[] = []
  for (let at = least(courses, ({ cost }) => cost); at; at = at.before) taken.unshift(at.take)
  return judged.map(({ holding }) => (holding.length > 0 ? taken.shift() : undefined))
}

type JudgedTime = {
  now: AtMark
  holds: (sinker: Owned) => boolean
  /** Those of the box that hold, the lightest first. */
  holding: readonly Owned[]
  wantedOf: (sinker: Owned | undefined) => RequiredSinker
}

type Judge = (timeMs: number) => JudgedTime

/** What holds at an instant. */
function judgeOf({ setup, mark, holds, tide, winds, owned }: Leg): Judge {
  const prepared = preparedWithSinker(setup)
  const wantedIn = requiredSinkerAt(learnedHolding(setup.catalogue, mark, holds))
  const box = owned.toSorted((a, b) => a.massKg - b.massKg)
  return (timeMs) => {
    const now = atMark(mark, tide, winds, timeMs)
    const settling = settlingOf(prepared, now.water)
    if (!settling) return { now, holds: () => false, holding: [], wantedOf: () => ({ trouble: NOTHING_DOWN }) }
    const wanted = wantedIn(asLead(settling))
    const doesHold = ({ shape, massKg }: Owned) => holdingOf(massKg, wanted(shape)) === 'holds'
    const best = box.toSorted((a, b) => kgOf(wanted(a.shape)) - kgOf(wanted(b.shape)))[0]
    return {
      now,
      holds: doesHold,
      holding: box.filter(doesHold),
      wantedOf: (sinker) => wanted((sinker ?? best ?? settling.weight).shape),
    }
  }
}

const NOTHING_DOWN = 'This trace does not sink: it has no sinker and no bait'

const kgOf = (wanted: RequiredSinker) => ('wantedKg' in wanted ? wanted.wantedKg : Number.POSITIVE_INFINITY)

/** A free line asked what lead would hold it. */
const asLead = (settling: Settling): Settling => ({ ...settling, weight: weightOfSinker(settling.catalogue, settling.weight) })

const isSame = (a: Owned | undefined, b: Owned | undefined) => a?.massKg === b?.massKg && a?.shape === b?.shape

/** The last change at or before an instant: what is on. */
export const changeAt = (changes: readonly Change[], timeMs: number) => changes.findLast((change) => change.timeMs <= timeMs)

/** What is on when some hours begin, and the changes in them. */
export function planChangesWithin(changes: readonly Change[], fromMs: number, toMs: number): Change[] {
  const on = changeAt(changes, fromMs)
  const later = changes.filter(({ timeMs }) => timeMs > fromMs && timeMs < toMs)
  return on ? [{ ...on, timeMs: fromMs }, ...later] : later
}

/**
 * The changes, the first sinker of the session among them: the last five minutes that the old one holds, or the first of a lighter one.
 * At another mark the change is made on arriving.
 */
function changesOf(rows: readonly PlanRow[], steps: readonly { judge: Judge; isArrival: boolean }[]): Change[] {
  return rows.flatMap((row, i): Change[] => {
    const before = rows[i - 1]
    const step = steps[i]
    if (i === 0) return [{ timeMs: row.timeMs, from: undefined, to: row.take }]
    if (!before || !step || isSame(before.take, row.take)) return []
    const change = { from: before.take, to: row.take }
    if (step.isArrival) return [{ timeMs: row.timeMs, ...change }]
    const heavier = !row.take || (before.take !== undefined && row.take.massKg > before.take.massKg)
    let [early, late] = [before.timeMs, row.timeMs]
    while (late - early > CHANGE_MS) {
      const middle = early + Math.floor((late - early) / 2 / CHANGE_MS) * CHANGE_MS
      const judged = step.judge(middle)
      const stays = heavier ? before.take && judged.holds(before.take) : row.take && !judged.holds(row.take)
      if (stays) early = middle
      else late = middle
    }
    return [{ timeMs: heavier ? early : late, ...change }]
  })
}

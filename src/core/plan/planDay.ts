import type { Mark } from '../documents/mark.ts'
import type { Hold } from '../documents/observation.ts'
import { learnedHolding } from '../learning/markLessons.ts'
import type { TideSpan } from '../physics/tide/tideSpan.ts'
import { type Settling, settlingOf, weightOfSinker } from '../setup/settling/settling.ts'
import type { Setup } from '../setup/setup.ts'
import { type AtMark, atMark, type Wind } from './atMark.ts'
import { holdingOf, type Wanted, wantedAt } from './holding.ts'
import type { Owned } from './owned.ts'
import { rigged } from './rigged.ts'

export type PlanInput = {
  setup: Setup
  mark: Mark
  /** What was seen to hold and drag at the mark. */
  holds: readonly Hold[]
  tide: TideSpan
  winds: readonly Wind[]
  fromMs: number
  toMs: number
  owned: readonly Owned[]
}

export type PlanRow = AtMark & {
  /** For the sinker taken, or where none of the box holds for the kind that comes closest. */
  wanted: Wanted
  take: Owned | undefined
}
/** A change to another sinker, to the five minutes; `to` is undefined where none of the box holds any more. */
export type Change = { timeMs: number; from: Owned | undefined; to: Owned | undefined }
export type Plan = { rows: PlanRow[]; changes: Change[] }

const STEP_MS = 30 * 60_000
const CHANGE_MS = 5 * 60_000

/**
 * The sinker for each half hour of a day at a mark, from those owned, and when to change. A sinker stays on while it holds; another
 * is taken when it must be, or when a lighter one serves for an hour.
 * @param onRow told after each half hour, with the share that is done.
 * @throws CoreError where the outfit's spool does not hold, or the tide is not known.
 */
export function planDay(input: PlanInput, onRow: (share: number) => void = () => {}): Plan {
  const judge = judgeOf(input)
  const times: number[] = []
  for (let timeMs = input.fromMs; timeMs < input.toMs; timeMs += STEP_MS) times.push(timeMs)
  const judged = times.map((timeMs, i) => {
    const one = judge(timeMs)
    onRow((i + 1) / times.length)
    return one
  })
  const rows: PlanRow[] = []
  for (const [i, each] of judged.entries()) {
    const take = nextTake(rows.at(-1)?.take, each, judged[i + 1])
    rows.push({ ...each.now, take, wanted: each.wantedOf(take) })
  }
  return { rows, changes: changesOf(rows, judge) }
}

/** What is on stays while it holds, unless a lighter one serves an hour; what is changed to serves an hour, where one does. */
function nextTake(before: Owned | undefined, now: Judged, next: Judged | undefined): Owned | undefined {
  const serving = now.holding.find((sinker) => !next || next.holds(sinker))
  if (!before || !now.holds(before)) return serving ?? now.holding[0]
  return serving && serving.massKg < before.massKg ? serving : before
}

type Judged = {
  now: AtMark
  holds: (sinker: Owned) => boolean
  /** Those of the box that hold, the lightest first. */
  holding: readonly Owned[]
  wantedOf: (sinker: Owned | undefined) => Wanted
}

/** What holds at an instant. */
function judgeOf({ setup, mark, holds, tide, winds, owned }: PlanInput): (timeMs: number) => Judged {
  const prepared = rigged(setup)
  const wantedIn = wantedAt(learnedHolding(setup.catalogue, mark, holds))
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

const NOTHING_DOWN = 'Nothing takes this trace down: it has neither a sinker nor a bait'

const kgOf = (wanted: Wanted) => ('wantedKg' in wanted ? wanted.wantedKg : Number.POSITIVE_INFINITY)

/** A free line asked what lead would hold it. */
const asLead = (settling: Settling): Settling => ({ ...settling, weight: weightOfSinker(settling.catalogue, settling.weight) })

const isSame = (a: Owned | undefined, b: Owned | undefined) => a?.massKg === b?.massKg && a?.shape === b?.shape

/** The last change at or before an instant: what is on. */
export const changeAt = (changes: readonly Change[], timeMs: number) => changes.findLast((change) => change.timeMs <= timeMs)

/** The changes, the first sinker of the day among them: the last five minutes that the old one holds, or the first of a lighter one. */
function changesOf(rows: readonly PlanRow[], judge: (timeMs: number) => Judged): Change[] {
  return rows.flatMap((row, i): Change[] => {
    const before = rows[i - 1]
    if (i === 0) return [{ timeMs: row.timeMs, from: undefined, to: row.take }]
    if (!before || isSame(before.take, row.take)) return []
    const heavier = !row.take || (before.take !== undefined && row.take.massKg > before.take.massKg)
    let [early, late] = [before.timeMs, row.timeMs]
    while (late - early > CHANGE_MS) {
      const middle = early + Math.floor((late - early) / 2 / CHANGE_MS) * CHANGE_MS
      const stays = heavier ? before.take && judge(middle).holds(before.take) : row.take && !judge(middle).holds(row.take)
      if (stays) early = middle
      else late = middle
    }
    return [{ timeMs: heavier ? early : late, from: before.take, to: row.take }]
  })
}

import { type Foretold, learnForetold } from '../statistics/foretold.ts'
import { type Estimate, learnBetterRate, learnRate, learnShare } from '../statistics/rates.ts'
import type { Counts, Dimension } from './counts.ts'
import type { Priors } from './priors.ts'
import type { CountsBy, PredictedSum, Sums } from './sums.ts'

/** From this probability on one rate is called higher than another. */
export const CALLED_BETTER = 0.9
/** A statement may be wrong this often, all that were looked at together. */
const MISTAKEN = 0.05

/** How many broke or held against how many were expected to. `trips` by their place in the sums. */
export type PredictedLesson = Foretold & {
  value: string
  of: number
  happened: number
  trips: number[]
  /** It stands out: more breaks than predicted, or fewer sinkers held, after as many looks as there were. */
  standsOut: boolean
}

/** A rate of one value of a dimension, and the chance that it is above that of all others. */
export type RateLesson = {
  by: Dimension
  value: string
  counts: Counts
  perHour: Estimate
  /** Casts were counted: the same events over them. */
  perCast: Estimate | undefined
  /** Undefined where there is nothing else. */
  aboveOthers: number | undefined
  trips: number[]
}

export const LOSSES = ['snags', 'sinkersLost', 'tracesLost'] as const
export type Loss = (typeof LOSSES)[number]
export const LOSS_DIMENSIONS = ['mark', 'bed', 'family'] as const
export const CATCHES = ['bites', 'missed', 'fish'] as const
export type Catch = (typeof CATCHES)[number]
export const CATCH_DIMENSIONS = ['tide', 'light', 'moon', 'bait', 'hook', 'trace', 'change'] as const

export type Rated<E extends string> = { event: E; all: RateLesson | undefined; rows: RateLesson[]; comparisons: number }
export type HookedLesson = { hook: string; lip: number; deep: number; foul: number; deepShare: Estimate }

/** A bin of chances that were said, and how often what they were said of happened. */
export type Bin = { from: number; to: number; said: number; of: number; happened: number; share: Estimate }
export type Calibration = { bins: Bin[]; of: number; brier: number | undefined }

export type Lessons = {
  breaks: PredictedLesson[]
  holding: PredictedLesson[]
  losses: Rated<Loss>[]
  fish: Rated<Catch>[]
  hooked: HookedLesson[]
  calibration: { breaks: Calibration; holds: Calibration }
}

/** All that the sums of trips teach. */
export function lessonsOf(sums: Sums, priors: Priors): Lessons {
  return {
    breaks: predictedBy(sums.breaks, ({ kind }) => kind, 'more'),
    holding: predictedBy(sums.holds, ({ markId }) => markId, 'fewer'),
    losses: LOSSES.map((event) => rated(sums, event, LOSS_DIMENSIONS, priors.losses)),
    fish: CATCHES.map((event) => rated(sums, event, CATCH_DIMENSIONS, priors.fish)),
    hooked: sums.hooked.map((each) => ({
      ...each,
      deepShare: learnShare({ priorYes: priors.share.yes, priorNo: priors.share.no, yes: each.deep, no: each.lip + each.foul }),
    })),
    calibration: { breaks: calibrationOf(sums.breaks, priors), holds: calibrationOf(sums.holds, priors) },
  }
}

/** Of each kind or mark, predictions against results; the most surprising first. */
function predictedBy<T extends PredictedSum & { trips: number[] }>(
  sums: readonly T[],
  nameOf: (sum: T) => string,
  surprising: 'more' | 'fewer',
): PredictedLesson[] {
  const values = [...new Set(sums.map(nameOf))]
  const lessons = values.map((value) => {
    const of = sums.filter((sum) => nameOf(sum) === value)
    const happened = of.reduce((sum, each) => sum + each.happened, 0)
    const chances = of.flatMap((each) => Array<number>(each.of).fill(each.chance))
    const trips = [...new Set(of.flatMap((each) => each.trips))].sort((a, b) => a - b)
    return { value, of: chances.length, happened, trips, ...learnForetold({ chances, happened }) }
  })
  const tail = (each: Foretold) => (surprising === 'more' ? each.atLeast : each.atMost)
  return lessons
    .map((each) => ({ ...each, standsOut: tail(each) * lessons.length <= MISTAKEN }))
    .toSorted((a, b) => tail(a) - tail(b) || b.of - a.of)
}

/** An event by each value of some dimensions, per hour and per cast, each against all other hours. */
function rated<E extends Loss | Catch>(
  sums: Sums,
  event: E,
  dimensions: readonly Dimension[],
  prior: Priors['losses'],
): Rated<E> {
  const asPrior = { priorEvents: prior.events, priorExposure: prior.hours }
  const lessonOf = ({ by, value, counts, trips }: CountsBy, others: readonly CountsBy[]): RateLesson => {
    const rest = others.reduce(
      (sum, each) => ({ events: sum.events + each.counts[event], exposure: sum.exposure + each.counts.hours }),
      { events: 0, exposure: 0 },
    )
    const own = { events: counts[event], exposure: counts.hours }
    return {
      by,
      value,
      counts,
      trips,
      perHour: learnRate({ ...asPrior, ...own }),
      // The same prior, at the casts that an hour has here.
      perCast:
        counts.casts > 0 && counts.hours > 0
          ? learnRate({
              priorEvents: prior.events,
              priorExposure: (prior.hours * counts.casts) / counts.hours,
              events: own.events,
              exposure: counts.casts,
            })
          : undefined,
      aboveOthers: others.length === 0 ? undefined : learnBetterRate({ ...asPrior, a: own, b: rest }).probability,
    }
  }
  const rows = dimensions.flatMap((by) => {
    const of = sums.counts.filter((each) => each.by === by)
    return of.map((each) =>
      lessonOf(
        each,
        of.filter((other) => other !== each),
      ),
    )
  })
  const all = sums.counts.find(({ by }) => by === 'all')
  return { event, all: all && lessonOf(all, []), rows, comparisons: rows.filter((row) => row.aboveOthers !== undefined).length }
}

/** Whether a rate stands out so far that it may be stated, by how many were compared. */
export const isStated = (aboveOthers: number, comparisons: number): boolean => (1 - aboveOthers) * comparisons <= MISTAKEN

/** How many more hours, shared as they were until now, until a difference in the rates as they are seen would be called one. */
export function hoursToSettle(own: Counted, others: Counted, prior: Priors['fish']): number | undefined {
  const asPrior = { priorEvents: prior.events, priorExposure: prior.hours }
  const isSettled = (times: number) => {
    const at = ({ events, exposure }: Counted): Counted => ({ events: events * times, exposure: exposure * times })
    const { probability } = learnBetterRate({ ...asPrior, a: at(own), b: at(others) })
    return Math.max(probability, 1 - probability) >= CALLED_BETTER
  }
  const hours = own.exposure + others.exposure
  if (hours === 0 || isSettled(1)) return hours === 0 ? undefined : 0
  for (let times = 1.25; times <= MOST_TIMES; times *= 1.25) if (isSettled(times)) return hours * (times - 1)
  return undefined
}

/** The same of the value of a dimension that differs most from its others; `nothing` where there is nothing to compare. */
export function hoursToSettleFirst<E extends Loss | Catch>(
  { event, rows }: Rated<E>,
  by: Dimension,
  prior: Priors['fish'],
): number | undefined | 'nothing' {
  const of = rows.filter((row) => row.by === by && row.aboveOthers !== undefined)
  const [first, ...others] = of.toSorted((a, b) => Math.abs(b.aboveOthers! - 0.5) - Math.abs(a.aboveOthers! - 0.5))
  if (!first) return 'nothing'
  const sum = (lessons: readonly RateLesson[]): Counted =>
    lessons.reduce((all, { counts }) => ({ events: all.events + counts[event], exposure: all.exposure + counts.hours }), {
      events: 0,
      exposure: 0,
    })
  return hoursToSettle(sum([first]), sum(others), prior)
}

/** How many of some comparisons would be called a difference, one way or the other, though there is none. */
export const calledByChance = (comparisons: number): number => comparisons * 2 * (1 - CALLED_BETTER)

type Counted = { events: number; exposure: number }
/** Further than so many times what was seen, nothing is predicted. */
const MOST_TIMES = 50

const BINS = 10

/** Predicted chances in ten bins, and how often each happened. */
function calibrationOf(sums: readonly PredictedSum[], { share: { yes, no } }: Priors): Calibration {
  const bins = Array.from({ length: BINS }, (_, i) => ({ from: i / BINS, to: (i + 1) / BINS, said: 0, of: 0, happened: 0 }))
  let squares = 0
  for (const { chance, of, happened } of sums) {
    const bin = bins[Math.min(BINS - 1, Math.floor(chance * BINS))]!
    bin.said += chance * of
    bin.of += of
    bin.happened += happened
    squares += happened * (1 - chance) ** 2 + (of - happened) * chance ** 2
  }
  const filled = bins.filter(({ of }) => of > 0)
  const of = filled.reduce((sum, bin) => sum + bin.of, 0)
  return {
    of,
    brier: of === 0 ? undefined : squares / of,
    bins: filled.map((bin) => ({
      ...bin,
      said: bin.said / bin.of,
      share: learnShare({ priorYes: yes, priorNo: no, yes: bin.happened, no: bin.of - bin.happened }),
    })),
  }
}

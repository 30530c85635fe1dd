import { pieceRef } from '../documents/linkRef.ts'
import type { Mark } from '../documents/mark.ts'
import type { TripEvent } from '../documents/observation.ts'
import type { Trip, TripRod } from '../documents/trip.ts'
import { CoreError } from '../errors.ts'
import { lostBelow } from '../moments/snag.ts'
import type { FailingLink } from '../physics/strength/failingLinks.ts'
import { heightAtM, type TideSpan } from '../physics/tide/tideSpan.ts'
import { type Day, dayAtMark } from '../plan/dayAtMark.ts'
import { tripSpan, visitsOf } from '../plan/trip.ts'
import { prepareSetup } from '../setup/prepareSetup.ts'
import { replacements, wholeReplacement } from '../setup/replacement.ts'
import type { Setup } from '../setup/setup.ts'
import { HOUR_MS, MINUTE_MS } from '../time/durations.ts'
import { addCounts, type Counts, type Dimension, noCounts } from './counts.ts'
import { kindKey, linkKindOf } from './linkKinds.ts'

/** The kind of link that broke under a fish, or not, and the chance predicted for that kind. */
export type PredictedBreak = { kind: string; chance: number; happened: boolean }
/** A chain that broke under a fish: its links as their failure is worked out, and which of them went first. */
export type BrokenChain = { links: ChainLink[]; first: number }
export type ChainLink = { kind: string; failing: FailingLink[] }
/** A sinker that was seen to hold or drag, and the chance of holding that was said. */
export type PredictedHold = { markId: string; chance: number; held: boolean }

/** What one trip counted. Numbers only, so that many trips can be added up. */
export type Tally = {
  counts: { by: Dimension; value: string; counts: Counts }[]
  breaks: PredictedBreak[]
  chains: BrokenChain[]
  holds: PredictedHold[]
  hooked: { hook: string; where: 'lip' | 'deep' | 'foul' }[]
  /** Breaks that nobody saw, and those without a prediction: in a snag or a cast, or logged before chances were stored. */
  unseen: number
  notPredicted: number
}

type Input = {
  trip: Trip
  /** Those that count, in the order in which they happened. */
  events: readonly TripEvent[]
  marks: ReadonlyMap<string, Mark>
  /** The trace and outfit of a rod as they were then; undefined where they cannot be read. */
  setupOf: (rod: Pick<TripRod, 'outfitId' | 'trace'>) => Setup | undefined
  /** The tide of the port of a mark. */
  portOf: (mark: Mark, fromMs: number, toMs: number) => TideSpan | undefined
}

const STEP_MS = 10 * MINUTE_MS
/** This near to slack water counts as slack, and this near to the night as twilight. Ours. */
const SLACK_MS = 30 * MINUTE_MS
const TWILIGHT_MS = 40 * MINUTE_MS
/** A port’s tide is wanted for so long before and after: the tide of a mark is early or late on it. */
export const PORT_AROUND_MS = 7 * HOUR_MS
/** A change is looked at for so long. Ours. */
const CHANGE_MS = HOUR_MS

/** Counts a trip: hours and events by mark, trace, bait, hook, water and light, and the predictions of breaks and holds. */
export function tallyTrip(input: Input): Tally {
  const { trip, events } = input
  const counts = new Map<string, Tally['counts'][number]>()
  const add = (state: RodState, more: Partial<Counts>) => {
    for (const [by, value] of Object.entries(state) as [Dimension, string | undefined][]) {
      if (value === undefined) continue
      const key = `${by} ${value}`
      const known = counts.get(key) ?? { by, value, counts: noCounts() }
      addCounts(known.counts, more)
      counts.set(key, known)
    }
  }
  const stateOf = stateFinder(input)
  const { fromMs, toMs } = fishedHours(input)
  for (const rod of trip.rods) {
    for (let atMs = fromMs; atMs < toMs; atMs += STEP_MS) {
      const lastsMs = Math.min(STEP_MS, toMs - atMs)
      add(stateOf(rod, atMs + lastsMs / 2), { hours: lastsMs / HOUR_MS })
    }
    const priceOf = losses(input.setupOf(rod))
    for (const event of events)
      if (event.rod === rod.id) add(stateOf(rod, Date.parse(event.at)), { ...countsOf(event), ...priceOf(event) })
  }
  return { counts: [...counts.values()], ...predictedOf(input) }
}

/** From the start to the end of a trip: of one that nobody ended, to its last event; ended long after its plan, to that or the last event. */
function fishedHours({ trip, events, marks }: Input): { fromMs: number; toMs: number } {
  const zone = marks.get(trip.marks[0]?.id ?? '')?.timeZone ?? 'UTC'
  const planned = tripSpan(trip, zone)
  const fromMs = trip.startedAt === undefined ? planned.fromMs : Date.parse(trip.startedAt)
  const lastMs = Math.max(fromMs, ...events.map(({ at }) => Date.parse(at)))
  if (trip.endedAt === undefined) return { fromMs, toMs: lastMs }
  return { fromMs, toMs: Math.min(Date.parse(trip.endedAt), Math.max(planned.toMs, lastMs)) }
}

function countsOf({ what }: TripEvent): Partial<Counts> {
  switch (what.type) {
    case 'cast':
      return { casts: 1 }
    case 'bite':
      return { bites: 1 }
    case 'missed':
      return { missed: 1 }
    case 'fish':
      return { fish: 1 }
    case 'snag':
      return {
        snags: 1,
        sinkersLost: what.lost === 'nothing' ? 0 : 1,
        tracesLost: what.lost === 'trace' ? 1 : 0,
      }
    default:
      return {}
  }
}

/** What an event lost, and what a weak link saved: below it only a sinker is left behind, and not the trace. */
function losses(setup: Setup | undefined): (event: TripEvent) => Pick<Counts, 'cost' | 'saved'> | undefined {
  if (!setup) return () => undefined
  const { trace } = setup
  const priceOf = replacements(setup)
  const whole = wholeReplacement(setup).cost
  const weak = trace.weakLink === undefined ? undefined : priceOf(lostBelow(trace, pieceRef(trace.weakLink))).cost
  const sinkers = priceOf(trace.pieces.filter(({ role }) => role === 'sinker').map(({ id }) => id)).cost
  return ({ what }) => {
    if (what.type !== 'snag' || what.lost === 'nothing') return undefined
    if (what.lost === 'trace') return { cost: whole, saved: 0 }
    return weak === undefined ? { cost: sinkers, saved: 0 } : { cost: weak, saved: whole - weak }
  }
}

type RodState = { [D in Dimension]?: string | undefined }

/** How a rod is fished at an instant: where, with what, and in which water and light. */
function stateFinder(input: Input): (rod: TripRod, atMs: number) => RodState {
  const { trip, events, marks, setupOf } = input
  const zone = marks.get(trip.marks[0]?.id ?? '')?.timeZone ?? 'UTC'
  const visits = visitsOf(trip, zone)
  const days = new Map<string, Day | undefined>()
  const { fromMs, toMs } = fishedHours(input)
  const dayOf = (markId: string, mark: Mark): Day | undefined => {
    // Beyond the trip on both sides: slack and twilight shortly before and after it count.
    const [startMs, endMs] = [fromMs - 2 * HOUR_MS, toMs + 2 * HOUR_MS]
    if (!days.has(markId)) days.set(markId, knownDay(mark, { startMs, endMs }, input.portOf))
    return days.get(markId)
  }
  const setups = new Map(trip.rods.map((rod) => [rod.id, setupOf(rod)]))
  return (rod, atMs) => {
    const markId = visits.findLast((visit) => visit.fromMs <= atMs)?.markId ?? visits[0]?.markId
    const mark = markId === undefined ? undefined : marks.get(markId)
    const pieces = setups.get(rod.id)?.trace.pieces ?? []
    const hook = pieces.find((piece) => piece.role === 'hook')
    const bait = pieces.find((piece) => piece.role === 'bait')
    const changes = events.flatMap(({ rod: of, what, at }) =>
      of === rod.id && what.type === 'changed' && Date.parse(at) <= atMs ? [{ ...what, atMs: Date.parse(at) }] : [],
    )
    const changedTo = (part: string) => changes.findLast((change) => change.part === part)?.to
    const last = changes.at(-1)
    return {
      all: 'all',
      mark: markId,
      bed: mark?.bed,
      family: setups.get(rod.id)?.trace.family,
      trace: rod.trace?.id,
      hook: changedTo('hook') ?? hook?.pattern,
      bait: changedTo('bait') ?? bait?.bait,
      change: last && atMs - last.atMs <= CHANGE_MS ? last.part : 'none',
      ...(mark && markId !== undefined ? waterOf(dayOf(markId, mark), atMs) : {}),
    }
  }
}

/** A day as far as it is known: of years without a tide, nothing. */
function knownDay(mark: Mark, span: { startMs: number; endMs: number }, portOf: Input['portOf']): Day | undefined {
  try {
    return dayAtMark(mark, span, portOf(mark, span.startMs - PORT_AROUND_MS, span.endMs + PORT_AROUND_MS))
  } catch (error) {
    if (error instanceof CoreError) return undefined
    throw error
  }
}

function waterOf(day: Day | undefined, atMs: number): RodState {
  if (!day) return {}
  const { tide, slacks, sky } = day
  const within = (spans: readonly { fromMs: number; toMs: number }[]) =>
    spans.some((span) => span.fromMs <= atMs && atMs < span.toMs)
  const isSlack = slacks.some(({ timeMs }) => Math.abs(timeMs - atMs) <= SLACK_MS)
  const isNight = sky !== undefined && within(sky.night)
  const isTwilight = sky?.night.some(
    ({ fromMs, toMs }) => Math.abs(fromMs - atMs) <= TWILIGHT_MS || Math.abs(toMs - atMs) <= TWILIGHT_MS,
  )
  return {
    tide: isSlack ? 'slack' : tide && (heightAtM(tide, atMs + MINUTE_MS) > heightAtM(tide, atMs) ? 'rising' : 'falling'),
    light: sky && (isTwilight ? 'twilight' : isNight ? 'night' : 'day'),
    moon: sky && isNight ? (within(sky.dark) ? 'noMoon' : 'moon') : undefined,
  }
}

/** A break with a prediction: under a fish. */
const isPredicted = ({ what, told }: TripEvent): boolean =>
  what.type === 'break' && (what.during === 'run' || what.during === 'hand') && told?.first !== undefined

function predictedOf({ trip, events, setupOf }: Input): Omit<Tally, 'counts'> {
  const tally: Omit<Tally, 'counts'> = { breaks: [], chains: [], holds: [], hooked: [], unseen: 0, notPredicted: 0 }
  const kindsOf = new Map(trip.rods.map((rod) => [rod.id, once(() => kindsOfRod(setupOf(rod)))]))
  for (const event of events) {
    const { what, told, markId } = event
    if ((what.type === 'held' || what.type === 'dragged') && told?.holds !== undefined && markId !== undefined)
      tally.holds.push({ markId, chance: told.holds, held: what.type === 'held' })
    if (what.type === 'fish') {
      const kinds = kindsOf.get(event.rod)?.()
      const hook = (what.hook === undefined ? undefined : kinds?.hooks.get(what.hook)) ?? kinds?.hooks.values().next().value
      if (hook !== undefined) tally.hooked.push({ hook, where: what.hooked })
    }
    if (what.type !== 'break') continue
    const kinds = kindsOf.get(event.rod)?.()
    const broken = what.link === undefined ? undefined : kinds?.kinds.get(what.link)
    if (what.link === undefined) tally.unseen += 1
    else if (!isPredicted(event) || !kinds || broken === undefined) tally.notPredicted += 1
    else {
      const chances = new Map<string, number>([[broken, 0]])
      for (const { link, chance } of told?.first ?? []) {
        const kind = kinds.kinds.get(link)
        if (kind !== undefined) chances.set(kind, Math.min(1, (chances.get(kind) ?? 0) + chance))
      }
      for (const [kind, chance] of chances)
        tally.breaks.push({ kind, chance: Math.round(chance * 1e4) / 1e4, happened: kind === broken })
      const first = kinds.chain.findIndex(({ kind }) => kind === broken)
      if (first >= 0) tally.chains.push({ links: kinds.chain, first })
    }
  }
  return tally
}

type RodKinds = { kinds: Map<string, string>; hooks: Map<string, string>; chain: ChainLink[] }

/** What the links of a rod are, and the chain to its first hook. */
function kindsOfRod(setup: Setup | undefined): RodKinds {
  const kinds = new Map<string, string>()
  const hooks = new Map<string, string>()
  const chain: ChainLink[] = []
  if (!setup) return { kinds, hooks, chain }
  const prepared = prepareSetup(setup)
  for (const piece of setup.trace.pieces) if (piece.role === 'hook') hooks.set(piece.id, piece.pattern)
  const fished = prepared.ends.find(({ role }) => role === 'hook' || role === 'lure') ?? prepared.ends[0]
  for (const end of prepared.ends) {
    const { links } = prepared.path(end.id)
    const ids = new Set(links.map(({ id }) => id))
    for (const link of links) {
      const kind = linkKindOf(setup, link)
      if (!kind) continue
      kinds.set(link.id, kindKey(kind))
      if (end === fished)
        chain.push({
          kind: kindKey(kind),
          failing: link.failing.filter((each, i) => i === 0 || !('line' in each) || ids.has(each.line)),
        })
    }
  }
  return { kinds, hooks, chain }
}

function once<T>(make: () => T): () => T {
  let made: { value: T } | undefined
  return () => {
    made ??= { value: make() }
    return made.value
  }
}

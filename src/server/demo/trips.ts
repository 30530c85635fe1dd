import { createHash } from 'node:crypto'
import { toldOf } from '../../core/analysis/told.ts'
import { NOMINAL_CATALOGUE } from '../../core/catalogue/catalogue.ts'
import { type Mark, markSchema } from '../../core/documents/mark.ts'
import type { TripEvent } from '../../core/documents/observation.ts'
import { outfitSchema } from '../../core/documents/outfit.ts'
import type { Trip } from '../../core/documents/trip.ts'
import type { Happening, Told } from '../../core/documents/tripEvent.ts'
import { TRIP_VERSION } from '../../core/documents/versions.ts'
import { type HoldNow, holdNow } from '../../core/plan/holdNow.ts'
import { tideAtMark } from '../../core/plan/tideAtMark.ts'
import { tripDay, tripSpan } from '../../core/plan/trip.ts'
import type { Setup } from '../../core/setup/setup.ts'
import { DAY_MS, HOUR_MS, MINUTE_MS } from '../../core/time/durations.ts'
import { standInTide } from '../tides/standInTides.ts'
import { demoId } from './demoId.ts'
import { DEMO_MARKS } from './marks.ts'
import { DEMO_OUTFITS } from './outfits.ts'
import { demoTraces } from './traces.ts'

type Plan = {
  name: string
  daysAgo: number
  from: string
  to: string
  mark: string
  traces: readonly string[]
  fish: string
  people: string[]
}

const [HOUND, PULLEY, NARROWS] = ['Hesk Bar hound trace, two booms', 'Long Ledge conger pulley', 'Kettle Narrows conger rig']

const plan = (daysAgo: number, mark: string, traces: readonly string[], fish: string, people: string[]): Plan => ({
  name: daysAgo < 0 ? `${mark}, next` : `${mark}, trip ${Math.ceil((75 - daysAgo) / 7)}`,
  daysAgo,
  from: '18:00',
  to: '23:00',
  mark,
  traces,
  fish,
  people,
})

/** Ten trips of the autumn, and one tomorrow. */
const PLANS: readonly Plan[] = [
  plan(73, 'Hesk Bar', [HOUND, HOUND], 'smooth-hound', ['AB', 'CD']),
  plan(66, 'Long Ledge', [PULLEY], 'conger', ['AB', 'CD']),
  plan(59, 'Kettle Narrows', [NARROWS, NARROWS], 'conger', ['AB', 'CD']),
  plan(52, 'Hesk Bar', [HOUND], 'smooth-hound', ['AB']),
  plan(45, 'Long Ledge', [PULLEY, PULLEY], 'conger', ['AB', 'CD']),
  plan(38, 'Hesk Bar', [HOUND, HOUND], 'smooth-hound', ['AB', 'CD']),
  plan(31, 'Kettle Narrows', [NARROWS], 'conger', ['CD']),
  plan(24, 'Long Ledge', [PULLEY], 'conger', ['AB', 'CD']),
  plan(17, 'Hesk Bar', [HOUND, HOUND], 'smooth-hound', ['AB', 'CD']),
  plan(10, 'Kettle Narrows', [NARROWS, NARROWS], 'conger', ['AB', 'CD']),
  plan(-1, 'Hesk Bar', [HOUND], 'smooth-hound', ['AB', 'CD']),
]

export const DEMO_TRIP_IDS: readonly string[] = PLANS.map(({ name }) => demoId(`trip ${name}`))

/** The ids do not depend on the day, so that the examples can be found again. */
const idOf = ({ name }: Plan) => demoId(`trip ${name}`)

/** What this crew’s knots are worse at than the table says, and by how much more often they are the first to break. */
const WORSE_KNOTS: Readonly<Record<string, number>> = { snell: 20, doubleEyeClinch: 20 }
/** A mark that holds worse and snags more than is thought. */
const WORSE_MARK = 'Long Ledge'

/** What a cast brings, the first that comes up. Nominal, ours. */
const BITE = 0.42
const MISSED = 0.45
const BREAK_UNDER_FISH = 0.55
const SNAG = 0.04
const SNAG_AT_WORSE_MARK = 0.18
const SEEN_TO_HOLD = 0.35
const CAST_EVERY_MS = 22 * MINUTE_MS

/** A number from 0 to 1 that is the same for the same name: the trips are drawn by chance, and always the same. */
const drawn = (name: string): number =>
  createHash('sha256').update(`wide-reach trips ${name}`).digest().readUIntBE(0, 6) / 2 ** 48

/** The trips of the scenario, the last one on the day after `today`, a calendar day. */
export function demoTrips(today: string): { id: string; content: Trip }[] {
  const known = demoTraces()
  return PLANS.map((each) => ({ id: idOf(each), content: tripOf(each, today, known) }))
}

type DemoTraces = ReturnType<typeof demoTraces>

function tripOf({ name, daysAgo, from, to, mark, traces, fish, people }: Plan, today: string, known: DemoTraces): Trip {
  const date = new Date(Date.parse(today) - daysAgo * DAY_MS).toISOString().slice(0, 10)
  const { fromMs, toMs } = tripSpan({ date, from, to }, markNamed(mark).timeZone)
  return {
    formatVersion: TRIP_VERSION,
    name,
    date,
    from,
    to,
    marks: [{ id: demoId(mark) }],
    people,
    fishId: demoId(fish),
    rods: traces.flatMap((of, i) => {
      const trace = known.find(({ content }) => content.trace.name === of)
      return trace ? [{ id: `rod-${i + 1}`, outfitId: trace.content.outfitId, trace: { id: trace.id, revision: 1 } }] : []
    }),
    packing: ['headlamp', 'spare batteries', 'flask', 'pliers'].map((text) => ({ text, isPacked: daysAgo > 0 })),
    ...(daysAgo > 0 ? { startedAt: new Date(fromMs).toISOString(), endedAt: new Date(toMs).toISOString() } : {}),
  }
}

const markNamed = (name: string): Mark => {
  const mark = DEMO_MARKS.find((each) => each.name === name)
  if (!mark) throw new Error(`There is no mark ${name}`)
  return markSchema.parse(mark)
}

/**
 * What happened on the past trips. Breaks and holds are drawn from what the application says, but for two knots and a mark that are worse:
 * a log in which something is to be found.
 */
export function demoEvents(today: string): TripEvent[] {
  const known = demoTraces()
  const said = new Map(known.map((trace) => [trace.id, once(() => saidOf(trace))]))
  return PLANS.filter(({ daysAgo }) => daysAgo > 0).flatMap((each) => eventsOf(each, tripOf(each, today, known), said))
}

type Said = { setup: Setup; told: Told; knots: ReadonlyMap<string, string> }

function once<T>(make: () => T): () => T {
  let made: T | undefined
  return () => {
    made ??= make()
    return made
  }
}

function saidOf({ content }: DemoTraces[number]): Said {
  const outfit = outfitSchema.parse(Object.values(DEMO_OUTFITS).find(({ id }) => id === content.outfitId)?.content)
  const setup = { trace: content.trace, conditions: content.conditions, outfit, catalogue: NOMINAL_CATALOGUE }
  const knots = new Map(
    content.trace.pieces.flatMap((piece) =>
      'attach' in piece && piece.attach.how === 'joined' ? [[`${piece.id}.joint`, piece.attach.joint.connection] as const] : [],
    ),
  )
  return { setup, told: toldOf(setup).told, knots }
}

function eventsOf({ mark: markName, fish, daysAgo }: Plan, trip: Trip, said: ReadonlyMap<string, () => Said>): TripEvent[] {
  const mark = markNamed(markName)
  const { fromMs, toMs } = tripSpan(trip, mark.timeZone)
  const day = tripDay(trip, mark.timeZone)
  const port = standInTide(mark.portId ?? '', day.startMs - 7 * HOUR_MS, day.endMs + 7 * HOUR_MS)
  const tide = port && tideAtMark(mark, port)
  return trip.rods.flatMap((rod, r) => {
    const { setup, told, knots } = said.get(rod.trace!.id)!()
    const ownKg = setup.trace.pieces.find((piece) => piece.role === 'sinker')?.massKg
    const events: TripEvent[] = []
    let atMs = fromMs + (5 + 4 * r) * MINUTE_MS
    for (let cast = 0; atMs < toMs - 10 * MINUTE_MS; cast += 1, atMs += CAST_EVERY_MS) {
      const luck = (what: string) => drawn(`${markName} ${daysAgo} ${r} ${cast} ${what}`)
      // Worked out where it is looked at: it takes most of the time.
      const isLookedAt = luck('looks') < SEEN_TO_HOLD
      const hold = isLookedAt ? holdNow({ setup, mark, holds: [], tide, winds: [], sinkerKg: undefined }, atMs) : undefined
      const add = (minutes: number, what: Happening) => events.push(eventAt(atMs + minutes * MINUTE_MS, what, hold))
      const eventAt = (timeMs: number, what: Happening, now: HoldNow | undefined): TripEvent => ({
        formatVersion: 1,
        kind: 'event',
        id: demoId(`event ${markName} ${daysAgo} ${r} ${cast} ${what.type}`),
        at: new Date(timeMs).toISOString(),
        tripId: demoId(`trip ${trip.name}`),
        rod: rod.id,
        what,
        markId: demoId(markName),
        trace: rod.trace,
        outfit: { id: rod.outfitId, revision: 1 },
        ...(ownKg === undefined ? {} : { sinkerKg: ownKg }),
        told: { ...told, ...(now ? { holds: now.chance } : {}) },
      })
      add(0, { type: 'cast' })
      if (hold) add(3, { type: luck('holds') < trueChance(hold.chance, markName) ? 'held' : 'dragged' })
      if (luck('bites') < BITE) {
        add(8, { type: 'bite' })
        if (luck('misses') < MISSED) add(9, { type: 'missed' })
        else if (luck('breaks') < BREAK_UNDER_FISH)
          add(10, { type: 'break', during: 'run', ...(luck('seen') < 0.85 ? { link: firstOf(told, knots, luck('link')) } : {}) })
        else add(11, fishOf(fish, luck('size'), luck('hooked')))
      }
      if (luck('snags') < (markName === WORSE_MARK ? SNAG_AT_WORSE_MARK : SNAG))
        add(14, { type: 'snag', lost: luck('lost') < 0.4 ? 'nothing' : luck('lost') < 0.8 ? 'sinker' : 'trace' })
    }
    return events
  })
}

/** At the worse mark the odds of holding are a thirtieth of what is said. */
function trueChance(chance: number, mark: string): number {
  if (mark !== WORSE_MARK) return chance
  const odds = chance / Math.max(1e-9, 1 - chance) / 30
  return odds / (1 + odds)
}

const fishOf = (name: string, size: number, hooked: number): Happening => ({
  type: 'fish',
  name,
  size: size < 0.3 ? 'small' : size < 0.85 ? 'usual' : 'large',
  isKept: false,
  hooked: hooked < 0.8 ? 'lip' : hooked < 0.95 ? 'deep' : 'foul',
})

/** The link that broke: by the chances that were said, the worse knots so much more often. */
function firstOf(told: Told, knots: ReadonlyMap<string, string>, luck: number): string {
  const weighed = (told.first ?? []).map(({ link, chance }) => ({
    link,
    weight: chance * (WORSE_KNOTS[knots.get(link) ?? ''] ?? 1),
  }))
  let left = luck * weighed.reduce((sum, { weight }) => sum + weight, 0)
  for (const { link, weight } of weighed) {
    left -= weight
    if (left <= 0) return link
  }
  return weighed[0]?.link ?? ''
}

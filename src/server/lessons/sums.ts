import type { Mark } from '../../core/documents/mark.ts'
import type { Trip } from '../../core/documents/trip.ts'
import type { Sums } from '../../core/lessons/sums.ts'
import { PORT_AROUND_MS, type Tally } from '../../core/lessons/tripTally.ts'
import type { TideSpan } from '../../core/physics/tide/tideSpan.ts'
import { DAY_MS } from '../../core/time/durations.ts'
import { readContent } from '../../shared/documentKinds.ts'
import type { LearnedSums } from '../../shared/lessons.ts'
import type { JobPool } from '../jobs/jobPool.ts'
import type { TideService } from '../tides/tideService.ts'
import type { TallyRepository, TripRecord } from './repository.ts'
import type { TripToTally } from './tally.ts'

/** Trips that are tallied before an answer: it comes soon, and the rest is tallied by the next ones. */
const AT_ONCE = 10

/** The sums of a crew’s trips. Those not tallied yet are, some at a time, the newest first; the answer says how many wait. */
export class TripSums {
  private readonly tallies: TallyRepository
  private readonly jobs: JobPool
  private readonly tides: TideService

  constructor(tallies: TallyRepository, jobs: JobPool, tides: TideService) {
    this.tallies = tallies
    this.jobs = jobs
    this.tides = tides
  }

  /** @param without a trip that is left out, to see what it changed. */
  async of(crewId: string, without?: string): Promise<LearnedSums> {
    const heads = (await this.tallies.heads(crewId)).filter(({ id }) => id !== without)
    const stale = heads.filter(({ isTallied }) => !isTallied)
    const now = stale.slice(-AT_ONCE)
    const tallied =
      now.length > 0
        ? await this.tally(
            crewId,
            now.map(({ id }) => id),
          )
        : []
    const versionOf = new Map(now.map(({ id, version }) => [id, version]))
    await this.tallies.keep(
      crewId,
      tallied.map(({ id, tally }) => ({ id, tally, version: versionOf.get(id) ?? '' })),
    )
    // A trip that cannot be read has no tally, and is not waited for.
    const waiting = new Set(stale.slice(0, -AT_ONCE).map(({ id }) => id))
    const counted = heads.filter(({ id }) => !waiting.has(id)).map(({ id, name, date }) => ({ id, name, date }))
    const kept = await this.tallies.asJson(
      crewId,
      counted.map(({ id }) => id),
    )
    const answer = await this.jobs.run({ kind: 'addUp', trips: counted, kept })
    if (answer.kind !== 'done') throw new Error(`tallies were not added up: ${JSON.stringify(answer)}`)
    return { ...(answer.output as Sums), waiting: waiting.size }
  }

  private async tally(crewId: string, ids: readonly string[]): Promise<{ id: string; tally: Tally }[]> {
    const records = await this.tallies.records(crewId, ids)
    const readable = records.flatMap((record) => {
      const read = readContent('trips', record.content)
      return read.ok ? [{ record, trip: read.content }] : []
    })
    const rods = readable.flatMap(({ trip }) => trip.rods)
    const marksOf = readable.flatMap(({ trip }) => trip.marks.map(({ id }) => ({ id })))
    const [marks, traces, outfits] = await Promise.all([
      this.tallies.revisions(crewId, 'marks', marksOf),
      this.tallies.revisions(
        crewId,
        'traces',
        rods.flatMap(({ trace }) => (trace ? [trace] : [])),
      ),
      this.tallies.revisions(crewId, 'outfits', [
        ...rods.map(({ outfitId }) => ({ id: outfitId })),
        ...records.flatMap(outfitsOf),
      ]),
    ])
    const readMarks = new Map(
      marks.flatMap(({ id, content }) => {
        const read = readContent('marks', content)
        return read.ok ? [[id, read.content] as const] : []
      }),
    )
    const trips: TripToTally[] = []
    for (const { record, trip } of readable) trips.push({ ...record, ports: await this.ports(trip, readMarks) })
    const answer = await this.jobs.run({ kind: 'tallyTrips', input: { trips, marks, traces, outfits } })
    if (answer.kind !== 'done') throw new Error(`trips were not tallied: ${JSON.stringify(answer)}`)
    return answer.output as { id: string; tally: Tally }[]
  }

  /** The tides of a trip, port by port. */
  private async ports({ date, marks }: Trip, known: ReadonlyMap<string, Mark>): Promise<Record<string, TideSpan>> {
    const ports: Record<string, TideSpan> = {}
    // Whatever the time zone, a trip of the day lies in these.
    const [fromMs, toMs] = [Date.parse(date) - DAY_MS - PORT_AROUND_MS, Date.parse(date) + 3 * DAY_MS + PORT_AROUND_MS]
    for (const { id } of marks) {
      const portId = known.get(id)?.portId
      if (portId === undefined || ports[portId]) continue
      const tide = await this.tides.tide(portId, fromMs, toMs).catch(() => undefined)
      if (tide) ports[portId] = tide
    }
    return ports
  }
}

/** The outfits as they were when something was logged with them. */
const outfitsOf = ({ observations }: TripRecord): { id: string; revision: number }[] =>
  observations.flatMap((each) => {
    const { outfit } = each as { outfit?: { id: string; revision: number } }
    return outfit ? [outfit] : []
  })

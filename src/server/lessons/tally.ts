import { NOMINAL_CATALOGUE } from '../../core/catalogue/catalogue.ts'
import type { Mark } from '../../core/documents/mark.ts'
import type { TripEvent } from '../../core/documents/observation.ts'
import type { TripRod } from '../../core/documents/trip.ts'
import { activeObservations } from '../../core/learning/activeObservations.ts'
import { addUp, type Sums } from '../../core/lessons/sums.ts'
import { type Tally, tallyTrip } from '../../core/lessons/tripTally.ts'
import type { TideSpan } from '../../core/physics/tide/tideSpan.ts'
import type { Setup } from '../../core/setup/setup.ts'
import { readContent } from '../../shared/documentKinds.ts'
import { parseObservations } from '../../shared/observations.ts'
import type { StoredRevision, TripRecord } from './repository.ts'

/** A trip with the tides of the ports of its marks, by port. */
export type TripToTally = TripRecord & { ports: Record<string, TideSpan> }
export type ToTally = {
  trips: TripToTally[]
  marks: StoredRevision[]
  traces: StoredRevision[]
  outfits: StoredRevision[]
}

/** What some trips counted; one that cannot be read has none. Runs in a thread. */
export function tallyTrips({ trips, marks, traces, outfits }: ToTally): { id: string; tally: Tally }[] {
  const readable = new Map<string, Mark>()
  for (const { id, content } of marks) {
    const read = readContent('marks', content)
    if (read.ok) readable.set(id, read.content)
  }
  const setups = new Map<string, Setup | undefined>()
  return trips.flatMap(({ id, content, observations, ports }) => {
    const trip = readContent('trips', content)
    if (!trip.ok) return []
    const events = activeObservations(parseObservations(observations))
      .filter((each): each is TripEvent => each.kind === 'event')
      .sort((a, b) => a.at.localeCompare(b.at))
    const setupOf = (rod: Pick<TripRod, 'outfitId' | 'trace'>) => {
      const outfit = events.find((event) => event.outfit?.id === rod.outfitId)?.outfit
      const key = [rod.trace?.id, rod.trace?.revision, rod.outfitId, outfit?.revision].join(' ')
      if (!setups.has(key)) setups.set(key, readSetup(traces, outfits, rod, outfit?.revision))
      return setups.get(key)
    }
    const portOf = ({ portId }: Mark) => (portId === undefined ? undefined : ports[portId])
    return [{ id, tally: tallyTrip({ trip: trip.content, events, marks: readable, setupOf, portOf }) }]
  })
}

function readSetup(
  traces: readonly StoredRevision[],
  outfits: readonly StoredRevision[],
  { trace: ref, outfitId }: Pick<TripRod, 'outfitId' | 'trace'>,
  outfitRevision: number | undefined,
): Setup | undefined {
  const trace = traces.find(({ id, revision }) => id === ref?.id && revision === ref.revision)
  const outfit =
    outfits.find(({ id, revision }) => id === outfitId && revision === outfitRevision) ??
    outfits.find(({ id }) => id === outfitId)
  if (!trace || !outfit) return undefined
  const [readTrace, readOutfit] = [readContent('traces', trace.content), readContent('outfits', outfit.content)]
  if (!readTrace.ok || !readOutfit.ok) return undefined
  const { trace: document, conditions } = readTrace.content
  return { trace: document, conditions, outfit: readOutfit.content, catalogue: NOMINAL_CATALOGUE }
}

/** Adds up tallies that were kept, a text of JSON by trip, in the order of the trips. Runs in a thread. */
export function addUpKept(trips: Sums['trips'], kept: string): Sums {
  const tallies = JSON.parse(kept) as Record<string, Tally>
  return addUp(
    trips.flatMap((trip) => {
      const tally = tallies[trip.id]
      return tally ? [{ trip, tally }] : []
    }),
  )
}

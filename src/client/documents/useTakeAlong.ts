import { type QueryClient, useQueryClient } from '@tanstack/react-query'
import { useEffect, useState } from 'react'
import type { TripRod } from '../../core/documents/trip.ts'
import { tripDay } from '../../core/plan/trip.ts'
import { type LocalDay, localDay } from '../../core/time/localDay.ts'
import { crewSettingsQuery, documentQuery, listQuery, revisionQuery, type SavedMark, traceHeadsQuery } from '../api/documents.ts'
import { networkState } from '../api/network.ts'
import { observationsQuery, pullsQuery, straightsQuery } from '../api/observations.ts'
import { levelsQuery } from '../api/stock.ts'
import { portsQuery } from '../api/tides.ts'
import { type SavedTrip, tripEventsQuery } from '../api/trips.ts'
import { dayTideQuery, dayWindQuery } from '../plan/useDay.ts'

/** Whether this browser has all that is needed without a network. */
export type TakenAlong = 'not-here' | 'loading' | 'incomplete' | { keptMs: number }

/** What is wanted without a network beside what every screen begins with. */
export type Wanted = {
  trip?: { id: string }
  water: readonly { mark: SavedMark; day: LocalDay }[]
  rods: readonly { outfitId: string; trace?: TripRod['trace'] }[]
}

/** A trip wants its rods, and the water of its marks: on the calendar day, and on its own, which may go on past midnight. */
export function wantedFor({ id, content: trip }: SavedTrip, marks: readonly SavedMark[]): Wanted {
  const places = trip.marks.flatMap((place) => marks.find((mark) => mark.id === place.id) ?? [])
  return {
    trip: { id },
    water: places.flatMap((mark) => {
      const [day, hours] = [localDay(trip.date, mark.content.timeZone), tripDay(trip, mark.content.timeZone)]
      return [{ mark, day }, ...(hours.endMs > day.endMs ? [{ mark, day: hours }] : [])]
    }),
    rods: trip.rods,
  }
}

/** Reads what is wanted, so that this browser keeps the answers. `wanted` must stay the same object while it is the same; undefined waits. */
export function useTakeAlong(wanted: Wanted | undefined): TakenAlong {
  const client = useQueryClient()
  const [taken, setTaken] = useState<TakenAlong>('serviceWorker' in navigator ? 'loading' : 'not-here')
  useEffect(() => {
    if (!wanted || !('serviceWorker' in navigator)) return
    let isGone = false
    const take = async () => {
      await underControl()
      // What the page shows comes first.
      await new Promise((resolve) => setTimeout(resolve, AFTER_MS))
      if (isGone) return
      setTaken('loading')
      const isWhole = await readAll(client, wanted)
      const { keptSince } = networkState()
      if (!isGone) setTaken(isWhole ? { keptMs: keptSince === undefined ? Date.now() : Date.parse(keptSince) } : 'incomplete')
    }
    void take()
    window.addEventListener('online', take)
    return () => {
      isGone = true
      window.removeEventListener('online', take)
    }
  }, [client, wanted])
  return taken
}

/** From then on, what is read passes by the keeper of answers. In a browser that was opened for the first time, that takes some seconds. */
function underControl(): Promise<unknown> {
  if (navigator.serviceWorker.controller) return Promise.resolve()
  return new Promise((resolve) => navigator.serviceWorker.addEventListener('controllerchange', resolve, { once: true }))
}

const AFTER_MS = 3_000

const GROUND = ['trips', 'marks', 'outfits', 'fish', 'gear', 'rule-sets', 'tied', 'batches'] as const

/** What is in memory was perhaps read before the answers were kept: it is read once more. */
const ANEW = { staleTime: 0 }

const readAll = (client: QueryClient, { trip, water, rods }: Wanted): Promise<boolean> =>
  allRead([
    ...GROUND.map((kind) => client.fetchQuery({ ...listQuery(kind), ...ANEW })),
    client.fetchQuery({ ...crewSettingsQuery, ...ANEW }),
    client.fetchQuery({ ...pullsQuery, ...ANEW }),
    client.fetchQuery({ ...straightsQuery, ...ANEW }),
    client.fetchQuery({ ...levelsQuery, ...ANEW }),
    client.fetchQuery({ ...portsQuery, ...ANEW }),
    client.fetchInfiniteQuery({ ...traceHeadsQuery(), ...ANEW }),
    ...(trip ? [client.fetchQuery({ ...documentQuery('trips', trip.id), ...ANEW })] : []),
    ...(trip ? [client.fetchQuery({ ...tripEventsQuery(trip.id), ...ANEW })] : []),
    ...rods.map(({ outfitId }) => client.fetchQuery({ ...documentQuery('outfits', outfitId), ...ANEW })),
    ...rods.flatMap(({ trace }) => (trace ? client.fetchQuery({ ...documentQuery('traces', trace.id), ...ANEW }) : [])),
    ...rods.flatMap(({ trace }) =>
      trace ? client.fetchQuery({ ...revisionQuery('traces', trace.id, trace.revision), ...ANEW }) : [],
    ),
    ...water.map(({ mark }) => client.fetchQuery({ ...documentQuery('marks', mark.id), ...ANEW })),
    ...water.map(({ mark }) => client.fetchQuery({ ...observationsQuery(mark.id), ...ANEW })),
    ...water.flatMap(({ mark: { content }, day }) =>
      content.portId === undefined ? [] : client.fetchQuery({ ...dayTideQuery(content, day), ...ANEW }),
    ),
    ...water.flatMap(({ mark: { content }, day }) =>
      content.latitudeDeg === undefined ? [] : client.fetchQuery({ ...dayWindQuery(content, day), ...ANEW }),
    ),
  ])

const allRead = async (reads: readonly Promise<unknown>[]): Promise<boolean> =>
  (await Promise.allSettled(reads)).every(({ status }) => status === 'fulfilled')

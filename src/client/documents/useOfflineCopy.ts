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
export type OfflineCopy = 'not-here' | 'loading' | 'incomplete' | { keptMs: number }

/** What must work without a network. The lists that every screen starts with are always read. */
export type OfflineNeeds = {
  trip?: { id: string }
  water: readonly { mark: SavedMark; day: LocalDay }[]
  rods: readonly { outfitId: string; trace?: TripRod['trace'] }[]
}

/** What a trip needs: its rods, and the water at its marks on the calendar day and, past midnight, to the end of the trip. */
export function offlineNeedsOf({ id, content: trip }: SavedTrip, marks: readonly SavedMark[]): OfflineNeeds {
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

/** Reads everything in `needs`, so that the service worker stores the answers. Memoise `needs`; while it is undefined nothing is read. */
export function useOfflineCopy(needs: OfflineNeeds | undefined): OfflineCopy {
  const client = useQueryClient()
  const [taken, setTaken] = useState<OfflineCopy>('serviceWorker' in navigator ? 'loading' : 'not-here')
  useEffect(() => {
    if (!needs || !('serviceWorker' in navigator)) return
    let isGone = false
    const take = async () => {
      await underControl()
      // What the page shows comes first.
      await new Promise((resolve) => setTimeout(resolve, AFTER_MS))
      if (isGone) return
      setTaken('loading')
      const isWhole = await readAll(client, needs)
      const { keptSince } = networkState()
      if (!isGone) setTaken(isWhole ? { keptMs: keptSince === undefined ? Date.now() : Date.parse(keptSince) } : 'incomplete')
    }
    void take()
    window.addEventListener('online', take)
    return () => {
      isGone = true
      window.removeEventListener('online', take)
    }
  }, [client, needs])
  return taken
}

/** Resolves when the service worker is active. On the first visit that takes some seconds. */
function underControl(): Promise<unknown> {
  if (navigator.serviceWorker.controller) return Promise.resolve()
  return new Promise((resolve) => navigator.serviceWorker.addEventListener('controllerchange', resolve, { once: true }))
}

const AFTER_MS = 3_000

const KINDS = ['trips', 'marks', 'outfits', 'fish', 'gear', 'rule-sets', 'tied', 'batches'] as const

/** Reads again: data in memory may have been read before the service worker was active. */
const FRESH = { staleTime: 0 }

const readAll = (client: QueryClient, { trip, water, rods }: OfflineNeeds): Promise<boolean> =>
  allRead([
    ...KINDS.map((kind) => client.fetchQuery({ ...listQuery(kind), ...FRESH })),
    client.fetchQuery({ ...crewSettingsQuery, ...FRESH }),
    client.fetchQuery({ ...pullsQuery, ...FRESH }),
    client.fetchQuery({ ...straightsQuery, ...FRESH }),
    client.fetchQuery({ ...levelsQuery, ...FRESH }),
    client.fetchQuery({ ...portsQuery, ...FRESH }),
    client.fetchInfiniteQuery({ ...traceHeadsQuery(), ...FRESH }),
    ...(trip ? [client.fetchQuery({ ...documentQuery('trips', trip.id), ...FRESH })] : []),
    ...(trip ? [client.fetchQuery({ ...tripEventsQuery(trip.id), ...FRESH })] : []),
    ...rods.map(({ outfitId }) => client.fetchQuery({ ...documentQuery('outfits', outfitId), ...FRESH })),
    ...rods.flatMap(({ trace }) => (trace ? client.fetchQuery({ ...documentQuery('traces', trace.id), ...FRESH }) : [])),
    ...rods.flatMap(({ trace }) =>
      trace ? client.fetchQuery({ ...revisionQuery('traces', trace.id, trace.revision), ...FRESH }) : [],
    ),
    ...water.map(({ mark }) => client.fetchQuery({ ...documentQuery('marks', mark.id), ...FRESH })),
    ...water.map(({ mark }) => client.fetchQuery({ ...observationsQuery(mark.id), ...FRESH })),
    ...water.flatMap(({ mark: { content }, day }) =>
      content.portId === undefined ? [] : client.fetchQuery({ ...dayTideQuery(content, day), ...FRESH }),
    ),
    ...water.flatMap(({ mark: { content }, day }) =>
      content.latitudeDeg === undefined ? [] : client.fetchQuery({ ...dayWindQuery(content, day), ...FRESH }),
    ),
  ])

const allRead = async (reads: readonly Promise<unknown>[]): Promise<boolean> =>
  (await Promise.allSettled(reads)).every(({ status }) => status === 'fulfilled')

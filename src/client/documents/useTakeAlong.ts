import { type QueryClient, useQueryClient } from '@tanstack/react-query'
import { useEffect, useState } from 'react'
import type { Trip } from '../../core/documents/trip.ts'
import { tripDay } from '../../core/plan/trip.ts'
import { localDay } from '../../core/time/localDay.ts'
import { crewSettingsQuery, documentQuery, listQuery, marksQuery, revisionQuery, traceHeadsQuery } from '../api/documents.ts'
import { networkState } from '../api/network.ts'
import { observationsQuery, pullsQuery, straightsQuery } from '../api/observations.ts'
import { levelsQuery } from '../api/stock.ts'
import { portsQuery } from '../api/tides.ts'
import { tripEventsQuery } from '../api/trips.ts'
import { dayTideQuery, dayWindQuery } from '../plan/useDay.ts'

/** Whether this browser has all that is needed without a network. */
export type TakenAlong = 'not-here' | 'loading' | 'incomplete' | { keptMs: number }

/**
 * Reads what a trip needs, so that this browser keeps the answers for use without a network: its marks with their water, its rods and
 * traces, the log, and what every screen begins with. Without a trip, only the last of these.
 */
export function useTakeAlong(trip: { id: string; content: Trip } | undefined): TakenAlong {
  const client = useQueryClient()
  const [taken, setTaken] = useState<TakenAlong>('serviceWorker' in navigator ? 'loading' : 'not-here')
  useEffect(() => {
    if (!('serviceWorker' in navigator)) return
    let isGone = false
    const take = async () => {
      await underControl()
      if (isGone) return
      setTaken('loading')
      const isWhole = await readAll(client, trip)
      if (!isGone) setTaken(isWhole && networkState().keptSince === undefined ? { keptMs: Date.now() } : 'incomplete')
    }
    void take()
    window.addEventListener('online', take)
    return () => {
      isGone = true
      window.removeEventListener('online', take)
    }
  }, [client, trip])
  return taken
}

/** From then on, what is read passes by the keeper of answers. In a browser that was opened for the first time, that takes some seconds. */
function underControl(): Promise<unknown> {
  if (navigator.serviceWorker.controller) return Promise.resolve()
  return new Promise((resolve) => navigator.serviceWorker.addEventListener('controllerchange', resolve, { once: true }))
}

const GROUND = ['trips', 'marks', 'outfits', 'fish', 'gear', 'rule-sets', 'tied', 'batches'] as const

/** What is in memory was perhaps read before the answers were kept: it is read once more. */
const ANEW = { staleTime: 0 }

async function readAll(client: QueryClient, trip: { id: string; content: Trip } | undefined): Promise<boolean> {
  const isGround = await allRead([
    ...GROUND.map((kind) => client.fetchQuery({ ...listQuery(kind), ...ANEW })),
    client.fetchQuery({ ...crewSettingsQuery, ...ANEW }),
    client.fetchQuery({ ...pullsQuery, ...ANEW }),
    client.fetchQuery({ ...straightsQuery, ...ANEW }),
    client.fetchQuery({ ...levelsQuery, ...ANEW }),
    client.fetchQuery({ ...portsQuery, ...ANEW }),
    client.fetchInfiniteQuery({ ...traceHeadsQuery(), ...ANEW }),
  ])
  if (!trip) return isGround
  const { marks, rods, date } = trip.content
  const known = (await client.fetchQuery(marksQuery).catch(() => undefined))?.documents ?? []
  const places = marks.flatMap(({ id }) => known.find((mark) => mark.id === id) ?? [])
  const isTrip = await allRead([
    client.fetchQuery({ ...documentQuery('trips', trip.id), ...ANEW }),
    client.fetchQuery({ ...tripEventsQuery(trip.id), ...ANEW }),
    ...rods.map(({ outfitId }) => client.fetchQuery({ ...documentQuery('outfits', outfitId), ...ANEW })),
    ...rods.flatMap(({ trace }) => (trace ? client.fetchQuery({ ...documentQuery('traces', trace.id), ...ANEW }) : [])),
    ...rods.flatMap(({ trace }) =>
      trace ? client.fetchQuery({ ...revisionQuery('traces', trace.id, trace.revision), ...ANEW }) : [],
    ),
    ...places.map(({ id }) => client.fetchQuery({ ...documentQuery('marks', id), ...ANEW })),
    ...places.map(({ id }) => client.fetchQuery({ ...observationsQuery(id), ...ANEW })),
    ...places.flatMap(({ content: mark }) =>
      // The day of the Water screen, and that of the trip, which may go on past midnight.
      [localDay(date, mark.timeZone), tripDay(trip.content, mark.timeZone)].flatMap((day) => [
        ...(mark.portId === undefined ? [] : [client.fetchQuery({ ...dayTideQuery(mark, day), ...ANEW })]),
        ...(mark.latitudeDeg === undefined ? [] : [client.fetchQuery({ ...dayWindQuery(mark, day), ...ANEW })]),
      ]),
    ),
  ])
  return isGround && isTrip
}

const allRead = async (reads: readonly Promise<unknown>[]): Promise<boolean> =>
  (await Promise.allSettled(reads)).every(({ status }) => status === 'fulfilled')

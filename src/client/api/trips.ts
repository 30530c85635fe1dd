import { queryOptions, useQuery } from '@tanstack/react-query'
import { useMemo } from 'react'
import { z } from 'zod'
import type { TripEvent } from '../../core/documents/observation.ts'
import { activeObservations } from '../../core/learning/activeObservations.ts'
import { parseObservations } from '../../shared/observations.ts'
import type { SavedDocument } from './documents.ts'
import { request } from './http.ts'
import { useOutbox } from './outbox.ts'

export type SavedTrip = SavedDocument<'trips'>

/** What happened on a trip so far, by everyone who logs it, and what was taken back. */
const tripEventsQuery = (tripId: string) =>
  queryOptions({
    queryKey: ['observations', 'trip', tripId],
    queryFn: async () =>
      parseObservations(await request(z.array(z.record(z.string(), z.unknown())), `/observations?trip=${tripId}`)),
    refetchInterval: 10_000,
  })

/** The events of a trip that count, the latest last: those on the server, and those of this phone that are not sent yet. */
export function useTripEvents(tripId: string) {
  const query = useQuery(tripEventsQuery(tripId))
  const outbox = useOutbox()
  const events = useMemo(() => {
    const sent = query.data ?? []
    const known = new Set(sent.map(({ id }) => id))
    const own = [...outbox.sent, ...outbox.waiting].filter((each) => each.tripId === tripId && !known.has(each.id))
    return activeObservations([...sent, ...own])
      .filter((each): each is TripEvent => each.kind === 'event')
      .sort((a, b) => a.at.localeCompare(b.at))
  }, [query.data, outbox.sent, outbox.waiting, tripId])
  return { events, isLoading: query.isPending, error: query.data ? null : query.error, outbox }
}

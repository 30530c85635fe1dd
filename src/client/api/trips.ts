import { queryOptions, useQuery } from '@tanstack/react-query'
import { useMemo } from 'react'
import { z } from 'zod'
import type { Hold, TripEvent } from '../../core/documents/observation.ts'
import { activeObservations } from '../../core/learning/activeObservations.ts'
import { parseObservations } from '../../shared/observations.ts'
import { fromStorage } from '../settings/browserStorage.ts'
import { PREFIX, useKept } from '../settings/useKept.ts'
import type { SavedDocument } from './documents.ts'
import { request } from './http.ts'
import { useNetwork } from './network.ts'
import { newId } from './newId.ts'
import { useOutbox } from './outbox.ts'

export type SavedTrip = SavedDocument<'trips'>

/** What happened on a trip so far, by everyone who logs it, and what was taken back. */
export const tripEventsQuery = (tripId: string) =>
  queryOptions({
    queryKey: ['observations', 'trip', tripId],
    queryFn: async () =>
      parseObservations(await request(z.array(z.record(z.string(), z.unknown())), `/observations?trip=${tripId}`)),
    refetchInterval: 10_000,
  })

/** What an event says beside the trip, its id and the phone. */
export type NewEvent = Omit<TripEvent, 'formatVersion' | 'kind' | 'id' | 'tripId' | 'phone'>

/**
 * The events of a trip that count, the latest last: those on the server, and those of this phone that are not sent yet; and ways to add,
 * take back and correct one. Nothing is ever changed: a correction takes an event back and adds another.
 */
export function useTripLog(tripId: string) {
  const query = useQuery(tripEventsQuery(tripId))
  const outbox = useOutbox()
  const phone = phoneId()
  const clock = usePhoneClock()
  const active = useMemo(() => {
    const sent = query.data ?? []
    const known = new Set(sent.map(({ id }) => id))
    const own = [...outbox.sent, ...outbox.waiting].filter((each) => each.tripId === tripId && !known.has(each.id))
    return activeObservations([...sent, ...own])
  }, [query.data, outbox.sent, outbox.waiting, tripId])
  const events = useMemo(
    () => active.filter((each): each is TripEvent => each.kind === 'event').sort((a, b) => a.at.localeCompare(b.at)),
    [active],
  )
  /** `seen`: what a sinker did just then, from which its mark learns. */
  const add = (event: NewEvent, seen?: Omit<Hold, 'formatVersion' | 'kind' | 'id' | 'tripId' | 'at'>): TripEvent => {
    const whole: TripEvent = { ...event, formatVersion: 1, kind: 'event', id: newId(), tripId, phone }
    const hold = seen && ({ ...seen, formatVersion: 1, kind: 'hold', id: newId(), tripId, at: event.at } as const)
    void outbox.add(hold ? [whole, hold] : [whole])
    return whole
  }
  const retractions = ({ id, at, what, markId }: TripEvent) => {
    const isSeen = what.type === 'held' || what.type === 'dragged'
    const seen = isSeen ? active.filter((each) => each.kind === 'hold' && each.at === at) : []
    return [id, ...seen.map((each) => each.id)].map(
      (of) =>
        ({
          formatVersion: 1,
          kind: 'retraction',
          id: newId(),
          at: clock.nowIso(),
          of,
          tripId,
          ...(markId === undefined ? {} : { markId }),
        }) as const,
    )
  }
  const takeBack = (event: TripEvent) => void outbox.add(retractions(event))
  const correct = (event: TripEvent, change: Partial<NewEvent>) => {
    const { formatVersion: _f, kind: _k, id: _i, tripId: _t, phone: by, ...rest } = event
    const corrected: TripEvent = {
      ...rest,
      ...change,
      formatVersion: 1,
      kind: 'event',
      id: newId(),
      tripId,
      ...(by ? { phone: by } : {}),
    }
    void outbox.add([...retractions(event), corrected])
  }
  /** Goes by the server's clock from now on, and moves what this phone logged on this trip by its own. */
  const followServerClock = () => {
    for (const event of events)
      if (event.phone === phone) correct(event, { at: new Date(Date.parse(event.at) - clock.aheadMs).toISOString() })
    clock.followServer()
  }
  return {
    events,
    isLoading: query.isPending,
    error: query.data ? null : query.error,
    outbox,
    clock,
    add,
    takeBack,
    correct,
    followServerClock,
  }
}

/** A name of this browser among those that log a trip; where nothing is kept, one for as long as the page is open. */
let knownPhone: string | undefined
function phoneId(): string {
  const key = `${PREFIX}phone`
  knownPhone ??= fromStorage(() => localStorage.getItem(key)) ?? undefined
  if (knownPhone === undefined) {
    const made = newId().slice(0, 8)
    fromStorage(() => localStorage.setItem(key, made))
    knownPhone = made
  }
  return knownPhone
}

/** The time by which events are logged: of this device, or of the server where that was chosen. */
export function usePhoneClock() {
  const { clockAheadMs } = useNetwork()
  const [isByServer, setByServer] = useKept('server-clock', false)
  const correctionMs = isByServer ? clockAheadMs : 0
  return {
    /** How far this device is ahead of the server, ms, where that counts; 0 where the clocks agree or the server's is used. */
    aheadMs: isByServer ? 0 : clockAheadMs,
    /** What is taken off this device's time, ms. */
    correctionMs,
    nowIso: () => new Date(Date.now() - correctionMs).toISOString(),
    followServer: () => setByServer(true),
  }
}

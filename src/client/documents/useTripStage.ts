import { useQueryClient } from '@tanstack/react-query'
import { useEffect } from 'react'
import { z } from 'zod'
import type { Trip } from '../../core/documents/trip.ts'
import { documentQuery, refreshKind, saveDocument } from '../api/documents.ts'
import { isRefusal } from '../api/http.ts'
import type { SavedTrip } from '../api/trips.ts'
import { useKeptJson } from '../settings/useKeptJson.ts'

/** How often a stage that is not saved yet is tried again. */
const TRY_MS = 5_000

/** What was touched on this device and is not on the server yet. `endedAt` null: the trip goes on. */
const waitingStage = z.strictObject({ startedAt: z.iso.datetime().optional(), endedAt: z.iso.datetime().nullable().optional() })
type WaitingStage = z.infer<typeof waitingStage>

const NOTHING: WaitingStage = {}

/** A trip as it is with what waits. Begun twice, it began the first time. */
const staged = (trip: Trip, { startedAt, endedAt }: WaitingStage): Trip => ({
  ...trip,
  startedAt: trip.startedAt ?? startedAt,
  endedAt: endedAt === undefined ? trip.endedAt : (endedAt ?? undefined),
})

/** Begins and ends a trip, also without a network: it is shown at once, and saved when the server answers. */
export function useTripStage({ id, content }: SavedTrip) {
  const client = useQueryClient()
  const [waiting, setWaiting] = useKeptJson(`trip-stage.${id}`, waitingStage, NOTHING)
  const isWaiting = Object.keys(waiting).length > 0
  useEffect(() => {
    if (!isWaiting) return
    let isGone = false
    let timer: ReturnType<typeof setTimeout> | undefined
    const save = async () => {
      try {
        const now = await client.fetchQuery({ ...documentQuery('trips', id), staleTime: 0 })
        const result = await saveDocument('trips', id, now.revision, staged(now.content, waiting))
        if ('stale' in result) throw new Error('saved elsewhere in between')
        client.setQueryData(documentQuery('trips', id).queryKey, result.saved)
        if (!isGone) setWaiting(NOTHING)
        await refreshKind(client, 'trips')
      } catch (error) {
        // A trip that was deleted elsewhere has no stage any more.
        if (isRefusal(error) && error.status === 404 && !isGone) setWaiting(NOTHING)
        else if (!isGone) timer = setTimeout(() => void save(), TRY_MS)
      }
    }
    void save()
    return () => {
      isGone = true
      clearTimeout(timer)
    }
  }, [client, id, isWaiting, waiting, setWaiting])
  return {
    trip: staged(content, waiting),
    start: () => setWaiting({ ...waiting, startedAt: new Date().toISOString() }),
    end: () => setWaiting({ ...waiting, endedAt: new Date().toISOString() }),
    goOn: () => setWaiting({ ...waiting, endedAt: null }),
  }
}

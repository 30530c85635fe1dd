import { queryOptions } from '@tanstack/react-query'
import { z } from 'zod'
import type { Observation } from '../../core/documents/observation.ts'
import { standingPulls } from '../../core/learning/knotLessons.ts'
import { standingStraights } from '../../core/learning/lineLessons.ts'
import { MOST_AT_ONCE, readTold } from '../../shared/observations.ts'
import { portsBody, tideBody, windBody } from '../../shared/tides.ts'
import { request } from './http.ts'

/** Tides do not change; what was asked once is kept while the page is open, so that it goes on without a network. */
const KEPT = { staleTime: Number.POSITIVE_INFINITY, gcTime: Number.POSITIVE_INFINITY }

/** What was told, in that order. */
const told = async (query: string): Promise<Observation[]> =>
  readTold(await request(z.array(z.record(z.string(), z.unknown())), `/observations?${query}`))

/** What was seen at a mark. */
export const observationsQuery = (markId: string) =>
  queryOptions({ queryKey: ['observations', markId], queryFn: () => told(`mark=${markId}`) })

/** Every pull of a sample knot that still counts. */
export const pullsQuery = queryOptions({
  queryKey: ['observations', 'pulls'],
  queryFn: () => told('kind=pull'),
  select: standingPulls,
  staleTime: 60_000,
})

/** Every straight pull of a line that still counts. */
export const straightsQuery = queryOptions({
  queryKey: ['observations', 'straights'],
  queryFn: () => told('kind=straight'),
  select: standingStraights,
  staleTime: 60_000,
})

/** Whatever was read of observations may have changed. */
export const OBSERVATIONS = { queryKey: ['observations'] }

export const addObservation = (observation: Observation) =>
  request(z.unknown(), '/observations', { method: 'POST', body: observation })

/** Tells many, some at a time: one that is there already stays one. */
export async function addObservations(observations: readonly Observation[]): Promise<void> {
  for (let at = 0; at < observations.length; at += MOST_AT_ONCE)
    await request(z.unknown(), '/observations/many', {
      method: 'POST',
      body: { observations: observations.slice(at, at + MOST_AT_ONCE) },
    })
}

export const portsQuery = queryOptions({ queryKey: ['ports'], queryFn: () => request(portsBody, '/ports'), ...KEPT })

const spanOf = (fromMs: number, toMs: number) => `from=${new Date(fromMs).toISOString()}&to=${new Date(toMs).toISOString()}`

export const tideQuery = (portId: string, fromMs: number, toMs: number) =>
  queryOptions({
    queryKey: ['tide', portId, fromMs, toMs],
    queryFn: () => request(tideBody, `/ports/${portId}/tide?${spanOf(fromMs, toMs)}`),
    ...KEPT,
  })

export const windQuery = (latitudeDeg: number, longitudeDeg: number, fromMs: number, toMs: number) =>
  queryOptions({
    queryKey: ['wind', latitudeDeg, longitudeDeg, fromMs, toMs],
    queryFn: () => request(windBody, `/wind?lat=${latitudeDeg}&lon=${longitudeDeg}&${spanOf(fromMs, toMs)}`),
    staleTime: 3_600_000,
  })

import { queryOptions } from '@tanstack/react-query'
import { z } from 'zod'
import type { Observation } from '../../core/documents/observation.ts'
import { activePulls } from '../../core/learning/knotLessons.ts'
import { activeStraightPulls } from '../../core/learning/lineLessons.ts'
import { MAX_AT_ONCE, parseObservations } from '../../shared/observations.ts'
import { request } from './http.ts'

/** Observations in the order they were added. */
const fetchObservations = async (query: string): Promise<Observation[]> =>
  parseObservations(await request(z.array(z.record(z.string(), z.unknown())), `/observations?${query}`))

/** The observations at a mark. */
export const observationsQuery = (markId: string) =>
  queryOptions({ queryKey: ['observations', markId], queryFn: () => fetchObservations(`mark=${markId}`) })

/** Every pull test of a knot that still counts. */
export const pullsQuery = queryOptions({
  queryKey: ['observations', 'pulls'],
  queryFn: () => fetchObservations('kind=pull'),
  select: activePulls,
  staleTime: 60_000,
})

/** Every test of a line without a knot that still counts. */
export const straightsQuery = queryOptions({
  queryKey: ['observations', 'straights'],
  queryFn: () => fetchObservations('kind=straight'),
  select: activeStraightPulls,
  staleTime: 60_000,
})

/** The key of every query of observations. */
export const OBSERVATIONS = { queryKey: ['observations'] }

export const addObservation = (observation: Observation) =>
  request(z.unknown(), '/observations', { method: 'POST', body: observation })

/** Adds many, in batches. An observation that exists already is not added again. */
export async function addObservations(observations: readonly Observation[]): Promise<void> {
  for (let at = 0; at < observations.length; at += MAX_AT_ONCE)
    await request(z.unknown(), '/observations/many', {
      method: 'POST',
      body: { observations: observations.slice(at, at + MAX_AT_ONCE) },
    })
}

import { queryOptions } from '@tanstack/react-query'
import { learnedSums } from '../../shared/lessons.ts'
import { request } from './http.ts'
import { OBSERVATIONS } from './observations.ts'

/** Under the key of observations: whatever is logged, corrected or removed changes them. */
const LESSONS = [...OBSERVATIONS.queryKey, 'sums'] as const

const sums = (without: string | undefined) =>
  queryOptions({
    queryKey: [...LESSONS, without ?? 'all'],
    queryFn: ({ signal }) => request(learnedSums, `/lessons/sums${without ? `?without=${without}` : ''}`, { signal }),
    refetchInterval: ({ state }) => ((state.data?.waiting ?? 0) > 0 ? 50 : false),
    staleTime: 5_000,
  })

/** What the crew’s trips counted, added up. While trips wait to be counted it is asked again at once. */
export const sumsQuery = sums(undefined)

/** The same of all trips but one. */
export const sumsWithoutQuery = (tripId: string) => sums(tripId)

import { useQuery } from '@tanstack/react-query'
import { useMemo } from 'react'
import type { LearnedSums } from '../../shared/lessons.ts'
import type { LessonsAnswers } from '../../workers/lessons.protocol.ts'
import { runLessons } from '../../workers/runLessons.ts'
import { sumsQuery } from '../api/lessons.ts'
import { type Job, useJob } from '../jobs/useJob.ts'
import { usePriors } from './usePriors.ts'

export type KnownLessons = { sums: LearnedSums; lessons: LessonsAnswers['lessons'] }

/** What all logged trips teach. */
export function useLessons(): {
  known: KnownLessons | undefined
  error: Error | null
  retry: () => void
  job: Job<LessonsAnswers['lessons']>
} {
  const query = useQuery(sumsQuery)
  const sums = query.data
  const priors = usePriors()
  const input = useMemo(() => sums && { kind: 'lessons' as const, sums, priors }, [sums, priors])
  const job = useJob({
    name: 'lessons',
    input,
    run: runLessons<'lessons'>,
    keepsPrevious: true,
  })
  const lessons = job.result
  const known = useMemo(() => (sums && lessons ? { sums, lessons } : undefined), [sums, lessons])
  return { known, error: sums ? job.error : query.error, retry: () => void query.refetch(), job }
}

import { useQuery } from '@tanstack/react-query'
import { useMemo } from 'react'
import type { Catalogue } from '../../core/catalogue/catalogue.ts'
import { runLessons } from '../../workers/runLessons.ts'
import { sumsQuery } from '../api/lessons.ts'
import { pullsQuery } from '../api/observations.ts'
import { useJob } from '../jobs/useJob.ts'

/** What breaks on the water say of the crew’s knots. */
export function useFieldEfficiencies(nominal: Catalogue) {
  const sums = useQuery(sumsQuery).data
  const pulls = useQuery(pullsQuery).data
  const input = useMemo(
    () => (sums && pulls ? { kind: 'knots' as const, chains: sums.chains, catalogue: nominal, pulls } : undefined),
    [sums, pulls, nominal],
  )
  const job = useJob({
    name: 'field-efficiencies',
    input,
    run: runLessons<'knots'>,
    keepsPrevious: true,
  })
  return { ...job, efficiencies: job.result?.efficiencies }
}

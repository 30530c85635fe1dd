import { useQuery } from '@tanstack/react-query'
import { useMemo } from 'react'
import type { SeenLosses } from '../../core/batch/spareRates.ts'
import { sumsQuery } from '../api/lessons.ts'

/** The traces that the crew lost on its trips; none while that is not known. */
export function useSeenLosses(): SeenLosses {
  const all = useQuery(sumsQuery).data?.counts.find(({ by }) => by === 'all')?.counts
  return useMemo(() => ({ events: all?.tracesLost ?? 0, exposure: all?.hours ?? 0 }), [all])
}

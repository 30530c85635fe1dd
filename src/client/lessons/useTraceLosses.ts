import { useQuery } from '@tanstack/react-query'
import { useMemo } from 'react'
import type { TraceLosses } from '../../core/batch/spareRates.ts'
import { sumsQuery } from '../api/lessons.ts'
import { usePriors } from './usePriors.ts'

/** The traces that the crew lost on its trips, none while that is not known, and what it assumes before the first one. */
export function useTraceLosses(): TraceLosses {
  const { losses } = usePriors()
  const all = useQuery(sumsQuery).data?.counts.find(({ by }) => by === 'all')?.counts
  return useMemo(
    () => ({ priorEvents: losses.events, priorExposure: losses.hours, events: all?.tracesLost ?? 0, exposure: all?.hours ?? 0 }),
    [all, losses],
  )
}

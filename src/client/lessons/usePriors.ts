import { useQuery } from '@tanstack/react-query'
import { useMemo } from 'react'
import { DEFAULT_PRIORS, type Priors } from '../../core/lessons/priors.ts'
import { crewSettingsQuery } from '../api/documents.ts'

/** The assumptions before the first trip: the crew’s own, or the defaults. */
export function usePriors(): Priors {
  const own = useQuery(crewSettingsQuery).data?.content.priors
  return useMemo(
    () => ({
      losses: own?.losses ?? DEFAULT_PRIORS.losses,
      fish: own?.fish ?? DEFAULT_PRIORS.fish,
      share: own?.share ?? DEFAULT_PRIORS.share,
    }),
    [own],
  )
}

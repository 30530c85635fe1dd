import { useQuery } from '@tanstack/react-query'
import { useMemo } from 'react'
import type { TripRod } from '../../core/documents/trip.ts'
import type { Setup } from '../../core/setup/setup.ts'
import { revisionQuery, type SavedOutfit } from '../api/documents.ts'
import { useCatalogue } from '../catalogue/useCatalogue.ts'

/** The trace on a rod of a trip, on its outfit; undefined while it loads, or where there is none. */
export function useTripSetup(trace: TripRod['trace'], outfit: SavedOutfit | undefined): Setup | undefined {
  const catalogue = useCatalogue()
  const design = useQuery({
    ...revisionQuery('traces', trace?.id ?? '', trace?.revision ?? 0),
    enabled: trace !== undefined,
  }).data
  return useMemo(
    () =>
      design && outfit
        ? { trace: design.content.trace, conditions: design.content.conditions, outfit: outfit.content, catalogue }
        : undefined,
    [design, outfit, catalogue],
  )
}

import { useQuery } from '@tanstack/react-query'
import { useMemo } from 'react'
import type { Hold } from '../../core/documents/observation.ts'
import { activeHolds } from '../../core/learning/markLessons.ts'
import { observationsQuery } from '../api/observations.ts'

/** What was seen to hold and drag at a mark; nothing until it is loaded, so that nominal figures count alone. */
export function useHolds(markId: string): readonly Hold[] {
  const seen = useQuery(observationsQuery(markId)).data
  return useMemo(() => activeHolds(seen ?? []), [seen])
}

import { useQuery } from '@tanstack/react-query'
import { DEFAULT_ASSURANCE } from '../../core/batch/spareRates.ts'
import { crewSettingsQuery } from '../api/documents.ts'

/** How surely the spares of a trip are to be enough. */
export const useAssurance = (): number => useQuery(crewSettingsQuery).data?.content.sparesAssurance ?? DEFAULT_ASSURANCE

import { queryOptions, useQuery } from '@tanstack/react-query'
import { useMemo } from 'react'
import { type Readiness, readinessOf } from '../../core/batch/readiness.ts'
import { DEFAULT_OLD_DAYS } from '../../core/documents/tied.ts'
import { readContent } from '../../shared/documentKinds.ts'
import { savedRow } from '../../shared/versioned.ts'
import { today } from '../settings/today.ts'
import { crewSettingsQuery, listQuery, type SavedDocument } from './documents.ts'
import { ApiError, request } from './http.ts'

export type SavedTied = SavedDocument<'tied'>

/** A tied trace by the code on its label. */
export const tiedByCodeQuery = (code: string) =>
  queryOptions({
    queryKey: ['tied', 'code', code],
    queryFn: async (): Promise<SavedTied> => {
      const row = await request(savedRow, `/tied-by-code/${code}`)
      const read = readContent('tied', row.content)
      if (!read.ok) throw new ApiError(200, 'unreadable', read.message, row)
      return { ...row, content: read.content }
    },
  })

/** Days after which a tied trace is to be looked at. */
export const useOldDays = (): number => useQuery(crewSettingsQuery).data?.content.oldAfterDays ?? DEFAULT_OLD_DAYS

/** The readiness of every design that has tied traces or batches; empty while those load. */
export function useReadiness(): ReadonlyMap<string, Readiness> {
  const tied = useQuery(listQuery('tied')).data?.documents
  const batches = useQuery(listQuery('batches')).data?.documents
  return useMemo(() => readinessOf(tied ?? [], batches ?? [], today()), [tied, batches])
}

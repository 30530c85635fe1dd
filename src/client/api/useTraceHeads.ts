import { useInfiniteQuery } from '@tanstack/react-query'
import { useEffect } from 'react'
import { traceHeadsQuery } from './documents.ts'

/** Every trace's head, or those in the trash: the first page at once, the others as they arrive. */
export function useTraceHeads(isTrash = false) {
  const query = useInfiniteQuery(traceHeadsQuery(isTrash))
  const { hasNextPage, isFetching, isError, fetchNextPage } = query
  useEffect(() => {
    if (hasNextPage && !isFetching && !isError) void fetchNextPage()
  }, [hasNextPage, isFetching, isError, fetchNextPage])
  return query
}

import { useInfiniteQuery } from '@tanstack/react-query'
import { useEffect } from 'react'
import { traceHeadsQuery } from './documents.ts'

/** Every trace's head, or those in the bin: the first page at once, the others as they come. */
export function useTraceHeads(bin = false) {
  const query = useInfiniteQuery(traceHeadsQuery(bin))
  const { hasNextPage, isFetching, isError, fetchNextPage } = query
  useEffect(() => {
    if (hasNextPage && !isFetching && !isError) void fetchNextPage()
  }, [hasNextPage, isFetching, isError, fetchNextPage])
  return query
}

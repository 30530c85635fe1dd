import { queryOptions, useMutation, useQueryClient } from '@tanstack/react-query'
import { demoState } from '../../shared/demo.ts'
import { request } from './http.ts'

/** What of the demonstration data is shown. */
export const demoQuery = queryOptions({
  queryKey: ['demo'],
  queryFn: () => request(demoState, '/demo'),
})

/** Removes the demonstration data, or brings it back; every list is read again. */
export function useDemoChange() {
  const client = useQueryClient()
  return useMutation({
    mutationFn: (change: 'remove' | 'bring back') =>
      request(demoState, '/demo', { method: change === 'remove' ? 'DELETE' : 'POST' }),
    onSuccess: () => client.invalidateQueries(),
  })
}

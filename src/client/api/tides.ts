import { queryOptions } from '@tanstack/react-query'
import { portsBody, tideBody } from '../../shared/tides.ts'
import { request } from './http.ts'
import { spanOf } from './span.ts'

/** Tides do not change: they are kept while the page is open, so that it works without a network. */
const FOR_GOOD = { staleTime: Number.POSITIVE_INFINITY, gcTime: Number.POSITIVE_INFINITY }

export const portsQuery = queryOptions({ queryKey: ['ports'], queryFn: () => request(portsBody, '/ports'), ...FOR_GOOD })

export const tideQuery = (portId: string, fromMs: number, toMs: number) =>
  queryOptions({
    queryKey: ['tide', portId, fromMs, toMs],
    queryFn: () => request(tideBody, `/ports/${portId}/tide?${spanOf(fromMs, toMs)}`),
    ...FOR_GOOD,
  })

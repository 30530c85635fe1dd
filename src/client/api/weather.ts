import { queryOptions } from '@tanstack/react-query'
import { windBody } from '../../shared/tides.ts'
import { request } from './http.ts'
import { spanOf } from './span.ts'

export const windQuery = (latitudeDeg: number, longitudeDeg: number, fromMs: number, toMs: number) =>
  queryOptions({
    queryKey: ['wind', latitudeDeg, longitudeDeg, fromMs, toMs],
    queryFn: () => request(windBody, `/wind?lat=${latitudeDeg}&lon=${longitudeDeg}&${spanOf(fromMs, toMs)}`),
    staleTime: 3_600_000,
  })

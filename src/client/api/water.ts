import { queryOptions } from '@tanstack/react-query'
import { z } from 'zod'
import { type MarkContent, markContent } from '../../shared/marks.ts'
import { portsBody, tideBody, windBody } from '../../shared/tides.ts'
import { type Saved, savedOf } from '../../shared/versioned.ts'
import { request } from './http.ts'
import { saveOnto } from './saveOnto.ts'

export type SavedMark = Saved<MarkContent>
const savedMark = savedOf(markContent)
/** Tides do not change; what was asked once is kept while the page is open, so that it goes on without a network. */
const KEPT = { staleTime: Number.POSITIVE_INFINITY, gcTime: Number.POSITIVE_INFINITY }

export const marksQuery = queryOptions({
  queryKey: ['marks'],
  queryFn: () => request(z.array(savedMark), '/marks'),
  select: (marks) => marks.toSorted((a, b) => a.content.name.localeCompare(b.content.name)),
})

export const createMark = (id: string, content: MarkContent) =>
  request(savedMark, '/marks', { method: 'POST', body: { id, content } })

export const saveMark = (id: string, baseRevision: number, content: MarkContent) =>
  saveOnto(markContent, `/marks/${id}`, baseRevision, content)

export const binMark = (id: string) => request(savedMark, `/marks/${id}`, { method: 'DELETE' })

export const restoreMark = (id: string) => request(savedMark, `/marks/${id}/restore`, { method: 'POST' })

export const portsQuery = queryOptions({ queryKey: ['ports'], queryFn: () => request(portsBody, '/ports'), ...KEPT })

const spanOf = (fromMs: number, toMs: number) => `from=${new Date(fromMs).toISOString()}&to=${new Date(toMs).toISOString()}`

export const tideQuery = (portId: string, fromMs: number, toMs: number) =>
  queryOptions({
    queryKey: ['tide', portId, fromMs, toMs],
    queryFn: () => request(tideBody, `/ports/${portId}/tide?${spanOf(fromMs, toMs)}`),
    ...KEPT,
  })

export const windQuery = (latitudeDeg: number, longitudeDeg: number, fromMs: number, toMs: number) =>
  queryOptions({
    queryKey: ['wind', latitudeDeg, longitudeDeg, fromMs, toMs],
    queryFn: () => request(windBody, `/wind?lat=${latitudeDeg}&lon=${longitudeDeg}&${spanOf(fromMs, toMs)}`),
    staleTime: 3_600_000,
  })

import { infiniteQueryOptions, type QueryClient, queryOptions } from '@tanstack/react-query'
import { CREW_SETTINGS_ID, type CrewSettings, DEFAULT_CREW_SETTINGS } from '../../core/documents/crewSettings.ts'
import { type ContentOf, readContent, readList } from '../../shared/documentKinds.ts'
import type { DocumentKind } from '../../shared/kindNames.ts'
import { type TraceHead, traceHead } from '../../shared/traceHead.ts'
import {
  createdMany,
  emptiedTrash,
  type ListPage,
  listPage,
  MAX_CREATED,
  revisionList,
  type Saved,
  type SavedRow,
  savedRow,
  staleBody,
} from '../../shared/versioned.ts'
import { ApiError, request } from './http.ts'

export type SavedDocument<K extends DocumentKind> = Saved<ContentOf<K>>
export type SavedTrace = SavedDocument<'traces'>
export type SavedOutfit = SavedDocument<'outfits'>
export type SavedMark = SavedDocument<'marks'>
export type SavedFish = SavedDocument<'fish'>
export type SavedRuleSet = SavedDocument<'rule-sets'>

function readOne<K extends DocumentKind>(kind: K, row: SavedRow): SavedDocument<K> {
  const read = readContent(kind, row.content)
  if (!read.ok) throw new ApiError(200, 'unreadable', read.message, row)
  return { ...row, content: read.content }
}

const fetchOne = async <K extends DocumentKind>(kind: K, path: string, init?: Parameters<typeof request>[2]) =>
  readOne(kind, await request(savedRow, `/${kind}${path}`, init))

const pageOf = (kind: DocumentKind, query: Record<string, string>, signal?: AbortSignal) =>
  request(listPage, `/${kind}?${new URLSearchParams(query)}`, signal ? { signal } : {})

const inTrash = (isTrash: boolean): Record<string, string> => (isTrash ? { trash: 'true' } : {})

async function everyPage<K extends DocumentKind>(kind: K, query: Record<string, string>, signal: AbortSignal) {
  const rows: SavedRow[] = []
  let after: Record<string, string> | undefined = {}
  while (after) {
    const page: ListPage = await pageOf(kind, { ...query, ...after }, signal)
    rows.push(...page.documents)
    after = page.next === null ? undefined : { after: page.next }
  }
  return readList(kind, rows)
}

/** Reads a kind again after a change. A list that is on its way was asked for before the change, and would be taken for the newest. */
export async function refreshKind(client: QueryClient, kind: DocumentKind): Promise<void> {
  await client.cancelQueries({ queryKey: [kind] })
  await client.invalidateQueries({ queryKey: [kind] })
}

/** Every document of a kind, contents and all. */
export const listQuery = <K extends DocumentKind>(kind: K) =>
  queryOptions({
    queryKey: [kind, 'list'],
    queryFn: ({ signal }) => everyPage(kind, {}, signal),
  })

/** The deleted documents of a kind, contents and all. */
export const trashQuery = <K extends DocumentKind>(kind: K) =>
  queryOptions({ queryKey: [kind, 'trash'], queryFn: ({ signal }) => everyPage(kind, inTrash(true), signal) })

export type SavedTraceHead = Saved<TraceHead>

/** The traces, or the deleted ones, page by page and without their contents. */
export const traceHeadsQuery = (isTrash = false) =>
  infiniteQueryOptions({
    queryKey: ['traces', 'heads', { isTrash }],
    queryFn: async ({ pageParam, signal }): Promise<{ heads: SavedTraceHead[]; next: string | null }> => {
      const { documents, next } = await pageOf('traces', { heads: 'true', ...inTrash(isTrash), ...pageParam }, signal)
      return { heads: documents.map((row) => ({ ...row, content: traceHead.parse(row.content) })), next }
    },
    initialPageParam: {} as Record<string, string>,
    getNextPageParam: ({ next }) => (next === null ? undefined : { after: next }),
    select: ({ pages }) => pages.flatMap(({ heads }) => heads),
  })

/** Those of the traces that are there, as they are kept. */
export const fetchTraceRows = async (ids: readonly string[], signal: AbortSignal): Promise<SavedRow[]> =>
  (await pageOf('traces', { ids: ids.join() }, signal)).documents

/** The traces that are fished on an outfit, the last saved first; up to a page of them. */
export async function fetchTracesOnOutfit(
  outfitId: string,
): Promise<{ traces: { id: string; name: string }[]; hasMore: boolean }> {
  const { documents, next } = await pageOf('traces', { heads: 'true', outfit: outfitId })
  return {
    traces: documents.map(({ id, content }) => ({ id, name: traceHead.parse(content).name })),
    hasMore: next !== null,
  }
}

/** The traces that were saved last, a page of them, as they are kept. */
export const fetchLatestTraceRows = async (signal: AbortSignal): Promise<SavedRow[]> =>
  (await pageOf('traces', {}, signal)).documents

export const documentQuery = <K extends DocumentKind>(kind: K, id: string) =>
  queryOptions({ queryKey: [kind, id], queryFn: () => fetchOne(kind, `/${id}`) })

export const revisionsQuery = (kind: DocumentKind, id: string) =>
  queryOptions({
    queryKey: [kind, id, 'revisions'],
    queryFn: () => request(revisionList, `/${kind}/${id}/revisions`),
    staleTime: 0,
  })

export const revisionQuery = <K extends DocumentKind>(kind: K, id: string, revision: number) =>
  queryOptions({
    queryKey: [kind, id, 'revisions', revision],
    queryFn: () => fetchOne(kind, `/${id}/revisions/${revision}`),
    staleTime: Number.POSITIVE_INFINITY,
  })

export const createDocument = <K extends DocumentKind>(kind: K, content: ContentOf<K>, id: string) =>
  fetchOne(kind, '', { method: 'POST', body: { id, content } })

export const deleteDocument = <K extends DocumentKind>(kind: K, id: string) => fetchOne(kind, `/${id}`, { method: 'DELETE' })

export const restoreDocument = <K extends DocumentKind>(kind: K, id: string) =>
  fetchOne(kind, `/${id}/restore`, { method: 'POST' })

/** Creates documents, page by page; an id that is there already is left as it is. */
export async function createDocuments<K extends DocumentKind>(
  kind: K,
  documents: readonly { id: string; content: ContentOf<K> }[],
): Promise<void> {
  for (let at = 0; at < documents.length; at += MAX_CREATED)
    await request(createdMany, `/${kind}/many`, { method: 'POST', body: { documents: documents.slice(at, at + MAX_CREATED) } })
}

/** Deletes the trash of a kind for good. */
export const emptyTrash = (kind: DocumentKind) => request(emptiedTrash, `/${kind}?trash=true`, { method: 'DELETE' })

export type SaveResult<K extends DocumentKind> = { saved: SavedDocument<K> } | { stale: SavedDocument<K> }

/** Saves onto a revision; a stale save is a result with what is current, not an error. */
export async function saveDocument<K extends DocumentKind>(
  kind: K,
  id: string,
  baseRevision: number,
  content: ContentOf<K>,
): Promise<SaveResult<K>> {
  try {
    return { saved: await fetchOne(kind, `/${id}`, { method: 'PUT', body: { baseRevision, content } }) }
  } catch (error) {
    const stale = error instanceof ApiError && error.code === 'stale' ? staleBody.safeParse(error.body) : undefined
    if (stale?.success) return { stale: readOne(kind, stale.data.current) }
    throw error
  }
}

const byName = <T extends { content: { name: string } }>(documents: readonly T[]): T[] =>
  documents.toSorted((a, b) => a.content.name.localeCompare(b.content.name))

export const outfitsQuery = queryOptions({ ...listQuery('outfits'), select: ({ documents }) => byName(documents) })
export const marksQuery = queryOptions({ ...listQuery('marks'), select: ({ documents }) => byName(documents) })
export const fishQuery = queryOptions({ ...listQuery('fish'), select: ({ documents }) => byName(documents) })
export const ruleSetsQuery = queryOptions({ ...listQuery('rule-sets'), select: ({ documents }) => byName(documents) })
export const gearQuery = queryOptions({ ...listQuery('gear'), select: ({ documents }) => documents })

/** The sinkers among the gear. */
export const sinkersQuery = queryOptions({
  ...listQuery('gear'),
  select: ({ documents }) =>
    documents.flatMap(({ content }) => {
      if (content.kind !== 'sinker') return []
      const { shape, massKg, number } = content
      return [{ shape, massKg, number }]
    }),
})

/** What the crew goes by; a crew that set nothing has the defaults, at revision 0. */
export const crewSettingsQuery = queryOptions({
  ...listQuery('settings'),
  select: ({ documents }): { revision: number; content: CrewSettings } =>
    documents.find(({ id }) => id === CREW_SETTINGS_ID) ?? { revision: 0, content: DEFAULT_CREW_SETTINGS },
})

/** Changes the settings as they are on the server now: one save, made again where another one came between. */
export async function changeCrewSettings(client: QueryClient, change: (old: CrewSettings) => CrewSettings): Promise<void> {
  const list = listQuery('settings')
  const now = crewSettingsQuery.select?.(await client.fetchQuery({ ...list, staleTime: 0 }))
  const content = change(now?.content ?? DEFAULT_CREW_SETTINGS)
  if (!now || now.revision === 0) await createDocument('settings', content, CREW_SETTINGS_ID)
  else {
    const result = await saveDocument('settings', CREW_SETTINGS_ID, now.revision, content)
    if ('stale' in result) return changeCrewSettings(client, change)
  }
  await client.invalidateQueries({ queryKey: ['settings'] })
}

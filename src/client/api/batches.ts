import { queryOptions, useMutation, useQuery, useQueryClient } from '@tanstack/react-query'
import { useCallback, useEffect, useMemo, useState } from 'react'
import { z } from 'zod'
import type { Batch } from '../../core/documents/batch.ts'
import { type BatchProgress, type BatchTick, batchProgress, batchTick, type FinishBody, MAX_TICKS } from '../../shared/batches.ts'
import { fromStorage } from '../settings/browserStorage.ts'
import { documentQuery, type SavedDocument, saveDocument } from './documents.ts'
import { isRefusal, request } from './http.ts'
import { newId } from './newId.ts'

/** How often what others did is asked for, and ticks that are kept back are sent again. */
const ASK_MS = 1_500

const progressQuery = (batchId: string) =>
  queryOptions({
    queryKey: ['batch-progress', batchId],
    queryFn: () => request(batchProgress, `/batches/${batchId}/progress`),
    refetchInterval: ASK_MS,
    staleTime: 0,
  })

/** Ticks that the server has not confirmed, kept in this browser one by one, so that two windows never lose each other's. */
const keyOf = (batchId: string, tickId = '') => `wide-reach.tick.${batchId}.${tickId}`
const keep = (batchId: string, tick: BatchTick) =>
  fromStorage(() => localStorage.setItem(keyOf(batchId, tick.id), JSON.stringify(tick)))
const forget = (batchId: string, { id }: BatchTick) => fromStorage(() => localStorage.removeItem(keyOf(batchId, id)))
const keptTicks = (batchId: string): BatchTick[] =>
  (fromStorage(() => Object.keys(localStorage).filter((key) => key.startsWith(keyOf(batchId)))) ?? []).flatMap((key) => {
    const read = z
      .preprocess((text) => fromStorage(() => JSON.parse(String(text))), batchTick)
      .safeParse(localStorage.getItem(key))
    return read.success ? [read.data] : []
  })

/**
 * What is done of a batch, by everyone who works on it, and a way to tick. A tick is shown at once; without a connection it is kept
 * and sent when the server answers again.
 */
export function useBatchProgress(batchId: string) {
  const client = useQueryClient()
  const query = useQuery(progressQuery(batchId))
  const [waiting, setWaiting] = useState(() => keptTicks(batchId))
  const [refused, setRefused] = useState<string>()
  const { mutate, isPending, isError, reset } = useMutation({
    mutationFn: (ticks: readonly BatchTick[]) =>
      request(batchProgress, `/batches/${batchId}/ticks`, { method: 'POST', body: { ticks } }),
    onSuccess: async (progress, sent) => {
      // An answer that was asked for before this one knows less.
      await client.cancelQueries({ queryKey: progressQuery(batchId).queryKey })
      client.setQueryData(progressQuery(batchId).queryKey, progress)
      drop(sent)
    },
    onError: (error, sent) => {
      if (!isRefusal(error)) return
      drop(sent)
      setRefused(error.message)
    },
  })
  const drop = (sent: readonly BatchTick[]) => {
    for (const tick of sent) forget(batchId, tick)
    const ids = new Set(sent.map(({ id }) => id))
    setWaiting((all) => all.filter(({ id }) => !ids.has(id)))
  }
  const send = useCallback(() => {
    if (waiting.length > 0 && !isPending) mutate(waiting.slice(0, MAX_TICKS))
  }, [waiting, isPending, mutate])
  useEffect(() => {
    // What has just failed waits for the timer: tried again at once it would never rest.
    if (!isError) send()
    const timer = setInterval(send, ASK_MS)
    return () => clearInterval(timer)
  }, [send, isError])
  const tick = useCallback(
    (part: string, change: number, of: number) => {
      const made: BatchTick = { id: newId(), part, change, of }
      keep(batchId, made)
      setRefused(undefined)
      // Each touch is one more try.
      if (isError) reset()
      setWaiting((all) => [...all, made])
    },
    [batchId, isError, reset],
  )
  const parts = useMemo(() => withWaiting(query.data?.parts ?? {}, waiting), [query.data, waiting])
  return {
    progress: query.data && { ...query.data, parts },
    error: query.data ? null : query.error,
    retry: () => void query.refetch(),
    /** Ticks that others do not see yet, while the server does not answer. */
    waiting: query.isError || query.failureCount > 0 || query.fetchStatus === 'paused' ? waiting.length : 0,
    refused,
    tick,
  }
}

export type BatchWork = ReturnType<typeof useBatchProgress>

/** What is done with the ticks that are on their way, by the rule of the server. */
function withWaiting(parts: BatchProgress['parts'], waiting: readonly BatchTick[]): BatchProgress['parts'] {
  const all = { ...parts }
  for (const { part, change, of } of waiting) all[part] = Math.min(Math.max((all[part] ?? 0) + change, 0), of)
  return all
}

/** Finishes traces of a batch, or takes that back; stock and tied traces are read again. */
export function useFinishing(batchId: string) {
  const client = useQueryClient()
  return useMutation({
    mutationFn: (change: { finish: FinishBody } | { undo: string }) =>
      'finish' in change
        ? request(batchProgress, `/batches/${batchId}/finish`, { method: 'POST', body: change.finish })
        : request(batchProgress, `/batches/${batchId}/undo`, { method: 'POST', body: { id: newId(), undoes: change.undo } }),
    onSuccess: (progress) => client.setQueryData(progressQuery(batchId).queryKey, progress),
    onSettled: () => Promise.all(['stock', 'tied'].map((kind) => client.invalidateQueries({ queryKey: [kind] }))),
  })
}

/** Changes a batch as it is on the server now, again where another change came between. */
export function useBatchChange(batchId: string) {
  const client = useQueryClient()
  const query = documentQuery('batches', batchId)
  const save = async (change: (old: Batch) => Batch): Promise<SavedDocument<'batches'>> => {
    const now = await client.fetchQuery({ ...query, staleTime: 0 })
    const result = await saveDocument('batches', batchId, now.revision, change(now.content))
    return 'stale' in result ? save(change) : result.saved
  }
  return useMutation({
    mutationFn: save,
    onSuccess: (saved) => {
      client.setQueryData(query.queryKey, saved)
      void client.invalidateQueries({ queryKey: ['batches', 'list'] })
    },
  })
}

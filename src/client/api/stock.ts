import { queryOptions, useMutation, useQuery, useQueryClient } from '@tanstack/react-query'
import type { z } from 'zod'
import type { BoxItem, SpoolLevel } from '../../core/batch/candidates.ts'
import {
  itemHistory,
  MAX_MOVEMENTS,
  type NewMovement,
  type StockCount,
  type StockLevel,
  shortOf,
  stockLevels,
} from '../../shared/stock.ts'
import { gearQuery, type SavedDocument } from './documents.ts'
import { ApiError, request } from './http.ts'
import { newId } from './newId.ts'

/** The levels of each item that was ever counted, its spools in order. */
export type Levels = ReadonlyMap<string, readonly SpoolLevel[]>

const byItem = ({ levels }: z.infer<typeof stockLevels>): Levels => {
  const items = new Map<string, SpoolLevel[]>()
  for (const { itemId, spool, quantity } of levels) {
    const spools = items.get(itemId) ?? []
    spools.push({ spool, quantity })
    items.set(itemId, spools)
  }
  return items
}

const STOCK = ['stock'] as const
const LEVELS = [...STOCK, 'levels'] as const

export const levelsQuery = queryOptions({
  queryKey: LEVELS,
  queryFn: () => request(stockLevels, '/stock'),
  select: byItem,
})

/** The movements of an item, the latest first. */
export const itemHistoryQuery = (itemId: string) =>
  queryOptions({
    queryKey: [...STOCK, 'item', itemId],
    queryFn: () => request(itemHistory, `/stock/items/${itemId}`),
    staleTime: 0,
  })

/** The gear with what is there of each; undefined while it loads. */
export function useBox(): { box: BoxItem[] | undefined; error: Error | null; retry: () => void } {
  const gear = useQuery(gearQuery)
  const levels = useQuery(levelsQuery)
  return {
    box: gear.data && levels.data && boxOf(gear.data, levels.data),
    error: (gear.data ? null : gear.error) ?? (levels.data ? null : levels.error),
    retry: () => {
      void gear.refetch()
      void levels.refetch()
    },
  }
}

const boxOf = (gear: readonly SavedDocument<'gear'>[], levels: Levels): BoxItem[] =>
  gear.map(({ id, content }) => ({ id, gear: content, spools: levels.get(id) }))

/** A change of stock: movements to add, a count, or a movement to undo. */
export type StockChange =
  | { do: 'move'; movements: readonly (Omit<NewMovement, 'id'> & { id?: string })[] }
  | { do: 'count'; counts: readonly Omit<StockCount, 'id'>[] }
  | { do: 'undo'; movementId: string }

/** Changes the stock; the levels that come back are shown at once. A refusal leaves everything as it was. */
export function useStockChange() {
  const client = useQueryClient()
  return useMutation({
    mutationFn: async (change: StockChange): Promise<{ ids: string[] }> => {
      const sent = bodiesOf(change)
      let answer: { levels: StockLevel[] } | undefined
      for (const { path, body } of sent.requests) answer = await request(stockLevels, path, { method: 'POST', body })
      if (answer) client.setQueryData(LEVELS, answer)
      return { ids: sent.ids }
    },
    // A refusal comes from levels that are not those of the page.
    onSettled: () => client.invalidateQueries({ queryKey: STOCK }),
  })
}

function bodiesOf(change: StockChange): { ids: string[]; requests: { path: string; body: object }[] } {
  if (change.do === 'undo')
    return { ids: [], requests: [{ path: '/stock/undo', body: { id: newId(), undoes: change.movementId } }] }
  const [path, field, rows] =
    change.do === 'move'
      ? (['/stock/movements', 'movements', change.movements] as const)
      : (['/stock/counts', 'counts', change.counts] as const)
  const named = rows.map((row) => ({ id: newId(), ...row }))
  const pages = Array.from({ length: Math.ceil(named.length / MAX_MOVEMENTS) }, (_, i) =>
    named.slice(i * MAX_MOVEMENTS, (i + 1) * MAX_MOVEMENTS),
  )
  return { ids: named.map(({ id }) => id), requests: pages.map((page) => ({ path, body: { [field]: page } })) }
}

/** What a refusal says is left where too much was asked for, or where the stock moved while it was counted. */
export function shortIn(error: unknown): z.infer<typeof shortOf>['short'] {
  const read = error instanceof ApiError ? shortOf.safeParse(error.body) : undefined
  return read?.success ? read.data.short : []
}

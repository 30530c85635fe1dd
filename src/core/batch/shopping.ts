import type { Catalogue } from '../catalogue/catalogue.ts'
import type { Batch } from '../documents/batch.ts'
import { costOf, minimumOf, packOf } from '../documents/gear.ts'
import type { Trace } from '../documents/trace.ts'
import { planBatch, usesOf } from './batchPlan.ts'
import { amountOf, type BoxItem } from './candidates.ts'
import type { Need } from './needs.ts'

/** Traces that are to be tied: the rest of a batch, or spares. */
export type WantedTraces = { why: string; trace: Trace; traces: number; choices?: Batch['choices'] }

/** What is to be bought of an item: how much is missing, in whole packs or spools, and why. */
export type Purchase = {
  item: BoxItem
  missing: number
  packs: number
  quantity: number
  cost: number | undefined
  reasons: { why: string; quantity: number }[]
}

/** A line or part that nothing in the box can be made into. */
export type Unowned = { need: Need; quantity: number; why: string[] }

export type ShoppingList = {
  purchases: Purchase[]
  unowned: Unowned[]
  /** Items that are wanted and were never counted: nobody knows whether they are enough. */
  uncounted: { item: BoxItem; why: string[] }[]
}

export const MINIMUM = 'minimum'

/**
 * What to buy so that the traces can be tied and the minimum of every item stays: minus what is on hand, in whole packs.
 * A line is missing what its spools cannot give in whole cuts, or what is below its minimum after, whichever is more.
 */
export function shoppingList(wanted: readonly WantedTraces[], box: readonly BoxItem[], catalogue: Catalogue): ShoppingList {
  const left = new Map(box.map((item) => [item.id, item]))
  const short = new Map<string, { why: string; quantity: number }[]>()
  const unowned = new Map<string, Unowned>()
  const uncounted = new Map<string, { item: BoxItem; why: string[] }>()
  for (const { why, trace, traces, choices } of wanted) {
    if (traces <= 0) continue
    const plan = planBatch({ trace, catalogue, box: [...left.values()], choices }, traces)
    for (const { need, from, needed, onHand, short: missing } of plan) {
      if (!from) {
        const key = unownedKey(need)
        const row = unowned.get(key) ?? { need, quantity: 0, why: [] }
        unowned.set(key, { need, quantity: row.quantity + needed, why: [...row.why, why] })
      } else if (onHand === undefined) {
        const row = uncounted.get(from.item.id) ?? { item: from.item, why: [] }
        uncounted.set(from.item.id, { ...row, why: [...row.why, why] })
      } else if (missing > 0) short.set(from.item.id, [...(short.get(from.item.id) ?? []), { why, quantity: missing }])
    }
    for (const { itemId, spool, quantity } of usesOf(plan)) {
      const item = left.get(itemId)
      if (item?.spools)
        left.set(itemId, {
          ...item,
          spools: item.spools.map((each) =>
            each.spool === spool ? { spool, quantity: Math.max(0, each.quantity + quantity) } : each,
          ),
        })
    }
  }
  const purchases = box.flatMap((item): Purchase[] => {
    const reasons = [...(short.get(item.id) ?? [])]
    const after = left.get(item.id) ?? item
    const minimum = item.spools === undefined ? undefined : minimumOf(item.gear)
    if (minimum !== undefined && amountOf(after) < minimum) reasons.push({ why: MINIMUM, quantity: minimum - amountOf(after) })
    const missing = reasons.reduce((sum, { quantity }) => sum + quantity, 0)
    if (missing <= 0) return []
    const packs = Math.ceil(missing / packOf(item.gear) - 1e-9)
    const quantity = packs * packOf(item.gear)
    return [{ item, missing, packs, quantity, cost: costOf(item.gear, quantity), reasons }]
  })
  return { purchases, unowned: [...unowned.values()], uncounted: [...uncounted.values()] }
}

/** Needs of one kind are bought together. */
function unownedKey(need: Need): string {
  if (need.kind === 'line') return `${need.material} ${need.strengthN.toPrecision(6)} ${need.diameterM.toPrecision(6)}`
  const { id: _id, attach: _attach, label: _label, ...kind } = need.sample
  return JSON.stringify(kind)
}

/** The movements that buying packs of an item makes: pieces at once, each spool of a line as a new one. */
export function boughtMovements({ id, gear, spools }: BoxItem, packs: number) {
  const bought = { itemId: id, reason: 'bought' as const }
  if (gear.kind !== 'line') return [{ ...bought, spool: 1, quantity: packs * packOf(gear) }]
  const last = Math.max(0, ...(spools ?? []).map(({ spool }) => spool))
  return Array.from({ length: packs }, (_, i) => ({ ...bought, spool: last + 1 + i, quantity: gear.lengthM }))
}

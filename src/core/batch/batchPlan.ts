import type { Batch } from '../documents/batch.ts'
import type { Rig } from '../setup/setup.ts'
import { cutsFromRemnants, type RemnantCuts, stockBatch } from '../stock/batch.ts'
import { amountOf, type BoxItem, type Candidate, candidatesFor } from './candidates.ts'
import { cutsOfTrace, type LineNeed, type Need, needsOf } from './needs.ts'

/** What is cut from a spool, and what is left on it then. */
export type SpoolCuts = { spool: number; cuts: RemnantCuts['cuts']; takenM: number; leftM: number }

/** What a batch needs of one line or part: pieces, or metres. */
export type PlannedNeed = {
  need: Need
  needed: number
  candidates: Candidate[]
  /** The item that it is taken from; undefined: nothing of the box. */
  from: Candidate | undefined
  /** Undefined where nothing is taken from the box, or the item was never counted. */
  onHand: number | undefined
  /** The complete traces that what is on hand gives, up to those to make. */
  traces: number | undefined
  /** How much is missing for all traces: pieces, or metres. */
  short: number
  /** Which cuts come from which spool, for the traces that can be made. Of parts, and of a line that was not counted: none. */
  spools: SpoolCuts[]
}

type Planned = Pick<Rig, 'trace' | 'catalogue'> & { box: readonly BoxItem[]; choices: Batch['choices'] }

/**
 * What so many traces of a design take from the box. A need is taken from the item that was chosen for it, else from one that is the
 * same thing; from nothing where the box has neither. Lines in m, as they are cut.
 */
export function planBatch({ trace, catalogue, box, choices = [] }: Planned, traces: number): PlannedNeed[] {
  /** What the needs before leave of an item. */
  const left = new Map<string, BoxItem['spools']>()
  return needsOf({ trace, catalogue }).map((need) => {
    const candidates = candidatesFor(need, trace, box, catalogue)
    const choice = choices.find(({ piece }) => piece === need.piece)
    const from = choice ? candidates.find(({ item }) => item.id === choice.itemId) : candidates.find(({ isSame }) => isSame)
    if (!from) return { need, candidates, from, ...amounts(need, undefined, traces) }
    const { id, spools } = from.item
    const planned: PlannedNeed = {
      need,
      candidates,
      from,
      ...amounts(need, { ...from.item, spools: left.get(id) ?? spools }, traces),
    }
    left.set(id, afterUse(left.get(id) ?? spools, planned))
    return planned
  })
}

const afterUse = (spools: BoxItem['spools'], { need, needed, spools: cut }: PlannedNeed): BoxItem['spools'] =>
  spools?.map(({ spool, quantity }) => {
    const taken = need.kind === 'part' ? needed : (cut.find((each) => each.spool === spool)?.takenM ?? 0)
    return { spool, quantity: Math.max(0, quantity - taken) }
  })

/** The movements that making so many traces takes, item by item and spool by spool. Nothing of an item that was never counted. */
export function usesOf(plan: readonly PlannedNeed[]): { itemId: string; spool: number; quantity: number }[] {
  const uses = new Map<string, { itemId: string; spool: number; quantity: number }>()
  const add = (itemId: string, spool: number, quantity: number) => {
    const key = `${itemId} ${spool}`
    uses.set(key, { itemId, spool, quantity: (uses.get(key)?.quantity ?? 0) - quantity })
  }
  for (const { need, needed, from, onHand, spools } of plan) {
    if (!from || onHand === undefined) continue
    if (need.kind === 'part') add(from.item.id, 1, needed)
    else for (const { spool, takenM } of spools) add(from.item.id, spool, takenM)
  }
  return [...uses.values()].map((use) => ({ ...use, quantity: Number(use.quantity.toFixed(3)) }))
}

type Amounts = Omit<PlannedNeed, 'need' | 'candidates' | 'from'>

function amounts(need: Need, item: BoxItem | undefined, traces: number): Amounts {
  const perTrace = need.kind === 'part' ? need.perTrace : cutsOfTrace(need).reduce((sum, cutM) => sum + cutM, 0)
  const needed = perTrace * traces
  if (!item) return { needed, onHand: undefined, traces: undefined, short: needed, spools: [] }
  if (item.spools === undefined) return { needed, onHand: undefined, traces: undefined, short: 0, spools: [] }
  const onHand = amountOf(item)
  if (need.kind === 'part') {
    const possible = Math.min(traces, Math.floor(onHand / perTrace))
    return { needed, onHand, traces: possible, short: Math.max(0, needed - onHand), spools: [] }
  }
  const { possible, spools } = cutFrom(need, item.spools, traces)
  return { needed, onHand, traces: possible, short: perTrace * (traces - possible), spools }
}

function cutFrom(need: LineNeed, levels: NonNullable<BoxItem['spools']>, traces: number) {
  const usable = levels.filter(({ quantity }) => quantity > 0)
  const given = { remnantsM: usable.map(({ quantity }) => quantity), cutsM: cutsOfTrace(need) }
  if (usable.length === 0) return { possible: 0, spools: [] }
  const all = cutsFromRemnants(given, traces)
  const possible = all ? traces : Math.min(traces, stockBatch(given).traces)
  const cuts = all ?? (possible > 0 ? (cutsFromRemnants(given, possible) ?? []) : [])
  return {
    possible,
    spools: cuts.map(({ remnant, cuts: taken }): SpoolCuts => {
      const { spool, quantity } = usable[remnant]!
      const takenM = taken.reduce((sum, { cutM, count }) => sum + cutM * count, 0)
      return { spool, cuts: taken, takenM, leftM: quantity - takenM }
    }),
  }
}

import type { Batch } from '../documents/batch.ts'
import type { Tied } from '../documents/tied.ts'
import { sparesFor, type TraceLosses } from './spareRates.ts'

type Stored<T> = { id: string; content: T }

/** How many traces of each batch are tied, by the id of the batch. */
export function tiedOfBatches(tied: readonly Stored<Tied>[]): ReadonlyMap<string, number> {
  const counts = new Map<string, number>()
  for (const { content } of tied)
    if (content.batchId !== undefined) counts.set(content.batchId, (counts.get(content.batchId) ?? 0) + 1)
  return counts
}

/** Of a design: how many are tied and ready, and how many its batches still need, with the day they are for. */
export type Readiness = { ready: number; short: { count: number; forDate: string | undefined }[] }

/** The readiness of each design that has tied traces or batches. A batch whose day is before `today`, a calendar day, needs none. */
export function readinessOf(
  tied: readonly Stored<Tied>[],
  batches: readonly Stored<Batch>[],
  today: string,
): ReadonlyMap<string, Readiness> {
  const designs = new Map<string, Readiness>()
  const of = (traceId: string): Readiness => {
    const known = designs.get(traceId) ?? { ready: 0, short: [] }
    designs.set(traceId, known)
    return known
  }
  for (const { content } of tied) if (content.state === 'ready') of(content.traceId).ready += 1
  const done = tiedOfBatches(tied)
  for (const { id, content } of batches) {
    const { count, forDate, traceId } = content
    const missing = count - (done.get(id) ?? 0)
    if (missing > 0 && (forDate === undefined || forDate >= today)) of(traceId).short.push({ count: missing, forDate })
  }
  return designs
}

/** Spares for some hours of fishing with some designs, enough in a share of trips, the assurance. */
export type Spares = {
  hours: number
  designs: readonly { id: string; revision: number }[]
  assurance: number
  losses: TraceLosses
}

/** Traces of one design that are still to be tied, and what for: the name of a batch, or spares. */
export type ToTie = { why: string; traceId: string; revision: number; traces: number; choices: Batch['choices'] }

/** What batches still need, whatever their day, and the spares that are not ready yet. */
export function tracesToTie(batches: readonly Stored<Batch>[], tied: readonly Stored<Tied>[], spares: Spares): ToTie[] {
  const done = tiedOfBatches(tied)
  const ready = readinessOf(tied, [], '')
  const enough = sparesFor(spares.hours, spares.assurance, spares.losses)
  return [
    ...batches.map(({ id, content: { name, traceId, traceRevision, count, choices } }) => ({
      why: name,
      traceId,
      revision: traceRevision,
      traces: count - (done.get(id) ?? 0),
      choices,
    })),
    ...spares.designs.map(({ id, revision }) => ({
      why: 'spares',
      traceId: id,
      revision,
      traces: enough - (ready.get(id)?.ready ?? 0),
      choices: undefined,
    })),
  ].filter(({ traces }) => traces > 0)
}

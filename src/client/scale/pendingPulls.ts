import { useSyncExternalStore } from 'react'
import { z } from 'zod'
import { observationSchema, type Pull, type StraightPull } from '../../core/documents/observation.ts'
import type { Reading } from '../../core/learning/pullCurve.ts'
import { readingBody } from '../../shared/scale.ts'

/** A pull that is over and of which nobody has said yet whether it counts, with what the scale read. */
export type PendingPull = { told: Pull | StraightPull; readings: Reading[] }

const PREFIX = 'wide-reach.pull.'
const entrySchema = z.object({ told: observationSchema, readings: z.array(readingBody) })

/** Those that the browser did not keep: its storage may be full or off. */
const inMemory = new Map<string, PendingPull>()
const listeners = new Set<() => void>()
let known: readonly PendingPull[] | undefined

function changed() {
  known = undefined
  for (const listener of listeners) listener()
}

/** Holds on to it, in this browser and for its other windows too, until it is decided. */
export function keepPendingPull(pull: PendingPull): void {
  try {
    localStorage.setItem(PREFIX + pull.told.id, JSON.stringify(pull))
  } catch {
    inMemory.set(pull.told.id, pull)
  }
  changed()
}

/** It was kept or discarded. */
export function forgetPendingPull(id: string): void {
  inMemory.delete(id)
  try {
    localStorage.removeItem(PREFIX + id)
  } catch {
    // It was never kept there.
  }
  changed()
}

function stored(): PendingPull[] {
  try {
    const keys = Object.keys(localStorage).filter((key) => key.startsWith(PREFIX))
    return keys.flatMap((key) => read(localStorage.getItem(key) ?? ''))
  } catch {
    return []
  }
}

/** What a newer version wrote, or does not read, is left where it is. */
function read(text: string): PendingPull[] {
  try {
    const { told, readings } = entrySchema.parse(JSON.parse(text))
    return told.kind === 'pull' || told.kind === 'straight' ? [{ told, readings }] : []
  } catch {
    return []
  }
}

/** Every undecided pull, the latest first. */
export function undecidedPulls(): readonly PendingPull[] {
  known ??= [...stored(), ...inMemory.values()].toSorted((a, b) => b.told.at.localeCompare(a.told.at))
  return known
}

function subscribe(listener: () => void): () => void {
  const onStorage = ({ key }: StorageEvent) => {
    if (key === null || key.startsWith(PREFIX)) changed()
  }
  listeners.add(listener)
  window.addEventListener('storage', onStorage)
  return () => {
    listeners.delete(listener)
    window.removeEventListener('storage', onStorage)
  }
}

export const usePendingPulls = (): readonly PendingPull[] => useSyncExternalStore(subscribe, undecidedPulls)

import { useSyncExternalStore } from 'react'
import { z } from 'zod'
import { observationSchema, type Pull, type StraightPull } from '../../core/documents/observation.ts'
import type { Reading } from '../../core/learning/pullCurve.ts'
import { readingBody } from '../../shared/scale.ts'
import { fromStorage } from '../settings/browserStorage.ts'

/** A finished test that is neither saved nor discarded yet, with the readings of the scale. */
export type PendingPull = { observation: Pull | StraightPull; readings: Reading[] }

const PREFIX = 'wide-reach.pull.'
/** As stored: `told` is the observation, a name that older versions of the application still read. */
const entrySchema = z.object({ told: observationSchema, readings: z.array(readingBody) })

/** Tests that the browser could not store: its storage is full or off. */
const inMemory = new Map<string, PendingPull>()
const listeners = new Set<() => void>()
let known: readonly PendingPull[] | undefined

function changed() {
  known = undefined
  for (const listener of listeners) listener()
}

/** Keeps it in this browser, for its other windows too, until it is saved or discarded. */
export function keepPendingPull(pull: PendingPull): void {
  const { observation, readings } = pull
  const written = fromStorage(() => {
    localStorage.setItem(PREFIX + observation.id, JSON.stringify({ told: observation, readings }))
    return true
  })
  if (!written) inMemory.set(observation.id, pull)
  changed()
}

/** Removes a test that was saved or discarded. */
export function forgetPendingPull(id: string): void {
  inMemory.delete(id)
  fromStorage(() => localStorage.removeItem(PREFIX + id))
  changed()
}

const stored = (): PendingPull[] =>
  fromStorage(() => {
    const keys = Object.keys(localStorage).filter((key) => key.startsWith(PREFIX))
    return keys.flatMap((key) => read(localStorage.getItem(key) ?? ''))
  }) ?? []

/** Leaves an entry that cannot be read, such as one of a newer version, where it is. */
function read(text: string): PendingPull[] {
  try {
    const { told: observation, readings } = entrySchema.parse(JSON.parse(text))
    return observation.kind === 'pull' || observation.kind === 'straight' ? [{ observation, readings }] : []
  } catch {
    return []
  }
}

/** Every pending test, the latest first. */
function pendingPulls(): readonly PendingPull[] {
  known ??= [...stored(), ...inMemory.values()].toSorted((a, b) => b.observation.at.localeCompare(a.observation.at))
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

export const usePendingPulls = (): readonly PendingPull[] => useSyncExternalStore(subscribe, pendingPulls)

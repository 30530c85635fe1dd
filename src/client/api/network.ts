import { useSyncExternalStore } from 'react'
import { MINUTE_MS } from '../../core/time/durations.ts'
import { KEPT_SINCE } from '../../shared/keptAnswer.ts'
import { fromStorage } from '../settings/browserStorage.ts'
import { PREFIX } from '../settings/useKept.ts'

/** Clocks this close to each other agree: an answer is on its way for seconds at most, and its date has no fractions. */
const AGREE_MS = 2 * MINUTE_MS

/** What the last answers say of the connection and of this device’s clock. */
export type NetworkState = {
  /** When what is shown was read from the server; undefined while the server answers itself. */
  keptSince: string | undefined
  /** How far the clock of this device is ahead of the server’s, ms; 0 where they agree. */
  clockAheadMs: number
}

/** Known without a network too: a wrong clock stays wrong. */
const AHEAD_KEY = `${PREFIX}clock-ahead-ms`

let state: NetworkState = {
  keptSince: undefined,
  clockAheadMs: Number(fromStorage(() => localStorage.getItem(AHEAD_KEY))) || 0,
}
const listeners = new Set<() => void>()

/** Learns from an answer whether it came from this browser, and whether the clocks agree. */
export function noteAnswer(headers: Headers, nowMs: number): void {
  const kept = headers.get(KEPT_SINCE)
  const dated = Date.parse(headers.get('Date') ?? '')
  const aheadMs = nowMs - dated
  const known = kept !== null || Number.isNaN(dated) ? state.clockAheadMs : aheadMs
  const next: NetworkState = {
    // Of several kept answers, the oldest is said.
    keptSince: kept === null ? undefined : oldest(kept, state.keptSince),
    clockAheadMs: Math.abs(known) < AGREE_MS ? 0 : Math.round(known / MINUTE_MS) * MINUTE_MS,
  }
  if (next.keptSince === state.keptSince && next.clockAheadMs === state.clockAheadMs) return
  if (next.clockAheadMs !== state.clockAheadMs) fromStorage(() => localStorage.setItem(AHEAD_KEY, String(next.clockAheadMs)))
  state = next
  for (const listener of listeners) listener()
}

const oldest = (a: string, b: string | undefined): string => (b !== undefined && Date.parse(b) < Date.parse(a) ? b : a)

const subscribe = (listener: () => void) => {
  listeners.add(listener)
  return () => listeners.delete(listener)
}

export const networkState = (): NetworkState => state

export const useNetwork = (): NetworkState => useSyncExternalStore(subscribe, networkState)
